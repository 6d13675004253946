<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Dmx\DmxEnd;
use Rundfunk\Medium\Dmx\DmxFrame;
use Rundfunk\Medium\Dmx\DmxSettings;
use Rundfunk\Pins\SoftwareSerial;
use Rundfunk\Plan\PinUse;

/** A universe, or words to a bridge, on pins whose bits the program times itself. */
#[Finds('dmx-by-software', WorkStep::PinsAndPower)]
final readonly class BySoftware implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $settings = DmxEnd::of($end->endpoint);
        $baud = $settings->bridges && $end->endpoint->role->sends() ? $settings->baud : DmxFrame::BAUD;
        $software = $end->module === null || DmxSettings::of($end->link)->isNetwork ? [] : array_filter($look->plan->pinUsesOf($end->module), static fn (PinUse $use): bool => $look->wire($use)?->terminal->isBySoftware($use) === true);
        if ($software === [] || $baud <= SoftwareSerial::FASTEST_BAUD) {
            return [];
        }

        return [Finding::fault(
            "{$baud} baud are too fast for a serial line by software",
            $end->at('moduleId'),
            "The program of {$end->node->name} times each bit itself; beyond ".SoftwareSerial::FASTEST_BAUD.' baud the interrupts that run besides are longer than a bit, and lamps flicker.',
            'A port of the board.',
            numbers: ['baud' => $baud, 'most' => SoftwareSerial::FASTEST_BAUD],
            about: [$end->endpoint->id],
        )];
    }
}
