<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Cellular\Modem;
use Rundfunk\Pins\SoftwareSerial;
use Rundfunk\Plan\PinUse;
use Rundfunk\Plan\Spot;

/** A serial line that the program reads itself, faster than a program can. */
#[Finds('cell-software-too-fast', WorkStep::Links)]
final readonly class SoftwareTooFast implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $modem = Modem::of($look->plan, $end->endpoint, $look->catalogue);
        $software = $end->module === null ? [] : array_filter($look->plan->pinUsesOf($end->module), static fn (PinUse $use): bool => $look->wire($use)?->terminal->isBySoftware($use) === true);
        if ($modem === null || $software === [] || $modem->end->baud <= SoftwareSerial::FASTEST_BAUD) {
            return [];
        }

        return [Finding::fault(
            "{$modem->end->baud} baud are too fast for a serial line by software",
            Spot::of($modem->endpoint, $modem->where(), 'baud'),
            'The program of '.$modem->node->name.' times each bit itself; beyond '.SoftwareSerial::FASTEST_BAUD.' baud the interrupts that run besides are longer than a bit.',
            'Take 9600, or put the modem on a serial port of the board.',
            Fix::settings('Set 9600 baud', $modem->endpoint, ['baud' => 9600]),
            numbers: ['baud' => $modem->end->baud, 'most' => SoftwareSerial::FASTEST_BAUD],
        )];
    }
}
