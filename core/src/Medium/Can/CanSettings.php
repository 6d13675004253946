<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

use Rundfunk\Plan\Link;
use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** A bus's settings, with their types. */
final readonly class CanSettings
{
    /** Rates and how far they reach. Source: CiA 301 */
    private const REACHES_M = [1_000_000 => 25.0, 800_000 => 50.0, 500_000 => 100.0, 250_000 => 250.0, 125_000 => 500.0, 50_000 => 1_000.0, 20_000 => 2_500.0, 10_000 => 5_000.0];

    /** At a million bits a second. Source: ISO 11898-2 */
    private const STUB_M = 0.3;

    private function __construct(public int $bitrate, public ?int $samplePoint, public bool $foreign, public ?float $lengthM)
    {
    }

    public static function of(Link $link): self
    {
        $values = new Values($link->settings);
        $point = $values->numberOrNull('samplePointPercent');

        return new self($values->whole('bitrate'), $point === null ? null : (int) round(10 * $point), $values->flag('foreign'), $values->numberOrNull('lengthM'));
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::whole('bitrate', 10_000, 1_000_000, 'Bits a second, the same at every end.', 125_000, 'bit/s')->titled('Rate'),
            Field::flag('foreign', 'Whether it is the bus of a vehicle or another machine that runs without this plan: then it is listened to, and nothing more.')->titled('Of a vehicle or machine'),
            Field::number('lengthM', 0, 5_000, 'From one end of the cable to the other.', null, 'm')->nullable()->titled('Length'),
            Field::number('samplePointPercent', 50, 95, 'Where in the bit it is sampled; as CiA 301 recommends when left out.', null, '%')->nullable()->titled('Sampled at')->seldom(),
        );
    }

    /** @return float metres, between the published rates in proportion */
    public function reachM(): float
    {
        $above = null;
        foreach (self::REACHES_M as $rate => $reachM) {
            if ($this->bitrate >= $rate) {
                // A rate between two: what it takes a bit to go there and back.
                return $above === null ? $reachM : min($reachM * $rate / $this->bitrate, self::REACHES_M[10_000]);
            }
            $above = $rate;
        }

        return self::REACHES_M[10_000];
    }

    /** @return float how far from the cable an end may stand */
    public function stubM(): float
    {
        return self::STUB_M * 1_000_000 / $this->bitrate;
    }

    public function ns(int $bits): int
    {
        return intdiv($bits * 1_000_000_000, $this->bitrate);
    }
}
