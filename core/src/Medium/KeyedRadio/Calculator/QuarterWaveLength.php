<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio\Calculator;

use Rundfunk\Calculator\Destination;
use Rundfunk\Calculator\DrawsCurve;
use Rundfunk\Calculator\FitsPlans;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Calculator\Sweep;
use Rundfunk\Medium\KeyedRadio\KeyedRadio;
use Rundfunk\Propagation\QuarterWave;

final readonly class QuarterWaveLength implements DrawsCurve, FitsPlans
{
    public function name(): string
    {
        return 'quarter-wave';
    }

    public function topic(): string
    {
        return 'Antennas';
    }

    public function title(): string
    {
        return 'Quarter-wave antenna';
    }

    public function plainly(): string
    {
        return 'Length of a quarter-wave wire';
    }

    public function formula(): string
    {
        return '0.95 · c / 4f';
    }

    public function source(): string
    {
        return 'c / 4f; the shortening of a wire is common practice';
    }

    public function inputs(): array
    {
        return [Quantity::number('freq_mhz', 'MHz', 'Frequency.')->example('433.92')];
    }

    public function outputs(): array
    {
        return [
            Quantity::number('length_mm', 'mm', 'Of the wire, from where it leaves the board.'),
            Quantity::whole('cut_mm', 'mm', 'To cut, to the nearest millimetre.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        $lengthMm = QuarterWave::lengthMm($inputs->number('freq_mhz'));

        return ['length_mm' => round($lengthMm, 3), 'cut_mm' => (int) round($lengthMm)];
    }

    public function sweep(): Sweep
    {
        return new Sweep('freq_mhz', 300, 930, 'length_mm');
    }

    public function destination(): Destination
    {
        return Destination::end(KeyedRadio::KEY, ['cut_mm' => 'antennaMm']);
    }
}
