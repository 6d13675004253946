<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Calculator;

use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Medium\Can\BitTiming;

final readonly class BitTimingOf implements Calculator
{
    public function name(): string
    {
        return 'can-bit-timing';
    }

    public function topic(): string
    {
        return 'CAN';
    }

    public function title(): string
    {
        return 'CAN bit timing';
    }

    public function plainly(): string
    {
        return 'How a controller has to divide its clock for a rate';
    }

    public function formula(): string
    {
        return 'quanta a bit = 1 + prop_seg + phase_seg1 + phase_seg2; rate = clock ÷ (prescaler · quanta)';
    }

    public function source(): string
    {
        return 'ISO 11898-1; CiA 301; the open calculator in can-utils';
    }

    public function inputs(): array
    {
        return [
            Quantity::whole('clock_hz', 'Hz', 'The clock of the time quantum: of controllers on SPI half of their crystal.')->example('8000000'),
            Quantity::whole('bitrate', 'bit/s', 'Of the bus.')->example('500000'),
            Quantity::number('sample_point_percent', '%', 'Where in the bit it is sampled; as CiA 301 recommends when left out.')->example('87.5')->optional(),
        ];
    }

    public function outputs(): array
    {
        return [
            Quantity::whole('prescaler', null, 'Clocks a quantum; none where no division comes within 5 %.'),
            Quantity::whole('prop_seg', 'quanta', 'Propagation segment.'),
            Quantity::whole('phase_seg1', 'quanta', 'First phase segment.'),
            Quantity::whole('phase_seg2', 'quanta', 'Second phase segment.'),
            Quantity::whole('sjw', 'quanta', 'How far it may jump to keep step.'),
            Quantity::number('sample_point_percent', '%', 'Where the bit is sampled.'),
            Quantity::number('actual_bitrate', 'bit/s', 'The rate that comes of it.'),
            Quantity::flag('possible', 'Whether there is such a division.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        $point = $inputs->text('sample_point_percent') === '' ? null : (int) round(10 * $inputs->number('sample_point_percent'));
        $timing = BitTiming::for($inputs->whole('clock_hz'), $inputs->whole('bitrate'), $point);

        return [
            'prescaler' => $timing?->prescaler,
            'prop_seg' => $timing?->propSeg,
            'phase_seg1' => $timing?->phaseSeg1,
            'phase_seg2' => $timing?->phaseSeg2,
            'sjw' => $timing?->sjw,
            'sample_point_percent' => $timing?->samplePointPercent(),
            'actual_bitrate' => $timing === null ? null : round($timing->bitrate(), 3),
            'possible' => $timing !== null,
        ];
    }
}
