<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Shape\ListOf;

/** What follows when a control is worked or let go: what the node drives itself, and what it tells others. */
final readonly class Does
{
    /**
     * @param  list<Drive>  $drives
     * @param  list<Tell>  $tells
     */
    public function __construct(
        #[ListOf(Drive::class)] public array $drives,
        #[ListOf(Tell::class)] public array $tells,
    ) {
    }
}
