<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Figures;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Infrared\IrCodes;
use Rundfunk\Medium\Infrared\IrEnd;
use Rundfunk\Medium\Infrared\IrTuning;
use Rundfunk\Plan\Plan;

/** A receiver tuned to another carrier than the code it must hear. */
final readonly class CarrierOff extends InfraredRule implements LooksNearby
{
    /** Within this a receiver hears as if it were tuned right; beyond the second it hears next to nothing. Common practice. */
    private const FINE = 0.03;

    private const DEAF = 0.10;

    public function key(): string
    {
        return 'ir-carrier-off';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        $seen = [];
        foreach (self::sends($plan) as ['link' => $link, 'hop' => $hop, 'code' => $code]) {
            $endpoint = $plan->endpoint($hop->toId);
            $node = $plan->node($endpoint->nodeId);
            $tunedHz = IrEnd::of($endpoint)->carrierKhz * 1000;
            $carrierHz = IrCodes::carrierHz($code, $this->protocols);
            $off = abs($carrierHz - $tunedHz) / $carrierHz;
            if ($node->kind->isBought() || $off <= self::FINE || isset($seen["{$endpoint->id} {$carrierHz}"])) {
                continue;
            }
            $seen["{$endpoint->id} {$carrierHz}"] = true;
            $better = IrTuning::nearestKhz($carrierHz);
            $helps = abs($carrierHz - $better * 1000) / $carrierHz <= self::FINE;
            yield new Finding(
                $this->key(),
                $off > self::DEAF ? Severity::Fault : Severity::Advice,
                "{$node->name} is tuned to ".intdiv($tunedHz, 1000).' kHz, '.$code->name.' is sent at '.Figures::significant($carrierHz / 1000),
                Subject::of($endpoint, "{$node->name} on {$link->name}", 'carrierKhz'),
                ['tuned_hz' => $tunedHz, 'carrier_hz' => $carrierHz],
                $off > self::DEAF ? 'It hears it at arm\'s length at best.' : 'It hears it, from about half as far.',
                $helps ? "Fit a receiver for {$better} kHz if reach matters." : "No usual receiver is near it; the nearest is for {$better} kHz. Learn the code again: a carrier is easily measured wrong.",
                $helps ? self::setEnd($endpoint, "Fit a {$better} kHz receiver", ['carrierKhz' => $better]) : null,
                [$endpoint->id, (string) $carrierHz],
            );
        }
    }
}
