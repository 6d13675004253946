<?php

declare(strict_types=1);

namespace Rundfunk\Build;

use Rundfunk\Cables\CableRun;
use Rundfunk\Cables\CoreWant;
use Rundfunk\Cables\RunsInCables;
use Rundfunk\Check\Look;
use Rundfunk\Figures;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Cable;
use Rundfunk\Plan\CoreUse;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;

/** The wires that leave a node: core by core where a cable is laid, wire by wire where none is yet. Both ends' tables say the same wire once, and where it crosses. */
final readonly class CableRows
{
    private function __construct(private Plan $plan, private Node $node, private Knowledge $knowledge)
    {
    }

    /** @return list<WiringRow> */
    public static function of(Plan $plan, Node $node, Knowledge $knowledge): array
    {
        $rows = new self($plan, $node, $knowledge);

        return [...$rows->laid(), ...$rows->unlaid()];
    }

    /** @return list<WiringRow> */
    private function laid(): array
    {
        $rows = [];
        $look = new Look($this->plan, $this->knowledge);
        foreach ($this->plan->of(Cable::class) as $cable) {
            if ($cable->fromId === $cable->toId || ($cable->fromId !== $this->node->id && $cable->toId !== $this->node->id)) {
                continue;
            }
            $run = CableRun::of($look, $cable);
            $isFrom = $cable->fromId === $this->node->id;
            $far = $this->plan->node($isFrom ? $cable->toId : $cable->fromId)->name;
            foreach ($cable->uses as $use) {
                $want = $run->wantOf($use);
                if ($want === null) {
                    continue;
                }
                [$here, $there] = $isFrom ? [$want->atFrom, $want->atTo] : [$want->atTo, $want->atFrom];
                $ma = $use->use === CoreUse::Plus ? $run->peakMa($use) : 0.0;
                $pin = $isFrom ? $use->fromPin : $use->toPin;
                $rows[] = new WiringRow($cable->name, "core {$use->core}".($pin === '' ? '' : ", plug {$pin}"), $this->terminal($want, $here), $want->linkId === null ? '' : $this->plan->link($want->linkId)->name, $ma > 0.0 ? Figures::significant($ma).' mA' : '', self::note($want, $here, $there, $far));
            }
            if ($cable->screened) {
                $rows[] = new WiringRow($cable->name, 'screen', $isFrom ? 'GND' : 'leave open', '', '', "To ground at one end only: at {$this->plan->node($cable->fromId)->name}.");
            }
        }

        return $rows;
    }

    /** @return list<WiringRow> */
    private function unlaid(): array
    {
        $rows = [];
        foreach ($this->plan->endpointsOf($this->node) as $endpoint) {
            $link = $this->plan->link($endpoint->linkId);
            $runs = $this->knowledge->media->offering(RunsInCables::class, $link->medium);
            foreach ($runs?->stretches($this->plan, $link) ?? [] as [$from, $to]) {
                if (($from === $this->node->id || $to === $this->node->id) && ! $this->isLaid($from, $to)) {
                    $rows = [...$rows, ...$this->wires($runs, $link, $endpoint, $from === $this->node->id ? $to : $from)];
                }
            }
        }

        return $rows;
    }

    /** @return list<WiringRow> */
    private function wires(?RunsInCables $runs, Link $link, Endpoint $endpoint, string $farId): array
    {
        $far = $this->plan->node($farId)->name;
        $rows = [];
        foreach ([...$runs?->cores($this->plan, $link, $this->node->id, $farId) ?? [], CoreWant::ground()] as $want) {
            $rows[] = new WiringRow($link->name, $want->atFrom, "{$want->atTo} of {$far}", $endpoint->moduleId === null ? '' : $this->plan->module($endpoint->moduleId)->name, '', self::note($want, $want->atFrom, $want->atTo, $far));
        }

        return $rows;
    }

    private function isLaid(string $from, string $to): bool
    {
        foreach ($this->plan->of(Cable::class) as $cable) {
            if (in_array([$cable->fromId, $cable->toId], [[$from, $to], [$to, $from]], true)) {
                return true;
            }
        }

        return false;
    }

    /** With the part of this node that it belongs to. */
    private function terminal(CoreWant $want, string $here): string
    {
        foreach ($want->linkId === null ? [] : $this->plan->endpointsOf($this->node) as $endpoint) {
            if ($endpoint->linkId === $want->linkId && $endpoint->moduleId !== null) {
                return "{$here} of {$this->plan->module($endpoint->moduleId)->name}";
            }
        }

        return $here;
    }

    private static function note(CoreWant $want, string $here, string $there, string $far): string
    {
        return match ($want->crosses) {
            true => "To {$there} of {$far}: here it crosses, and nowhere else.",
            false => "To {$there} of {$far}, straight: this must not cross.",
            null => "To {$there} of {$far}.",
        };
    }
}
