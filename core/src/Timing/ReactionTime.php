<?php

declare(strict_types=1);

namespace Rundfunk\Timing;

/** From press to click, as the sum of its stretches. */
final readonly class ReactionTime
{
    /** @param  list<Segment>  $segments */
    public function __construct(public array $segments)
    {
    }

    public function bestNs(): int
    {
        return array_sum(array_map(static fn (Segment $segment): int => $segment->bestNs, $this->segments));
    }

    public function typicalNs(): int
    {
        return array_sum(array_map(static fn (Segment $segment): int => $segment->typicalNs, $this->segments));
    }

    /** @return int nanoseconds for which a link is taken, where nothing must be sent again */
    public function airtimeNs(): int
    {
        return array_sum(array_map(static fn (Segment $segment): int => $segment->kind === SegmentKind::Airtime ? $segment->typicalNs : 0, $this->segments));
    }

    public function worstNs(): int
    {
        return array_sum(array_map(static fn (Segment $segment): int => $segment->worstNs, $this->segments));
    }
}
