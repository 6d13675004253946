<?php

declare(strict_types=1);

namespace Rundfunk\Timing;

use Random\Randomizer;

/** What happens one after another from press to click, or along part of the way: summed, it says how long that takes; played, how it went once. */
final readonly class Timeline
{
    /** @param  list<Span>  $spans */
    public function __construct(public array $spans)
    {
    }

    public function bestNs(): int
    {
        return array_sum(array_map(static fn (Span $span): int => $span->bestNs, $this->spans));
    }

    public function typicalNs(): int
    {
        return array_sum(array_map(static fn (Span $span): int => $span->typicalNs, $this->spans));
    }

    public function worstNs(): int
    {
        return array_sum(array_map(static fn (Span $span): int => $span->worstNs, $this->spans));
    }

    /** @return int nanoseconds for which a link is taken, where nothing must be sent again */
    public function airtimeNs(): int
    {
        return array_sum(array_map(static fn (Span $span): int => $span->kind === SpanKind::Airtime ? $span->typicalNs : 0, $this->spans));
    }

    /**
     * @param  float  $loss  of how many sendings one is lost, 0 to 1
     * @return list<Played> in their order, each from the end of the one before
     */
    public function played(Randomizer $chance, float $loss = 0.0): array
    {
        $played = [];
        $atNs = 0;
        foreach ($this->spans as $span) {
            $toNs = $atNs + $span->played($chance, $loss);
            $played[] = new Played($span, $atNs, $toNs);
            $atNs = $toNs;
        }

        return $played;
    }
}
