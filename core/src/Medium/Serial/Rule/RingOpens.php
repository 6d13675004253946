<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\Severity;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Serial\SerialLine;
use Rundfunk\Medium\Serial\Topology;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** What a dead node does to a ring. */
#[Finds('serial-ring-opens', WorkStep::Links)]
final readonly class RingOpens implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $line = SerialLine::of($look->plan, $link);
        if ($line->settings->topology !== Topology::Ring || count($line->ends) < 3) {
            return [];
        }
        $names = array_map(static fn (Endpoint $end): string => $look->plan->node($end->nodeId)->name, $line->ends);
        [$first, $second, $third] = $names;
        $hazard = self::worked($look, $line->ends);

        return [Finding::of(
            $hazard === null ? Severity::Advice : Severity::Warning,
            "One dead node opens {$link->name}",
            Spot::of($link, $link->name, 'topology'),
            "Each hands on to the next: without {$second}, {$third} hears nothing of {$first}, and nobody hears that a message came.".($hazard === null ? '' : " {$hazard} stands as it stood."),
            'Let what must not stay on go off when it is unheard; or let one ask the others on one pair of RS-485, where a dead box silences nobody.',
            numbers: ['ends' => count($names)],
            about: [$link->id],
        )];
    }

    /** @param  list<Endpoint>  $ends */
    private static function worked(Look $look, array $ends): ?string
    {
        foreach ($ends as $end) {
            foreach ($look->plan->hopsTo($end) as $hop) {
                $output = $look->plan->output($look->plan->route($hop->routeId)->outputId);
                $silence = $output->settings['silenceMs'] ?? 0;
                if ($output->hazards !== [] && $silence === 0) {
                    return $output->name;
                }
            }
        }

        return null;
    }
}
