<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Line;

/**
 * One end of a line as its program has it: what it does with each byte that comes, and what it says when. The same as the C that goes
 * into the node's header, state for state; times in milliseconds, modulo 2³².
 */
interface LineEnd
{
    /** So many messages wait to be told. */
    public const QUEUE_MOST = 8;

    /** @return LineMessage|null a message for this node, once however often it came */
    public function byte(int $byte, int $nowMs): ?LineMessage;

    /** @return bool false when too much waits already */
    public function tell(LineMessage $message, int $nowMs): bool;

    /** @return int|null the id of a node that does not answer any more, once each time that it stops */
    public function gone(): ?int;

    /** @return string the bytes that are to go out now; empty for none */
    public function step(int $nowMs): string;
}
