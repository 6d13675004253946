<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Calculator;

use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Medium\Cellular\Registration;
use Rundfunk\OutOfRange;

final readonly class ModemRegistration implements Calculator
{
    public function name(): string
    {
        return 'modem-registration';
    }

    public function topic(): string
    {
        return 'Cellular';
    }

    public function title(): string
    {
        return 'Modem registration (CREG)';
    }

    public function plainly(): string
    {
        return 'What a modem\'s registration figure means';
    }

    public function formula(): string
    {
        return '0 not, 1 home, 2 searching, 3 denied, 4 unknown, 5 roaming';
    }

    public function source(): string
    {
        return '3GPP TS 27.007';
    }

    public function inputs(): array
    {
        return [Quantity::whole('stat', null, 'The second figure of +CREG or +CEREG, 0 to 5.')->example('1')];
    }

    public function outputs(): array
    {
        return [
            Quantity::flag('serves', 'Calls and texts can come and go.'),
            Quantity::text('meaning', 'What that means.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        $stat = Registration::tryFrom($inputs->whole('stat')) ?? throw OutOfRange::because('stat', 'stat must be from 0 to 5.');

        return ['serves' => $stat->serves(), 'meaning' => $stat->words()];
    }
}
