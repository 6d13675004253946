<?php

declare(strict_types=1);

namespace Rundfunk\Calculator;

use Rundfunk\Propagation\QuarterWave;

final readonly class QuarterWaveLength implements Calculator
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
        return [Quantity::number('length_mm', 'mm', 'Of the wire, from where it leaves the board.')];
    }

    public function calculate(Inputs $inputs): array
    {
        return ['length_mm' => round(QuarterWave::lengthMm($inputs->number('freq_mhz')), 3)];
    }
}
