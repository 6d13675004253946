<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Knowledge;
use Rundfunk\Medium\KeyedRadio\KeyedRadio;
use Rundfunk\Medium\KeyedRadio\KeyedSettings;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;
use Rundfunk\Plan\ThingKind;

/** How long the wire is that serves as antenna. */
final readonly class AntennaStep implements Step
{
    public function stage(): Stage
    {
        return Stage::End;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->linksOver(KeyedRadio::KEY) as $link) {
            $lengthMm = KeyedSettings::of($link)->quarterWaveMm();
            foreach ($plan->endpointsOn($link) as $endpoint) {
                $node = $plan->node($endpoint->nodeId);
                $asks = ! $node->kind->isBought() && $endpoint->settings['antenna'] === 'wire' && $endpoint->settings['antennaMm'] === null;
                if (! $asks || $endpoint->pins('antennaMm')) {
                    continue;
                }
                yield new Proposal(
                    $this->stage(),
                    Spot::of($endpoint, "{$node->name} on {$link->name}", 'antennaMm'),
                    "Antenna of {$node->name} on {$link->name}",
                    null,
                    "{$lengthMm} mm",
                    'A quarter of the wavelength, shortened by the usual twentieth.',
                    [Operation::change(ThingKind::Endpoint, $endpoint->id, ['settings' => ['antennaMm' => $lengthMm]])],
                );
            }
        }
    }
}
