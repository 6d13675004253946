<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Edit\Operation;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Shape\Values;
use Rundfunk\Plan\ThingKind;

/** A wire of the wrong length, or none at all. */
final readonly class AntennaOff extends KeyedRule implements LooksNearby
{
    private const SHARE = 0.10;

    public function key(): string
    {
        return 'keyed-antenna-off';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (self::links($plan) as ['link' => $link, 'settings' => $settings]) {
            $rightMm = $settings->quarterWaveMm();
            foreach ($plan->endpointsOn($link) as $endpoint) {
                $node = $plan->node($endpoint->nodeId);
                $values = new Values($endpoint->settings);
                $lengthMm = $values->wholeOrNull('antennaMm');
                $none = $values->text('antenna') === 'none';
                $off = $values->text('antenna') === 'wire' && $lengthMm !== null && abs($lengthMm - $rightMm) > self::SHARE * $rightMm;
                if ($node->kind->isBought() || (! $none && ! $off)) {
                    continue;
                }
                yield new Finding(
                    $this->key(),
                    Severity::Warning,
                    $none ? "{$node->name} has no antenna on {$link->name}" : "The antenna of {$node->name} is {$lengthMm} mm long and should be {$rightMm}",
                    Subject::of($endpoint, "{$node->name} on {$link->name}", 'antennaMm'),
                    ['length_mm' => $lengthMm, 'right_mm' => $rightMm],
                    'These parts come without one, and then work across a table; a straight wire of a quarter wavelength makes it a garden.',
                    "Solder {$rightMm} mm of wire to ANT, straight and away from metal.",
                    new Fix("Cut it to {$rightMm} mm", Operation::change(ThingKind::Endpoint, $endpoint->id, ['settings' => ['antenna' => 'wire', 'antennaMm' => $rightMm]])),
                );
            }
        }
    }
}
