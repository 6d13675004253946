<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Dmx\DmxSayings;
use Rundfunk\Medium\Dmx\Level;
use Rundfunk\Medium\Dmx\Patched;
use Rundfunk\Medium\Dmx\SlotUse;
use Rundfunk\Medium\Dmx\Universe;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\FixtureMode;
use Rundfunk\Plan\FixtureSlot;
use Rundfunk\Plan\FixtureSlotKind;
use Rundfunk\Plan\FixtureType;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;

/** A lamp that is told its colours while its shutter or master is down. */
#[Finds('dmx-nothing-shows', WorkStep::Routes)]
final readonly class NothingShows implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        foreach (Universe::of($look->plan, $link)->patched as $one) {
            $lights = array_filter($one->uses, static fn (SlotUse $use): bool => $use->output !== null && $use->slot->opensFrom === null && $use->slot->is->lights() && $look->plan->routesTo($use->output) !== []);
            foreach ($lights === [] ? [] : $one->uses as $use) {
                if (! $use->slot->lets($use->slot->rest) && ! self::isRaised($look->plan, $use)) {
                    yield $this->finding($one, $use);
                }
            }
        }
    }

    /** Whether anything of the plan puts it where it lets light through. */
    private static function isRaised(Plan $plan, SlotUse $use): bool
    {
        $output = $use->output;
        if ($output === null) {
            return false;
        }
        foreach ($plan->routesTo($output) as $route) {
            $raised = match ($route->action) {
                Action::On, Action::Toggle, Action::Pulse, Action::Follow, Action::Momentary => $use->slot->lets(DmxSayings::on($use) >> 8),
                Action::Off => $use->slot->lets($use->slot->rest),
                Action::Set => $route->value === null || $use->slot->lets(Level::of($output)->for($route->value) >> 8),
                Action::Step => true,
            };
            if ($raised) {
                return true;
            }
        }

        return false;
    }

    private function finding(Patched $one, SlotUse $use): Finding
    {
        $slot = $use->slot;
        $open = $slot->on !== null && $slot->lets($slot->on) ? $slot->on : ($slot->is === FixtureSlotKind::Dimmer && $slot->lets(255) ? 255 : (int) $slot->opensFrom);
        $type = $one->type;

        return Finding::fault(
            "{$one->node->name} is told its colours, and its {$slot->name} stays down",
            Spot::of($one->end, "{$one->node->name} on its universe", 'mode'),
            "Nothing shows unless {$slot->name} is told {$slot->opensFrom} to ".($slot->opensTo ?? 255).": it rests at {$slot->rest}, and nothing raises it.",
            "Let a control raise {$slot->name}, or let it rest where it is open.",
            $type === null ? null : Fix::change("Let {$slot->name} rest at {$open}", $type, ['modes' => self::resting($type, (string) $one->mode?->name, $slot->name, $open)]),
            numbers: ['rest' => $slot->rest],
            about: [$one->end->id],
        );
    }

    /** @return list<array<string, mixed>> the modes, with a slot of one of them at rest elsewhere */
    private static function resting(FixtureType $type, string $mode, string $slot, int $rest): array
    {
        return array_map(static fn (FixtureMode $of): array => [
            'name' => $of->name,
            'slots' => array_map(static fn (FixtureSlot $one): array => [...$one->values(), ...($of->name === $mode && $one->name === $slot ? ['rest' => $rest] : [])], $of->slots),
        ], $type->modes);
    }
}
