<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Behaviour\Steps;
use Rundfunk\Drawing\Ink;
use Rundfunk\Figures;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Dmx\Shown\DmxCue;
use Rundfunk\Medium\Dmx\Shown\DmxFigures;
use Rundfunk\Medium\Dmx\Shown\DmxFixture;
use Rundfunk\Medium\Dmx\Shown\DmxSegment;
use Rundfunk\Medium\Dmx\Shown\DmxSlot;
use Rundfunk\Medium\Dmx\Shown\DmxTrigger;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\FixtureMode;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;
use Rundfunk\View\DrawsPanel;

/** The figures of a universe: the slot ruler, who stands where, and what tells it. */
final readonly class DmxPanel implements DrawsPanel
{
    private const WIDTH = 860;

    public function shape(): string
    {
        return DmxFigures::class;
    }

    public function panel(Plan $plan, Link $link, Knowledge $knowledge): DmxFigures
    {
        $universe = Universe::of($plan, $link);
        $ruler = new RulerDrawing($universe, self::WIDTH, Ink::Screen);
        $periodUs = $universe->periodUs();

        return new DmxFigures(
            $universe->settings->isNetwork,
            $universe->settings->isNetwork && $universe->settings->universe !== null ? Multicast::address($universe->settings->universe) : null,
            $universe->slotsSent(),
            round($periodUs / 1_000, 3),
            round(1_000_000 / $periodUs, 2),
            $ruler->width,
            $ruler->height,
            $ruler->markup(),
            RulerDrawing::words($universe),
            array_map(self::fixture(...), $universe->patched),
            $universe->settings->isNetwork ? [] : array_map(static fn (Segment $segment): DmxSegment => new DmxSegment(
                $segment->number, $segment->fedBy === null ? null : $universe->node($segment->fedBy)->name, count($segment->ends), Segments::loads($universe, $segment),
                $segment->last() === null ? null : $universe->node($segment->last())->name,
            ), Segments::of($plan, $link)->all()),
            $triggers = self::triggers($plan, $universe),
            self::works($plan, $triggers),
            self::bridge($universe),
        );
    }

    private static function fixture(Patched $one): DmxFixture
    {
        $switches = $one->set();

        return new DmxFixture(
            $one->end->id, $one->node->id, $one->node->name, $one->node->kind->isBought(), $one->type?->name,
            array_map(static fn (FixtureMode $mode): string => $mode->name, $one->type->modes ?? []), $one->mode->name ?? $one->settings->mode,
            $one->settings->start, $one->last(), $one->footprint,
            DmxBuild::switches($one),
            $switches === null ? null : DipDrawing::markup($switches, 0, 0, Ink::Screen),
            array_map(static fn (SlotUse $use): DmxSlot => new DmxSlot($use->slot->name, PatchSheet::place($one, $use->slot), $use->slot->is->value, $use->slot->rest, $use->slot->ranges, $use->output?->id, $one->darkens($use)), $one->uses),
        );
    }

    /** @return list<DmxTrigger> */
    private static function triggers(Plan $plan, Universe $universe): array
    {
        $cues = [];
        foreach ($universe->patched as $one) {
            foreach ($one->uses as $use) {
                foreach ($use->output === null ? [] : $plan->routesTo($use->output) as $route) {
                    $cues[$route->controlId][] = new DmxCue($route->id, $route->outputId, self::says($route), $route->fadeMs, self::rests($use, $route, $plan));
                }
            }
        }
        $triggers = [];
        foreach ($plan->controls() as $control) {
            if (isset($cues[$control->id])) {
                $triggers[] = new DmxTrigger($control->id, $control->name, $plan->node($control->nodeId)->name, $cues[$control->id]);
            }
        }

        return $triggers;
    }

    /**
     * @param  list<DmxTrigger>  $triggers
     * @return list<string> steps come by themselves: instead of them, what sets their sequence or group going
     */
    private static function works(Plan $plan, array $triggers): array
    {
        $works = [];
        foreach ($triggers as $trigger) {
            $control = $plan->control($trigger->controlId);
            $whole = $control->kind === ControlKind::Step ? Steps::whole($plan, $control) : null;
            if ($whole === null) {
                $works[$control->id] = $control->id;

                continue;
            }
            foreach ($plan->routesTo($whole) as $route) {
                $works[$route->controlId] = $route->controlId;
            }
        }

        return array_values($works);
    }

    private static function says(Route $route): string
    {
        return match ($route->action) {
            Action::Set => $route->value === null ? 'as it says' : (string) $route->value,
            Action::Step => sprintf('%+d', $route->value ?? 1),
            Action::Pulse => 'pulse '.DmxSayings::seconds($route->pulseMs ?? 1_000),
            Action::Follow => 'follows',
            Action::Momentary => 'while held',
            Action::Off => 'rest',
            default => $route->action->value,
        };
    }

    private static function rests(SlotUse $use, Route $route, Plan $plan): bool
    {
        $level = DmxSayings::level($plan, $route, $use);

        return $level !== null && $level >> 8 === $use->slot->rest;
    }

    private static function bridge(Universe $universe): ?string
    {
        foreach ($universe->senders as $sender) {
            $end = DmxEnd::of($sender);
            if ($end->bridges) {
                try {
                    $text = BridgeForm::from($end->template)->text($universe->slotsSent(), 255);
                } catch (BridgeFormRefused) {
                    return null;
                }

                return '"'.addcslashes($text, "\0..\37").'": '.strlen($text).' letters, '.Figures::significant(DmxHops::textNs($end, $universe->slotsSent()) / 1_000_000)." ms at {$end->baud} baud";
            }
        }

        return null;
    }
}
