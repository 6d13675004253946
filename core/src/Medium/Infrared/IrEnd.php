<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared;

use Rundfunk\Electrical\LedResistor;
use Rundfunk\OutOfRange;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** The settings of one end of an infrared link, with their types. */
final readonly class IrEnd
{
    /** The current at which the intensity is stated. */
    private const STATED_AT_MA = 100.0;

    /** What a receiver of this class needs, µW/m². Sheet, from memory. */
    public const USUAL_UW_M2 = 400;

    public function __construct(
        public float $supplyV,
        public float $forwardV,
        public float $currentMa,
        public int $leds,
        public float $intensityMwSr,
        public float $distanceM,
        public ?int $intervalMs,
        public int $carrierKhz,
        public int $thresholdUwM2,
    ) {
    }

    public static function of(Endpoint $endpoint): self
    {
        $values = new Values($endpoint->settings);

        return new self(
            $values->number('supplyV'),
            $values->number('forwardV'),
            $values->number('currentMa'),
            $values->whole('leds'),
            $values->number('intensityMwSr'),
            $values->number('distanceM'),
            $values->wholeOrNull('intervalMs'),
            $values->whole('carrierKhz'),
            $values->whole('thresholdUwM2'),
        );
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::number('supplyV', 1.8, 24, 'What feeds the emitter.', 5, 'V')->titled('Supply'),
            Field::number('forwardV', 1, 3, 'What one emitter takes while it is lit.', 1.35, 'V')->titled('LED'),
            Field::number('currentMa', 1, 1000, 'Current through the emitter while it is lit.', 100, 'mA')->titled('Current'),
            Field::whole('leds', 1, 6, 'How many emitters are in series.', 1)->titled('LEDs'),
            Field::number('intensityMwSr', 1, 1000, 'Radiant intensity on the axis at 100 mA, as data sheets state it; at another current it is as much more or less.', 60, 'mW/sr')->titled('Intensity'),
            Field::number('distanceM', 0.1, 50, 'How far off the farthest receiver is.', 3, 'm')->titled('Distance'),
            Field::whole('intervalMs', 10, 5_000, 'From one send to the next.', null, 'ms')->nullable()->titled('Interval')->assigned(),
            Field::oneOf('carrierKhz', [30, 33, 36, 38, 40, 56], 'What the receiver is tuned to.', 38, 'kHz')->titled('Tuned to'),
            Field::whole('thresholdUwM2', 50, 5_000, 'The least irradiance at which the receiver still hears.', self::USUAL_UW_M2, 'µW/m²')->titled('Hears from'),
        );
    }

    /** The resistor that the emitter needs; null when the supply cannot light it. */
    public function resistor(float $dropV): ?LedResistor
    {
        try {
            return new LedResistor($this->supplyV, $this->forwardV, $this->currentMa, $this->leds, $dropV);
        } catch (OutOfRange) {
            return null;
        }
    }

    /** @return float mW/sr on the axis: in proportion to the current, as far as an emitter is made for. Source: data sheets of common emitters, from memory */
    public function radiatedMwSr(): float
    {
        return $this->intensityMwSr * $this->currentMa / self::STATED_AT_MA;
    }

    /** @return float metres on the axis; in direct sun half of that. Source: inverse square; the sun is common practice */
    public function reachM(int $thresholdUwM2, bool $sunlit): float
    {
        return IrRange::distanceM($this->radiatedMwSr(), $thresholdUwM2 / 1000) / ($sunlit ? 2 : 1);
    }
}
