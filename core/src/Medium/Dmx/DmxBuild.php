<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Build\AgreesOn;
use Rundfunk\Build\Define;
use Rundfunk\Build\DescribesEnds;
use Rundfunk\Build\SetsUp;
use Rundfunk\Pins\SetsBaud;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;
use Rundfunk\Text\CNames;
use Rundfunk\Text\UniqueNames;

/** What the builder of an end needs: how packets are timed, and which slot is whose; for a lamp its address, switches and mode. */
final readonly class DmxBuild implements AgreesOn, DescribesEnds, SetsBaud, SetsUp
{
    public function defines(Plan $plan, Endpoint $endpoint): array
    {
        $universe = Universe::of($plan, $plan->link($endpoint->linkId));
        $end = DmxEnd::of($endpoint);
        $defines = [];
        if ($endpoint->role->sends()) {
            $defines = match (true) {
                $universe->settings->isNetwork => [new Define('UNIVERSE', (string) ($universe->settings->universe ?? 0), $universe->settings->universe === null ? 'no number yet' : 'to '.Multicast::address($universe->settings->universe).', UDP '.Multicast::PORT), new Define('PRIORITY', (string) $end->priority)],
                $end->bridges => [new Define('BAUD', (string) $end->baud, '8N1, to the bridge')],
                default => [new Define('BAUD', (string) DmxFrame::BAUD, '8N2'), new Define('BREAK_US', (string) $universe->settings->breakUs, 'the line low before each packet'), new Define('MARK_US', (string) $universe->settings->markUs, 'then high, then a byte 0, then the slots')],
            };
        }
        $names = new UniqueNames;
        foreach ($universe->patched as $one) {
            foreach ($one->end->id === $endpoint->id || $endpoint->role->sends() ? $one->uses : [] as $use) {
                $place = $one->place($use->slot->at);
                if ($use->output !== null && $place !== null) {
                    $defines[] = new Define($names->name('SLOT_OF_'.CNames::upper("{$one->node->name} {$use->slot->name}")), (string) $place, "{$one->node->name}: {$use->slot->name}".($use->slot->fineAt === null ? '' : ', its low byte in '.$one->place($use->slot->fineAt)));
                }
            }
        }

        return $defines;
    }

    public function baud(Plan $plan, Endpoint $endpoint): int
    {
        $end = DmxEnd::of($endpoint);

        return $end->bridges ? $end->baud : DmxFrame::BAUD;
    }

    public function settingUp(Plan $plan, Endpoint $endpoint): array
    {
        $universe = Universe::of($plan, $plan->link($endpoint->linkId));
        $one = $universe->at($endpoint);
        $said = [];
        if ($one?->settings->start !== null && $one->footprint > 0) {
            $said[] = "start address {$one->settings->start}";
            $switches = self::switches($one);
            if ($switches !== null) {
                $said[] = "switches {$switches}";
            }
        }
        if ($one?->mode !== null && $one->type !== null && count($one->type->modes) > 1) {
            $said[] = "mode \"{$one->mode->name}\"";
        }
        if ($universe->settings->isNetwork) {
            return [...$said, ...($universe->settings->universe === null ? [] : ["universe {$universe->settings->universe}"])];
        }

        return [...$said, 'its 120 Ω '.(DmxEnd::of($endpoint)->terminated ? 'on' : 'off')];
    }

    /** @return string|null which of its switches are on, in words; null for what has none, or cannot be set so */
    public static function switches(Patched $one): ?string
    {
        $switches = $one->set();

        return $switches === null ? null : DipSwitches::words(...$switches);
    }

    public function agreedOn(Plan $plan, Link $link): array
    {
        $universe = Universe::of($plan, $link);
        $place = [];
        foreach ($universe->ends as $at => $end) {
            $place[$end->id] = $at;
        }
        $said = [];
        foreach ($universe->patched as $one) {
            foreach ($one->uses as $use) {
                $said[] = [$place[$one->end->id], $use->slot->at, $use->slot->fineAt, $use->slot->rest, $use->slot->on];
            }
        }
        foreach ($plan->hopsOver($link) as $hop) {
            $route = $plan->route($hop->routeId);
            $use = $universe->slotOf($hop);
            $level = Level::of($plan->output($route->outputId));
            $said[] = [$place[$hop->fromId], $place[$hop->toId], $use?->slot->at, $route->action->value, DmxSayings::value($plan, $route), $route->pulseMs, $route->fadeMs, $level->lowest(), $level->whole()];
        }

        return $said;
    }
}
