<?php

declare(strict_types=1);

namespace Rundfunk\Signal;

use Rundfunk\OutOfRange;

/** Marks and spaces as a receiver sees them or an emitter sends them: mark first, alternating, ending in a mark. */
final readonly class Signal
{
    /**
     * @param  list<int>  $lengthsNs  nanoseconds
     * @param  int|null  $carrierHz  null when it was not measured
     */
    public function __construct(public array $lengthsNs, public ?int $carrierHz = null)
    {
    }

    /** @param  list<int|float>  $lengthsUs  microseconds; a space at the end is dropped */
    public static function ofMicroseconds(array $lengthsUs, ?int $carrierHz = null): self
    {
        $lengths = array_map(static fn (int|float $us): int => (int) round($us * 1000), $lengthsUs);
        if (count($lengths) % 2 === 0) {
            array_pop($lengths);
        }

        return new self($lengths, $carrierHz);
    }

    /** @throws OutOfRange when the text is no list of microseconds */
    public static function parse(string $text, ?int $carrierHz = null): self
    {
        $words = preg_split('/[\s,]+/', trim($text), -1, PREG_SPLIT_NO_EMPTY);
        $lengths = [];
        foreach ($words === false ? [] : $words as $word) {
            if (preg_match('/^[+-]?\d{1,7}(\.\d+)?$/D', $word) !== 1 || abs((float) $word) <= 0.0) {
                throw OutOfRange::because('timings_us', 'timings_us must be microseconds, mark first, as 9000,4500,560.');
            }
            $lengths[] = abs((float) $word);
        }
        if ($lengths === [] || count($lengths) > 1000) {
            throw OutOfRange::because('timings_us', 'timings_us must be 1 to 1000 lengths in microseconds.');
        }

        return self::ofMicroseconds($lengths, $carrierHz);
    }

    public function durationNs(): int
    {
        return array_sum($this->lengthsNs);
    }

    /** @return list<int|float> microseconds, whole where they are whole */
    public function microseconds(): array
    {
        return array_map(static fn (int $ns): int|float => $ns % 1000 === 0 ? intdiv($ns, 1000) : $ns / 1000, $this->lengthsNs);
    }

    public function text(): string
    {
        return implode(' ', array_map(static fn (int $ns): string => (string) (int) round($ns / 1000), $this->lengthsNs));
    }

    /** @return list<int> */
    public function marksNs(): array
    {
        return array_values(array_filter($this->lengthsNs, static fn (int $at): bool => $at % 2 === 0, ARRAY_FILTER_USE_KEY));
    }

    /** @return list<int> */
    public function spacesNs(): array
    {
        return array_values(array_filter($this->lengthsNs, static fn (int $at): bool => $at % 2 === 1, ARRAY_FILTER_USE_KEY));
    }

    /** A demodulator lengthens marks and shortens spaces by as much: this takes it away again. Common practice. */
    public function withoutExcess(int $excessNs): self
    {
        $lengths = [];
        foreach ($this->lengthsNs as $at => $ns) {
            $lengths[] = max(1, $at % 2 === 0 ? $ns - $excessNs : $ns + $excessNs);
        }

        return new self($lengths, $this->carrierHz);
    }
}
