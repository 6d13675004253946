<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared;

use Rundfunk\OutOfRange;
use Rundfunk\Signal\Bits;
use Rundfunk\Signal\BitTiming;
use Rundfunk\Signal\Signal;
use Rundfunk\Signal\Tolerance;

/** How the bits of an odd remote or a toy are timed: described rather than named. Written as "lead=4500/4500 zero=560/560 one=560/1690 stop=560 bits=32 order=msb carrier=38000 gap=40000", in microseconds. */
final readonly class PulseFormat
{
    private const PATTERN = '~^lead=(\d{1,7})/(\d{1,7}) zero=(\d{1,7})/(\d{1,7}) one=(\d{1,7})/(\d{1,7}) stop=(\d{1,7}) bits=(\d{1,2}) order=(msb|lsb) carrier=(\d{1,7}) gap=(\d{1,7})$~D';

    public function __construct(public BitTiming $timing, public int $bits, public bool $lowFirst, public int $carrierHz, public int $gapNs)
    {
        OutOfRange::unless('bits', $bits, 1, 32);
    }

    public static function tryParse(?string $text): ?self
    {
        if ($text === null || preg_match(self::PATTERN, $text, $match) !== 1) {
            return null;
        }
        $ns = array_map(static fn (string $us): int => (int) $us * 1000, array_slice($match, 1, 7));
        $bits = (int) $match[8];
        if ($bits < 1 || $bits > 32) {
            return null;
        }

        return new self(
            new BitTiming($ns[0], $ns[1], $ns[2], $ns[3], $ns[4], $ns[5], $ns[6] === 0 ? null : $ns[6]),
            $bits,
            $match[9] === 'lsb',
            (int) $match[10],
            (int) $match[11] * 1000,
        );
    }

    public function text(): string
    {
        $us = static fn (int $ns): int => intdiv($ns, 1000);
        $t = $this->timing;

        return sprintf(
            'lead=%d/%d zero=%d/%d one=%d/%d stop=%d bits=%d order=%s carrier=%d gap=%d',
            $us($t->leadMarkNs), $us($t->leadSpaceNs), $us($t->zeroMarkNs), $us($t->zeroSpaceNs), $us($t->oneMarkNs), $us($t->oneSpaceNs),
            $us($t->stopMarkNs ?? 0), $this->bits, $this->lowFirst ? 'lsb' : 'msb', $this->carrierHz, $us($this->gapNs),
        );
    }

    /** The same bits, read from the other end. */
    public function turned(): self
    {
        return new self($this->timing, $this->bits, ! $this->lowFirst, $this->carrierHz, $this->gapNs);
    }

    /** What a value is when its bits are read from the other end. */
    public function turnedValue(int $value): int
    {
        return Bits::fromHigh(Bits::low($value, $this->bits));
    }

    /** @return list<int> the bits of a value in the order in which they are sent */
    public function sent(int $value): array
    {
        return $this->lowFirst ? Bits::low($value, $this->bits) : Bits::high($value, $this->bits);
    }

    /** As many bits, timed alike as far as a receiver can tell. */
    public function isLike(self $other): bool
    {
        if ($this->bits !== $other->bits) {
            return false;
        }
        $lengths = static fn (BitTiming $t): array => [$t->leadMarkNs, $t->leadSpaceNs, $t->zeroMarkNs, $t->zeroSpaceNs, $t->oneMarkNs, $t->oneSpaceNs];
        foreach (array_map(null, $lengths($this->timing), $lengths($other->timing)) as [$one, $two]) {
            if (! Tolerance::meets($one, $two)) {
                return false;
            }
        }

        return true;
    }

    public function encode(int $value): Signal
    {
        OutOfRange::unless('command', $value, 0, (1 << $this->bits) - 1);

        return $this->timing->signal($this->sent($value), $this->carrierHz);
    }

    public function decode(Signal $signal): ?int
    {
        $bits = $this->timing->bits($signal, $this->bits);

        return $bits === null ? null : ($this->lowFirst ? Bits::fromLow($bits) : Bits::fromHigh($bits));
    }

    /**
     * Finds the format of a signal that no protocol knows: marks of one length and spaces of two, or the other way round,
     * after a longer lead. Null when it is not so.
     */
    public static function discover(Signal $signal, int $gapNs = 40_000_000): ?self
    {
        $lengths = $signal->lengthsNs;
        $count = count($lengths);
        if ($count < 11 || $count > 67) {
            return null;
        }
        $body = array_slice($lengths, 2);
        $longestInBody = max([1, ...$body]);
        $hasLead = $lengths[0] > 1.6 * self::middle(array_slice($signal->marksNs(), 1)) && 1.4 * $longestInBody < $lengths[0] + $lengths[1];
        $lead = $hasLead ? 2 : 0;
        $marks = array_slice($signal->marksNs(), intdiv($lead, 2), -1);
        $spaces = array_slice($signal->spacesNs(), intdiv($lead, 2));
        $markSplit = self::split($marks);
        $spaceSplit = self::split($spaces);
        if (count($markSplit) === 1 && count($spaceSplit) === 2) {
            $timing = new BitTiming($hasLead ? $lengths[0] : 0, $hasLead ? $lengths[1] : 0, $markSplit[0], $spaceSplit[0], $markSplit[0], $spaceSplit[1], self::whole($lengths[$count - 1]));
            $bits = intdiv($count - $lead - 1, 2);
        } elseif (count($markSplit) === 2 && count($spaceSplit) === 1) {
            $timing = new BitTiming($hasLead ? $lengths[0] : 0, $hasLead ? $lengths[1] : 0, $markSplit[0], $spaceSplit[0], $markSplit[1], $spaceSplit[0]);
            $bits = intdiv($count - $lead + 1, 2);
        } else {
            return null;
        }

        return $bits > 32 ? null : new self($timing, $bits, false, $signal->carrierHz ?? 38_000, $gapNs);
    }

    /**
     * One or two typical lengths, the shorter first; none when they scatter.
     *
     * @param  list<int>  $lengths
     * @return list<int>
     */
    private static function split(array $lengths): array
    {
        if ($lengths === []) {
            return [];
        }
        $border = (min($lengths) + max($lengths)) / 2;
        $groups = max($lengths) <= 1.6 * min($lengths)
            ? [$lengths]
            : [array_filter($lengths, static fn (int $ns): bool => $ns <= $border), array_filter($lengths, static fn (int $ns): bool => $ns > $border)];
        $typical = [];
        foreach ($groups as $group) {
            $middle = self::middle(array_values($group));
            foreach ($group as $ns) {
                if (! Tolerance::meets($ns, $middle)) {
                    return [];
                }
            }
            $typical[] = $middle;
        }

        return $typical;
    }

    /**
     * @param  list<int>  $lengths
     * @return int the mean, to ten microseconds
     */
    private static function middle(array $lengths): int
    {
        return $lengths === [] ? 0 : self::whole((int) round(array_sum($lengths) / count($lengths)));
    }

    private static function whole(int $ns): int
    {
        return (int) round($ns / 10_000) * 10_000;
    }
}
