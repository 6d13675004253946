<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Edit\Operation;
use Rundfunk\Knowledge;
use Rundfunk\Medium\PacketRadio\PacketAddress;
use Rundfunk\Medium\PacketRadio\PacketSettings;
use Rundfunk\Plan\Address;
use Rundfunk\Plan\Deliberate;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

/** Two receivers on one address. With acknowledge on, both answer at once. */
final readonly class SharedAddress extends PacketRule
{
    public function key(): string
    {
        return 'packet-shared-address';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        $byPlace = [];
        foreach (self::addresses($plan) as $one) {
            $channel = PacketSettings::of($one['link'])->channel;
            $place = ($channel ?? $one['link']->id).' '.$one['parsed']->hex;
            $other = $byPlace[$place] ?? null;
            $byPlace[$place] ??= $one;
            if ($other === null || $other['endpoint']->id === $one['endpoint']->id) {
                continue;
            }
            $acknowledge = PacketSettings::of($one['link'])->acknowledge;
            $meant = $one['endpoint']->means(Deliberate::Broadcast) && $other['endpoint']->means(Deliberate::Broadcast);
            if ($meant && ! $acknowledge) {
                continue;
            }
            yield $acknowledge ? $this->answering($one, $other, $meant) : $this->listening($one, $other);
        }
    }

    /**
     * @param  array{address: Address, parsed: PacketAddress, endpoint: Endpoint, node: Node, link: Link}  $one
     * @param  array{address: Address, parsed: PacketAddress, endpoint: Endpoint, node: Node, link: Link}  $other
     */
    private function answering(array $one, array $other, bool $meant): Finding
    {
        return new Finding(
            $this->key(),
            Severity::Fault,
            "{$other['node']->name} and {$one['node']->name} answer on one address",
            Subject::of($one['address'], "{$one['node']->name} on {$one['link']->name}, pipe {$one['address']->pipe}", 'value'),
            ['address' => $one['parsed']->hex, 'acknowledge' => true],
            "Both listen on {$one['parsed']->spaced()} with acknowledge on: both answer at the same instant, the answers garble each other, and the sender retries until it gives up although both have switched.",
            $meant ? 'A broadcast goes with acknowledge off.' : 'Give each its own address and send to them in turn; or, for a broadcast, turn acknowledge off and mark it as meant.',
            $meant
                ? self::setLink($one['link'], "Turn acknowledge off on {$one['link']->name}", ['acknowledge' => false])
                : new Fix("Clear the address of {$one['node']->name}, for Assign to choose", Operation::change(ThingKind::Address, $one['address']->id, ['value' => null, 'pinned' => false])),
            [$one['address']->id, $other['address']->id],
        );
    }

    /**
     * @param  array{address: Address, parsed: PacketAddress, endpoint: Endpoint, node: Node, link: Link}  $one
     * @param  array{address: Address, parsed: PacketAddress, endpoint: Endpoint, node: Node, link: Link}  $other
     */
    private function listening(array $one, array $other): Finding
    {
        return new Finding(
            $this->key(),
            Severity::Warning,
            "{$other['node']->name} and {$one['node']->name} listen on one address",
            Subject::of($one['address'], "{$one['node']->name} on {$one['link']->name}, pipe {$one['address']->pipe}", 'value'),
            ['address' => $one['parsed']->hex, 'acknowledge' => false],
            "Both take every message to {$one['parsed']->spaced()}. That is a broadcast if you mean it, and two lamps where you wanted one if you do not.",
            'Mark it as a broadcast, or give each its own address.',
            new Fix(
                'Mark it as a broadcast',
                ...array_map(
                    static fn (Endpoint $end): Operation => Operation::change(ThingKind::Endpoint, $end->id, ['deliberate' => array_values(array_unique([...$end->deliberate, Deliberate::Broadcast->value]))]),
                    [$one['endpoint'], $other['endpoint']],
                ),
            ),
            [$one['address']->id, $other['address']->id],
        );
    }
}
