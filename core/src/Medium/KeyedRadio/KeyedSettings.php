<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio;

use Rundfunk\Plan\Link;
use Rundfunk\Propagation\QuarterWave;
use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** A keyed-radio link's settings, with their types. */
final readonly class KeyedSettings
{
    private function __construct(
        public int $freqKhz,
        public KeyedCoding $coding,
        public int $pulseUs,
        public int $repeats,
        public int $powerDbm,
    ) {
    }

    public static function of(Link $link): self
    {
        $values = new Values($link->settings);

        return new self(
            $values->whole('freqKhz'),
            $values->choice('coding', KeyedCoding::class),
            $values->whole('pulseUs'),
            $values->whole('repeats'),
            $values->whole('powerDbm'),
        );
    }

    public static function linkShape(): Shape
    {
        return Shape::of(
            Field::oneOf('freqKhz', [315_000, 433_920, 868_350], 'Frequency, as the parts are marked.', 433_920, 'MHz')->titled('Frequency')->named(['315', '433.92', '868.35']),
            Field::oneOf('coding', ['bits24', 'trit12', 'pair'], 'How a press is put on the air.', 'bits24')->titled('Coding')->named(['24 bits', '12 trits', 'four-function pair']),
            Field::whole('pulseUs', 100, 1_000, 'The shortest mark, from which all others follow.', 350, 'µs')->titled('Pulse'),
            Field::whole('repeats', 1, 20, 'How often a frame is sent for one press.', 8)->titled('Repeats'),
            Field::whole('powerDbm', -20, 20, 'Power radiated, e.i.r.p.', 10, 'dBm')->titled('Power'),
        );
    }

    public static function endShape(): Shape
    {
        return Shape::of(
            Field::oneOf('antenna', ['wire', 'coil', 'none'], 'What it has for an antenna.', 'wire')->titled('Antenna'),
            Field::whole('antennaMm', 10, 1_000, 'How long the wire is.', null, 'mm')->nullable()->titled('Wire')->assigned(),
            Field::oneOf('freqKhz', [315_000, 433_920, 868_350], 'What it is known to be tuned to, if otherwise than the link.', 433_920, 'MHz')->nullable()->titled('As built')->named(['315', '433.92', '868.35']),
        );
    }

    public function freqMhz(): float
    {
        return $this->freqKhz / 1000;
    }

    public function frameNs(): int
    {
        return KeyedFrame::frameNs(KeyedFrame::BITS, $this->pulseUs);
    }

    public function pressNs(): int
    {
        return KeyedFrame::pressNs(KeyedFrame::BITS, $this->pulseUs, $this->repeats);
    }

    public function quarterWaveMm(): int
    {
        return (int) round(QuarterWave::lengthMm($this->freqMhz()));
    }
}
