<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\PacketRadio\PacketRadio;
use Rundfunk\Medium\PacketRadio\PacketSettings;

/** More power than the region's short-range rules allow. */
#[Finds('packet-power-over-limit', WorkStep::Links)]
final readonly class PowerOverLimit implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $region = $look->region();
        $band = $region->band(PacketRadio::KEY);
        $settings = PacketSettings::of($end->link);
        // Who acknowledges sends as well, as strongly.
        if ($band === null || ! ($end->endpoint->role->sends() || $settings->acknowledge)) {
            return [];
        }
        $powerDbm = $end->class?->maxPowerDbm === null ? null : $end->class->maxPowerDbm + $settings->powerDbm;
        if ($powerDbm === null || $powerDbm <= $band->maxEirpDbm) {
            return [];
        }
        $name = $end->node->name;
        $lower = self::lower($settings->powerDbm, $end->class->maxPowerDbm ?? 0.0, $band->maxEirpDbm);

        return [Finding::advice(
            "{$name} sends with more than {$band->maxEirpDbm} dBm",
            $end->at('powerDbm'),
            Figures::significant($powerDbm)." dBm before the antenna's gain, where {$region->name} allows about {$band->maxEirpDbm} dBm e.i.r.p. for this kind of link ({$band->rule}; {$region->asOf}).",
            ($end->endpoint->role->sends() ? '' : 'It only receives, but acknowledges each message with that. ').'Turn the power down, or use the plain transceiver. Check your own country\'s rules.',
            $lower === null ? null : Fix::settings("Set {$lower} dBm", $end->link, ['powerDbm' => $lower]),
            numbers: ['power_dbm' => $powerDbm, 'limit_dbm' => $band->maxEirpDbm],
        )];
    }

    private static function lower(int $now, float $maxDbm, float $limitDbm): ?int
    {
        foreach ([0, -6, -12, -18] as $setting) {
            if ($setting < $now && $maxDbm + $setting <= $limitDbm) {
                return $setting;
            }
        }

        return null;
    }
}
