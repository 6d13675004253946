<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Rule;

use Rundfunk\Medium\Infrared\Protocols;

/** What the rules about codes need besides the plan: the protocols that codes are written in. */
abstract readonly class InfraredRule
{
    public function __construct(protected Protocols $protocols)
    {
    }
}
