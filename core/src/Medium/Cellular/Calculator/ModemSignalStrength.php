<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Calculator;

use Rundfunk\Calculator\DrawsCurve;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Calculator\Sweep;
use Rundfunk\Medium\Cellular\ModemSignal;

final readonly class ModemSignalStrength implements DrawsCurve
{
    public function name(): string
    {
        return 'modem-signal';
    }

    public function topic(): string
    {
        return 'Cellular';
    }

    public function title(): string
    {
        return 'Modem signal (CSQ)';
    }

    public function plainly(): string
    {
        return 'What a modem\'s signal figure means';
    }

    public function formula(): string
    {
        return '−113 + 2n dBm; 99 is unknown';
    }

    public function source(): string
    {
        return '3GPP TS 27.007';
    }

    public function inputs(): array
    {
        return [Quantity::whole('csq', null, 'The first figure of +CSQ, 0 to 31, or 99.')->example('18')];
    }

    public function outputs(): array
    {
        return [
            Quantity::whole('dbm', 'dBm', 'Received; none when it is not known.'),
            Quantity::text('meaning', 'What to make of it.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        $csq = $inputs->whole('csq');

        return ['dbm' => ModemSignal::dbm($csq), 'meaning' => ModemSignal::words($csq)];
    }

    public function sweep(): Sweep
    {
        return new Sweep('csq', 0, 31, 'dbm');
    }
}
