<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Dmx\Dmx;
use Rundfunk\Medium\Dmx\DmxEnd;
use Rundfunk\Medium\Dmx\DmxSettings;
use Rundfunk\Medium\Dmx\PartAsked;
use Rundfunk\Medium\Dmx\Segments;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;

/** What an end's part makes of it, and the resistors at the last of each stretch. */
final readonly class EndStep implements Step
{
    public function stage(): Stage
    {
        return Stage::End;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        $draft = $plan->draft();
        foreach ($plan->linksOver(Dmx::KEY) as $link) {
            foreach (DmxSettings::of($link)->isNetwork ? [] : $plan->endpointsOn($link) as $end) {
                $class = $end->moduleId === null ? null : $knowledge->catalogue->classOf($plan->module($end->moduleId));
                $name = $class->name ?? '';
                $unlike = $class === null ? [] : array_filter(PartAsked::unlike($end, $class), static fn (string $setting): bool => ! $end->pins($setting), ARRAY_FILTER_USE_KEY);
                if ($unlike !== []) {
                    // All of it at once: where stretches begin and end follows from it.
                    $draft->change($end, ['settings' => [...$end->settings, ...$unlike]]);
                }
                foreach ($unlike as $setting => $value) {
                    yield new Proposal(
                        $this->stage(), Spot::of($end, "{$plan->node($end->nodeId)->name} on {$link->name}", $setting), PartAsked::what($setting)." {$plan->node($end->nodeId)->name} on {$link->name}",
                        PartAsked::words($end->settings[$setting] ?? null), PartAsked::words($value), "{$plan->module((string) $end->moduleId)->name} is a {$name}.",
                        [Operation::change(Endpoint::kind(), $end->id, ['settings' => [$setting => $value]])],
                    );
                }
            }
        }
        $plan = $draft->plan();
        foreach ($plan->linksOver(Dmx::KEY) as $link) {
            foreach (DmxSettings::of($link)->isNetwork ? [] : Segments::of($plan, $link)->wrongTerminators() as $end) {
                $is = DmxEnd::of($end)->terminated;
                if (! $end->pins('terminated')) {
                    yield new Proposal(
                        $this->stage(), Spot::of($end, "{$plan->node($end->nodeId)->name} on {$link->name}", 'terminated'), "120 Ω of {$plan->node($end->nodeId)->name} on {$link->name}",
                        $is ? 'on' : 'off', $is ? 'off' : 'on', 'At the last of each stretch of cable and nowhere else.',
                        [Operation::change(Endpoint::kind(), $end->id, ['settings' => ['terminated' => ! $is]])],
                    );
                }
            }
        }
    }
}
