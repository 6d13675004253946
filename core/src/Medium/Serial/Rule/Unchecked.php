<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\HopRule;
use Rundfunk\Check\Leg;
use Rundfunk\Check\Look;
use Rundfunk\Check\Severity;
use Rundfunk\Check\WorkStep;
use Rundfunk\Frame\Checksum;
use Rundfunk\Medium\Serial\SerialLine;
use Rundfunk\Medium\Serial\Trial;
use Rundfunk\Plan\Hazard;
use Rundfunk\Plan\Spot;

/** What can hurt is worked by frames that a click on the line can make. */
#[Finds('serial-unchecked', WorkStep::Links)]
final readonly class Unchecked implements HopRule
{
    public function check(Leg $leg, Look $look): iterable
    {
        $line = SerialLine::of($look->plan, $leg->link);
        $check = $line->isBought() ? ($line->protocols[$leg->to->id] ?? null)?->check : $line->settings->check;
        if ($check === null || ($line->isBought() && $leg->output->hazards === []) || $check->isCrc() || ($leg->output->hazards === [] && $check !== Checksum::None)) {
            return [];
        }
        $hazard = Hazard::tryFrom($leg->output->hazards[0] ?? '');

        return [Finding::of(
            $hazard === null ? Severity::Warning : Severity::Danger,
            ($check === Checksum::None ? 'Nothing says whether what works ' : 'A mere sum says whether what works ').$leg->output->name.' came whole',
            Spot::of($leg->link, $leg->link->name, 'check'),
            'A motor that starts beside the cable changes bits.'.($check === Checksum::None ? ' Any byte is then believed as it comes.' : ' Two errors that cancel out pass.').($hazard === null ? '' : " {$hazard->caution()}"),
            $line->isBought() ? 'It speaks as its makers made it: keep its cable short and away from motors, and let a switch of its own guard what it moves.' : 'A CRC of 16 bits: one wrong frame in 65,536 passes, and none with fewer than three wrong bits.',
            $line->isBought() ? null : Trial::settings('Check with CRC-16/MODBUS', $look, $leg->link, ['check' => Checksum::Crc16Modbus->value]),
            numbers: ['check' => $check->value],
            about: [$leg->link->id, $leg->output->id],
        )];
    }
}
