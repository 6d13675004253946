<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Shown;

use Rundfunk\Shape\ListOf;

/** What a bought device speaks, frame by frame. */
final readonly class ProtocolShown
{
    /**
     * @param  list<string>  $faults  what does not hold together, in words
     * @param  list<ProtocolItemShown>  $items
     */
    public function __construct(public bool $hasIds, public int $highestId, #[ListOf('string')] public array $faults, #[ListOf(ProtocolItemShown::class)] public array $items)
    {
    }
}
