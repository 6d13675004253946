<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;

/**
 * A medium whose messages bear no command code of ours, or not always: a learned code, a word, a topic. They are counted
 * where they arrive; two that nothing tells apart are one.
 */
interface TellsMessagesApart
{
    /** What tells a hop's message from every other of its end; null while nothing says it. */
    public function mark(Plan $plan, Hop $hop): ?string;

    /** Whether who receives it knows who sent it. */
    public function showsSender(Plan $plan, Hop $hop): bool;
}
