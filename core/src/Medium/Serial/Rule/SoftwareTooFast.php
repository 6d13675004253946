<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Serial\SerialSettings;
use Rundfunk\Medium\Serial\Trial;
use Rundfunk\Pins\SoftwareSerial;
use Rundfunk\Plan\PinUse;

/** A line that the program times itself, faster than a program can. */
#[Finds('serial-software-too-fast', WorkStep::Links)]
final readonly class SoftwareTooFast implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $baud = SerialSettings::at($end->link, $end->endpoint)->baud;
        $software = $end->module === null ? [] : array_filter($look->plan->pinUsesOf($end->module), static fn (PinUse $use): bool => $look->wire($use)?->terminal->isBySoftware($use) === true);
        if ($software === [] || $baud <= SoftwareSerial::FASTEST_BAUD) {
            return [];
        }

        return [Finding::fault(
            "{$baud} baud are too fast for a serial line by software",
            $end->at('moduleId'),
            "The program of {$end->node->name} times each bit itself; beyond ".SoftwareSerial::FASTEST_BAUD.' baud the interrupts that run besides are longer than a bit.',
            'A lower rate, or a port of the board.',
            Trial::settings('Set '.SoftwareSerial::FASTEST_BAUD.' baud', $look, $end->link, ['baud' => SoftwareSerial::FASTEST_BAUD]),
            numbers: ['baud' => $baud, 'most' => SoftwareSerial::FASTEST_BAUD],
        )];
    }
}
