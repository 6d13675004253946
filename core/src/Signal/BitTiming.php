<?php

declare(strict_types=1);

namespace Rundfunk\Signal;

/** Bits told apart by the length of their marks or of their spaces, with a lead before and perhaps a stop mark after. */
final readonly class BitTiming
{
    public function __construct(
        public int $leadMarkNs,
        public int $leadSpaceNs,
        public int $zeroMarkNs,
        public int $zeroSpaceNs,
        public int $oneMarkNs,
        public int $oneSpaceNs,
        public ?int $stopMarkNs = null,
    ) {
    }

    /** @param  list<int>  $bits in the order in which they are sent */
    public function signal(array $bits, int $carrierHz): Signal
    {
        $lengths = $this->leadMarkNs > 0 ? [$this->leadMarkNs, $this->leadSpaceNs] : [];
        foreach ($bits as $bit) {
            $lengths[] = $bit === 1 ? $this->oneMarkNs : $this->zeroMarkNs;
            $lengths[] = $bit === 1 ? $this->oneSpaceNs : $this->zeroSpaceNs;
        }
        if ($this->stopMarkNs !== null) {
            $lengths[] = $this->stopMarkNs;
        } else {
            array_pop($lengths);
        }

        return new Signal($lengths, $carrierHz);
    }

    /** @return list<int>|null bits in the order in which they came; null when it is not so timed, or not so many */
    public function bits(Signal $signal, int $count): ?array
    {
        $lead = $this->leadMarkNs > 0 ? 2 : 0;
        $expected = $lead + 2 * $count + ($this->stopMarkNs !== null ? 1 : -1);
        if (count($signal->lengthsNs) !== $expected) {
            return null;
        }

        // As it came first; what a receiver adds is taken away only when that says nothing.
        return $this->read($signal->lengthsNs, $lead, $count)
            ?? $this->read($signal->withoutExcess($this->excessNs($signal, $lead))->lengthsNs, $lead, $count);
    }

    /**
     * @param  list<int>  $lengths
     * @return list<int>|null
     */
    private function read(array $lengths, int $lead, int $count): ?array
    {
        if ($lead > 0 && ! (Tolerance::meets($lengths[0], $this->leadMarkNs) && Tolerance::meets($lengths[1], $this->leadSpaceNs))) {
            return null;
        }
        $bits = [];
        for ($bit = 0; $bit < $count; $bit++) {
            $found = $this->bit($lengths[$lead + 2 * $bit], $lengths[$lead + 2 * $bit + 1] ?? null);
            if ($found === null) {
                return null;
            }
            $bits[] = $found;
        }
        $sound = $this->stopMarkNs === null || Tolerance::meets($lengths[count($lengths) - 1], $this->stopMarkNs);

        return $sound ? $bits : null;
    }

    private function bit(int $markNs, ?int $spaceNs): ?int
    {
        $fits = static fn (int $mark, int $space): bool => Tolerance::meets($markNs, $mark) && ($spaceNs === null || Tolerance::meets($spaceNs, $space));
        $zero = $fits($this->zeroMarkNs, $this->zeroSpaceNs);
        $one = $fits($this->oneMarkNs, $this->oneSpaceNs);

        return $zero === $one ? null : (int) $one;
    }

    /** From whichever of marks and spaces has one length alone. */
    private function excessNs(Signal $signal, int $lead): int
    {
        if ($this->zeroMarkNs === $this->oneMarkNs) {
            return Tolerance::excessNs(array_slice($signal->marksNs(), intdiv($lead, 2)), $this->zeroMarkNs);
        }
        if ($this->zeroSpaceNs === $this->oneSpaceNs) {
            return -Tolerance::excessNs(array_slice($signal->spacesNs(), intdiv($lead, 2)), $this->zeroSpaceNs);
        }

        return 0;
    }
}
