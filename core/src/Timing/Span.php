<?php

declare(strict_types=1);

namespace Rundfunk\Timing;

use InvalidArgumentException;
use Random\Randomizer;

/** One stretch of an exchange: how long it takes, or between what it does, or how often it may come again. Nanoseconds. */
final readonly class Span
{
    /** @param  non-empty-list<int>  $choices  lengths of which it is one; for what comes again, all that it can come to */
    private function __construct(
        public SpanKind $kind,
        public string $label,
        public int $bestNs,
        public int $typicalNs,
        public int $worstNs,
        private Choice $choice,
        private array $choices,
    ) {
        if ($bestNs > $typicalNs || $typicalNs > $worstNs || $bestNs < 0) {
            throw new InvalidArgumentException("{$label}: {$bestNs}, {$typicalNs}, {$worstNs} ns are not in order.");
        }
    }

    /** It always takes that long. */
    public static function fixed(SpanKind $kind, string $label, int $ns): self
    {
        return new self($kind, $label, $ns, $ns, $ns, Choice::None, [$ns]);
    }

    /** It takes as long as it happens to: a wait for a turn, a program that is busy. */
    public static function between(SpanKind $kind, string $label, int $bestNs, int $typicalNs, int $worstNs): self
    {
        return new self($kind, $label, $bestNs, $typicalNs, $worstNs, Choice::Length, [$bestNs, $typicalNs, $worstNs]);
    }

    /** What is lost comes again, so often at most; as a rule nothing is. */
    public static function again(string $label, int $times, int $eachNs): self
    {
        return new self(SpanKind::Retries, $label, 0, 0, $times * $eachNs, Choice::Times, array_map(static fn (int $time): int => $time * $eachNs, range(0, $times)));
    }

    /**
     * It is one of several: frames of one code that differ in length.
     *
     * @param  non-empty-list<int>  $ns
     */
    public static function oneOf(SpanKind $kind, string $label, array $ns): self
    {
        return new self($kind, $label, min($ns), intdiv(array_sum($ns), count($ns)), max($ns), Choice::Which, $ns);
    }

    /**
     * @param  float  $loss  of how many sendings one is lost, 0 to 1
     * @return int how long it takes this time: no less than at best, no more than at worst
     */
    public function played(Randomizer $chance, float $loss): int
    {
        return match ($this->choice) {
            Choice::None => $this->bestNs,
            // As often below what is typical as above.
            Choice::Length => $chance->getInt(0, 1) === 0 ? $chance->getInt($this->bestNs, $this->typicalNs) : $chance->getInt($this->typicalNs, $this->worstNs),
            Choice::Which => $this->choices[$chance->getInt(0, count($this->choices) - 1)],
            Choice::Times => $this->choices[self::lost($chance, $loss, count($this->choices) - 1)],
        };
    }

    /** How many in a row are lost, at most so many. */
    private static function lost(Randomizer $chance, float $loss, int $most): int
    {
        $lost = 0;
        while ($lost < $most && $chance->getInt(0, 999_999) < (int) round(1_000_000 * $loss)) {
            $lost++;
        }

        return $lost;
    }
}
