<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\Severity;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\Infrared\IrCodes;
use Rundfunk\Medium\Infrared\IrEnd;
use Rundfunk\Medium\Infrared\IrTuning;
use Rundfunk\Medium\LearnedCodes;
use Rundfunk\Plan\KeyCode;

/** A receiver tuned to another carrier than the code it must hear. */
#[Finds('ir-carrier-off', WorkStep::Links)]
final readonly class CarrierOff extends InfraredRule implements EndRule
{
    /** Within this a receiver hears as if it were tuned right; beyond the second it hears next to nothing. Common practice. */
    private const FINE = 0.03;

    private const DEAF = 0.10;

    public function check(End $end, Look $look): iterable
    {
        $seen = [];
        foreach ($end->node->kind->isBought() ? [] : $look->plan->hopsTo($end->endpoint) as $hop) {
            foreach (LearnedCodes::all($look->plan, $hop) as $code) {
                $carrierHz = IrCodes::carrierHz($code, $this->protocols);
                if (! isset($seen[$carrierHz])) {
                    $seen[$carrierHz] = true;
                    yield from self::judge($end, $code, $carrierHz);
                }
            }
        }
    }

    /** @return list<Finding> */
    private static function judge(End $end, KeyCode $code, int $carrierHz): array
    {
        $tunedHz = IrEnd::of($end->endpoint)->carrierKhz * 1000;
        $off = abs($carrierHz - $tunedHz) / $carrierHz;
        if ($off <= self::FINE) {
            return [];
        }
        $better = IrTuning::nearestKhz($carrierHz);
        $helps = abs($carrierHz - $better * 1000) / $carrierHz <= self::FINE;

        return [Finding::of(
            $off > self::DEAF ? Severity::Fault : Severity::Advice,
            "{$end->node->name} is tuned to ".intdiv($tunedHz, 1000).' kHz, '.$code->name.' is sent at '.Figures::significant($carrierHz / 1000),
            $end->at('carrierKhz'),
            $off > self::DEAF ? 'It hears it at arm\'s length at best.' : 'It hears it, from about half as far.',
            $helps ? "Fit a receiver for {$better} kHz if reach matters." : "No usual receiver is near it; the nearest is for {$better} kHz. Learn the code again: a carrier is easily measured wrong.",
            $helps ? Fix::settings("Fit a {$better} kHz receiver", $end->endpoint, ['carrierKhz' => $better]) : null,
            numbers: ['tuned_hz' => $tunedHz, 'carrier_hz' => $carrierHz],
            about: [$end->endpoint->id, (string) $carrierHz],
        )];
    }
}
