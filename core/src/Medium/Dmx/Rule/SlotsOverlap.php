<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Dmx\Patch;
use Rundfunk\Medium\Dmx\Patched;
use Rundfunk\Medium\Dmx\Universe;
use Rundfunk\Plan\Deliberate;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** Two that take one slot. */
#[Finds('dmx-slots-overlap', WorkStep::Links)]
final readonly class SlotsOverlap implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $universe = Universe::of($look->plan, $link);
        $placed = array_values(array_filter($universe->patched, static fn (Patched $one): bool => $one->last() !== null));
        usort($placed, static fn (Patched $one, Patched $other): int => [$one->settings->start, $one->end->order, $one->end->id] <=> [$other->settings->start, $other->end->order, $other->end->id]);
        foreach ($placed as $at => $one) {
            for ($next = $at + 1; isset($placed[$next]) && $placed[$next]->settings->start <= $one->last(); $next++) {
                $other = $placed[$next];
                if (! Patch::mirrors($one, $other)) {
                    yield $this->finding($universe, $one, $other);
                }
            }
        }
    }

    private function finding(Universe $universe, Patched $one, Patched $other): Finding
    {
        $alike = $one->settings->start === $other->settings->start;
        $isMeant = $alike && ($one->end->means(Deliberate::Broadcast) || $other->end->means(Deliberate::Broadcast));
        $moved = $other->end->pins('start') && ! $one->end->pins('start') ? $one : $other;
        $free = Patch::free($universe, $moved);
        $from = $other->settings->start;
        $to = min((int) $one->last(), (int) $other->last());

        return Finding::fault(
            $isMeant ? "{$one->node->name} and {$other->node->name} are to do the same, and are not alike" : "{$one->node->name} and {$other->node->name} share ".($from === $to ? "slot {$from}" : "slots {$from} to {$to}")." of {$universe->link->name}",
            Spot::of($moved->end, "{$moved->node->name} on {$universe->link->name}", 'start'),
            $isMeant ? 'Only of one kind and in one mode does the same slot mean the same to both.' : 'Whatever is said to one is done by the other as well'.($alike ? '.' : ', as something else: its red is the other\'s shutter.'),
            $isMeant ? 'Set both to the same mode, or give each its own address.' : 'Give each its own'.($alike && $one->isLike($other) ? '; or say that they are to do the same.' : '.'),
            $free === null ? null : Fix::settings("Start {$moved->node->name} at {$free}", $moved->end, ['start' => $free]),
            numbers: ['from' => $from, 'to' => $to],
            about: [$one->end->id, $other->end->id],
        );
    }
}
