<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\PacketRadio\PacketEars;
use Rundfunk\Medium\PacketRadio\PacketSettings;
use Rundfunk\Plan\Deliberate;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Spot;
use Rundfunk\Plan\ThingKind;

/** Two receivers on one address. With acknowledge on, both answer at once. */
#[Finds('packet-shared-address', WorkStep::Links)]
final readonly class SharedAddress implements PlanRule
{
    public function check(Look $look): iterable
    {
        $byPlace = [];
        foreach (PacketEars::all($look->plan) as $one) {
            $settings = PacketSettings::of($one->link);
            // At another rate it is not heard at all.
            $place = ($settings->channel ?? $one->link->id)." {$settings->rate->value} {$one->parsed->hex}";
            $other = $byPlace[$place] ?? null;
            $byPlace[$place] ??= $one;
            if ($other === null || $other->endpoint->id === $one->endpoint->id) {
                continue;
            }
            $acknowledge = PacketSettings::of($one->link)->acknowledge;
            $meant = $one->endpoint->means(Deliberate::Broadcast) && $other->endpoint->means(Deliberate::Broadcast);
            if ($meant && ! $acknowledge) {
                continue;
            }
            yield $acknowledge ? $this->answering($one, $other, $meant) : $this->listening($one, $other);
        }
    }

    private function answering(PacketEars $one, PacketEars $other, bool $meant): Finding
    {
        return Finding::fault(
            "{$other->node->name} and {$one->node->name} answer on one address",
            Spot::of($one->address, $one->where(), 'value'),
            "Both listen on {$one->parsed->spaced()} with acknowledge on: both answer at the same instant, the answers garble each other, and the sender retries until it gives up although both have switched.",
            $meant ? 'A broadcast goes with acknowledge off.' : 'Give each its own address and send to them in turn; or, for a broadcast, turn acknowledge off and mark it as meant.',
            $meant
                ? Fix::settings("Turn acknowledge off on {$one->link->name}", $one->link, ['acknowledge' => false])
                : Fix::change("Clear the address of {$one->node->name}, for Assign to choose", $one->address, ['value' => null, 'pinned' => false]),
            numbers: ['address' => $one->parsed->hex, 'acknowledge' => true],
            about: [$one->address->id, $other->address->id],
        );
    }

    private function listening(PacketEars $one, PacketEars $other): Finding
    {
        return Finding::warning(
            "{$other->node->name} and {$one->node->name} listen on one address",
            Spot::of($one->address, $one->where(), 'value'),
            "Both take every message to {$one->parsed->spaced()}. That is a broadcast if you mean it, and two lamps where you wanted one if you do not.",
            'Mark it as a broadcast, or give each its own address.',
            new Fix(
                'Mark it as a broadcast',
                ...array_map(
                    static fn (Endpoint $end): Operation => Operation::change(ThingKind::Endpoint, $end->id, ['deliberate' => array_values(array_unique([...$end->deliberate, Deliberate::Broadcast->value]))]),
                    [$one->endpoint, $other->endpoint],
                ),
            ),
            numbers: ['address' => $one->parsed->hex, 'acknowledge' => false],
            about: [$one->address->id, $other->address->id],
        );
    }
}
