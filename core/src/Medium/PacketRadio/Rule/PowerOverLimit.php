<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Figures;
use Rundfunk\Knowledge;
use Rundfunk\Medium\PacketRadio\PacketRadio;
use Rundfunk\Medium\PacketRadio\PacketSettings;
use Rundfunk\Plan\Plan;

/** More power than the region's short-range rules allow. */
final readonly class PowerOverLimit extends PacketRule implements LooksNearby
{
    public function key(): string
    {
        return 'packet-power-over-limit';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        $region = $knowledge->catalogue->regionOf($plan);
        $band = $region->band(PacketRadio::KEY);
        if ($band === null) {
            return;
        }
        foreach ($plan->linksOver(PacketRadio::KEY) as $link) {
            $settings = PacketSettings::of($link);
            foreach (self::senders($plan, $link) as $end) {
                $class = $end->moduleId === null ? null : $knowledge->catalogue->classOf($plan->module($end->moduleId));
                $powerDbm = $class?->maxPowerDbm === null ? null : $class->maxPowerDbm + $settings->powerDbm;
                if ($powerDbm === null || $powerDbm <= $band->maxEirpDbm) {
                    continue;
                }
                $name = $plan->node($end->nodeId)->name;
                $lower = self::lower($settings->powerDbm, $class->maxPowerDbm ?? 0.0, $band->maxEirpDbm);
                yield new Finding(
                    $this->key(),
                    Severity::Advice,
                    "{$name} sends with more than {$band->maxEirpDbm} dBm",
                    Subject::of($end, "{$name} on {$link->name}", 'powerDbm'),
                    ['power_dbm' => $powerDbm, 'limit_dbm' => $band->maxEirpDbm],
                    Figures::significant($powerDbm)." dBm before the antenna's gain, where {$region->name} allows about {$band->maxEirpDbm} dBm e.i.r.p. for this kind of link ({$band->rule}; {$region->asOf}).",
                    'Turn the power down, or use the plain transceiver. Check your own country\'s rules.',
                    $lower === null ? null : self::setLink($link, "Set {$lower} dBm", ['powerDbm' => $lower]),
                );
            }
        }
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
