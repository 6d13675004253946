<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\FixtureSlot;
use Rundfunk\Plan\FixtureType;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;
use WeakMap;

/** A universe as it is told: who tells, who takes which slots, and how often. */
final class Universe
{
    /** Of a packet over the network, as often as most lamps are told by wire. Common practice. */
    private const NETWORK_PERIOD_US = 25_000;

    /** With so many a packet is as short as it may be. */
    private const FEWEST_SLOTS = 24;

    /** @var WeakMap<Plan, array<string, self>>|null by link: every rule and every hop asks for it, and a plan never changes */
    private static ?WeakMap $known = null;

    /**
     * @param  list<Endpoint>  $ends  in their order, by wire that along the cable
     * @param  list<Endpoint>  $senders
     * @param  list<Patched>  $patched  those that are told
     * @param  array<string, Patched>  $at  the same by end
     * @param  array<string, Node>  $nodes  by end
     * @param  array<string, list<Hop>>  $from  by end that tells
     * @param  array<string, SlotUse>  $uses  by hop
     * @param  int  $highest  the last slot that somebody listens to; 0 while nobody does
     */
    private function __construct(public readonly Link $link, public readonly DmxSettings $settings, public readonly array $ends, public readonly array $senders, public readonly array $patched, private readonly array $at, private readonly array $nodes, private readonly array $from, private readonly array $uses, public readonly int $highest)
    {
    }

    public static function of(Plan $plan, Link $link): self
    {
        self::$known ??= new WeakMap;
        $known = self::$known[$plan] ?? [];
        if (! isset($known[$link->id])) {
            $known[$link->id] = self::workedOut($plan, $link);
            self::$known[$plan] = $known;
        }

        return $known[$link->id];
    }

    private static function workedOut(Plan $plan, Link $link): self
    {
        $ends = $plan->endpointsOn($link);
        $told = $from = [];
        foreach ($plan->hopsOver($link) as $hop) {
            $told[$hop->toId][] = $hop;
            $from[$hop->fromId][] = $hop;
        }
        $patched = $at = $nodes = $uses = [];
        foreach ($ends as $end) {
            $nodes[$end->id] = $plan->node($end->nodeId);
            if ($end->role->receives()) {
                $patched[] = $at[$end->id] = self::patch($plan, $end, $told[$end->id] ?? []);
            }
        }
        foreach ($plan->hopsOver($link) as $hop) {
            $use = ($at[$hop->toId] ?? null)?->useOf($plan->route($hop->routeId)->outputId);
            if ($use !== null) {
                $uses[$hop->id] = $use;
            }
        }
        $senders = array_values(array_filter($ends, static fn (Endpoint $end): bool => $end->role->sends()));
        $highest = min(DmxFrame::MOST_SLOTS, max([0, ...array_map(static fn (Patched $one): int => $one->last() ?? 0, $patched)]));

        // Without the plan itself, or it would never be let go of.
        return new self($link, DmxSettings::of($link), $ends, $senders, $patched, $at, $nodes, $from, $uses, $highest);
    }

    /** @param  list<Hop>  $told */
    private static function patch(Plan $plan, Endpoint $end, array $told): Patched
    {
        $node = $plan->node($end->nodeId);
        $settings = DmxEnd::of($end);
        if (! $node->kind->isBought()) {
            $uses = self::ownUses($plan, $node, $told);

            return new Patched($end, $settings, $node, null, null, count($uses), $uses);
        }
        $type = $node->fixtureTypeId === null ? null : $plan->find(ThingKind::FixtureType, $node->fixtureTypeId);
        $type = $type instanceof FixtureType ? $type : null;
        $mode = $type?->mode($settings->mode);
        $outputs = [];
        foreach ($plan->outputsOf($node) as $output) {
            $outputs[$output->channel ?? ''] ??= $output;
        }
        $uses = array_map(static fn (FixtureSlot $slot): SlotUse => new SlotUse($slot, $outputs[$slot->name] ?? null), $mode->slots ?? []);

        return new Patched($end, $settings, $node, $type, $mode, $mode?->footprint() ?? 0, $uses);
    }

    /**
     * A board of ours takes one slot for each of its outputs, in their order, whether anything is told of it or not: a route more moves no slot.
     * What it is to hand on stands behind them.
     *
     * @param  list<Hop>  $told
     * @return list<SlotUse>
     */
    private static function ownUses(Plan $plan, Node $node, array $told): array
    {
        $outputs = [];
        foreach ($plan->outputsOf($node) as $output) {
            if ($output->kind->stands()) {
                $outputs[$output->id] = $output;
            }
        }
        foreach ($told as $hop) {
            $output = $plan->output($plan->route($hop->routeId)->outputId);
            $outputs[$output->id] ??= $output;
        }
        $uses = [];
        foreach ($outputs as $output) {
            $uses[] = new SlotUse(new FixtureSlot(mb_substr($output->name, 0, 24), count($uses) + 1), $output);
        }

        return $uses;
    }

    public function at(Endpoint $end): ?Patched
    {
        return $this->at[$end->id] ?? null;
    }

    public function node(Endpoint $end): Node
    {
        return $this->nodes[$end->id];
    }

    /** @return list<Hop> what an end is to tell */
    public function told(Endpoint $end): array
    {
        return $this->from[$end->id] ?? [];
    }

    /** @return int how many are sent */
    public function slotsSent(): int
    {
        return $this->settings->slots ?? max(self::FEWEST_SLOTS, $this->highest);
    }

    public function frame(): DmxFrame
    {
        return new DmxFrame($this->slotsSent(), $this->settings->breakUs, $this->settings->markUs);
    }

    /** @return int µs from one packet to the next */
    public function periodUs(): int
    {
        return $this->settings->isNetwork ? self::NETWORK_PERIOD_US : $this->frame()->periodUs();
    }

    /** @return SlotUse|null what a hop tells; null where that is no slot */
    public function slotOf(Hop $hop): ?SlotUse
    {
        return $this->uses[$hop->id] ?? null;
    }
}
