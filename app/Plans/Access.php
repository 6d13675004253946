<?php

declare(strict_types=1);

namespace App\Plans;

/** What somebody may do with a plan. */
enum Access: string
{
    /** Also delete it and bring it back. */
    case Owner = 'owner';
    /** Also change it. */
    case Editor = 'editor';
    /** Look at all of it, save files of it, and copy it. */
    case Viewer = 'viewer';

    public function covers(self $needed): bool
    {
        return $this->rank() >= $needed->rank();
    }

    private function rank(): int
    {
        return match ($this) {
            self::Owner => 3,
            self::Editor => 2,
            self::Viewer => 1,
        };
    }
}
