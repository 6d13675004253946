<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

/** What an endpoint does on its link. */
enum Role: string
{
    case Sends = 'sends';
    case Receives = 'receives';
    case Both = 'both';

    public function sends(): bool
    {
        return $this !== self::Receives;
    }

    public function receives(): bool
    {
        return $this !== self::Sends;
    }
}
