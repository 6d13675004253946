<?php

declare(strict_types=1);

namespace Rundfunk\Cables;

use Rundfunk\Check\Look;
use Rundfunk\Electrical\CopperPair;
use Rundfunk\Medium\Media;
use Rundfunk\Plan\Cable;
use Rundfunk\Plan\CableCore;
use Rundfunk\Plan\CoreUse;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Supply;
use Rundfunk\Power\Load;
use Rundfunk\Power\SupplyTree;

/** A cable, what is to go through it, and what does. */
final readonly class CableRun
{
    /**
     * @param  list<CoreWant>  $wants  all that must run between its two nodes
     * @param  list<CoreWant>  $missing  of them, what no cable between them carries: this one is to, for it is the first
     */
    private function __construct(public Cable $cable, public array $wants, public array $missing, private SupplyTree $tree, private Plan $plan)
    {
    }

    public static function of(Look $look, Cable $cable): self
    {
        return self::among($look, $cable, self::beside($look->plan, $cable));
    }

    /** As it would be, were it the only one between its nodes. */
    public static function alone(Look $look, Cable $cable): self
    {
        return self::among($look, $cable, [$cable]);
    }

    /** @param  non-empty-list<Cable>  $beside  all between the same two nodes, in order */
    private static function among(Look $look, Cable $cable, array $beside): self
    {
        $plan = $look->plan;
        $tree = SupplyTree::in($look);
        $wants = $cable->fromId === $cable->toId ? [] : [...self::data($plan, $cable, $look->media), ...self::power($plan, $cable, $tree)];
        $missing = [];
        foreach ($wants as $want) {
            $met = array_filter($beside, static fn (Cable $one): bool => self::carries($one, $want)) !== [];
            // The first cable between the two takes what nobody carries.
            if (! $met && $beside[0]->id === $cable->id) {
                $missing[] = $want;
            }
        }
        // Whatever goes through a cable comes back through it.
        $ground = CoreWant::ground();
        $carries = $cable->uses !== [] || $missing !== [];
        if ($carries && $wants !== []) {
            $wants[] = $ground;
            if (! self::carries($cable, $ground)) {
                $missing[] = $ground;
            }
        }

        return new self($cable, $wants, $missing, $tree, $plan);
    }

    public function wantOf(CableCore $core): ?CoreWant
    {
        foreach ($this->wants as $want) {
            if ($want->isMetBy($core)) {
                return $want;
            }
        }

        return null;
    }

    /** @return list<CableCore> uses that nothing between the two nodes wants */
    public function idle(): array
    {
        return array_values(array_filter($this->cable->uses, fn (CableCore $core): bool => $this->wantOf($core) === null));
    }

    /** @return int cores for what is missing, once those that nothing wants are freed */
    public function left(): int
    {
        $idle = $this->idle();
        $kept = array_filter($this->cable->uses, fn (CableCore $one): bool => ! in_array($one, $idle, true) && $one->core <= $this->cable->cores);

        return $this->cable->cores - count(array_unique(array_map(static fn (CableCore $one): int => $one->core, $kept)));
    }

    /** @return float milliamperes at most, through that core of a supply */
    public function peakMa(CableCore $core): float
    {
        return $this->through($core)->peakMa;
    }

    /** @return float milliamperes in the core that carries most for hours, while all that can be on is on: of a supply, or of the grounds by which all comes back */
    public function hottestMa(): float
    {
        $held = array_map(fn (CableCore $core): float => $this->through($core)->heldMa, $this->cable->uses);

        return max([0.0, ...$held, array_sum($held) / $this->grounds()]);
    }

    /** Several cores for one supply share what it gives. */
    private function through(CableCore $core): Load
    {
        if ($core->supplyId === null) {
            return Load::none();
        }
        $cores = count(array_filter($this->cable->uses, static fn (CableCore $one): bool => $one->supplyId === $core->supplyId));

        return self::drawn($this->plan, $this->plan->supply($core->supplyId), $this->cable, $this->tree)->sharedBy($cores);
    }

    /** @return int cores by which all comes back; where the plan names none, one does */
    private function grounds(): int
    {
        return max(1, count(array_filter($this->cable->uses, static fn (CableCore $one): bool => $one->use === CoreUse::Ground)));
    }

    /** @return float milliamperes that come back through ground */
    public function returnMa(): float
    {
        return array_sum(array_map($this->peakMa(...), $this->cable->uses));
    }

    /** @return float|null ohms of one core; null where length or gauge is not known */
    public function coreOhm(): ?float
    {
        return $this->cable->lengthM === null || $this->cable->mm2 === null ? null : (new CopperPair($this->cable->mm2, $this->cable->lengthM))->loopOhm() / 2;
    }

    /** @return float|null volts that a supply loses there and back, at its peak */
    public function dropV(CableCore $core): ?float
    {
        $ohm = $this->coreOhm();

        return $ohm === null ? null : $ohm * $this->peakMa($core) / 1_000 + (float) $this->liftV();
    }

    /** @return float|null volts by which the ground of one end stands above that of the other */
    public function liftV(): ?float
    {
        $ohm = $this->coreOhm();

        return $ohm === null ? null : $ohm / $this->grounds() * $this->returnMa() / 1_000;
    }

    public function volts(CableCore $core): ?float
    {
        return $core->supplyId === null ? null : $this->tree->volts($this->plan->supply($core->supplyId))?->nominalV;
    }

    private static function carries(Cable $cable, CoreWant $want): bool
    {
        return array_filter($cable->uses, static fn (CableCore $core): bool => $want->isMetBy($core)) !== [];
    }

    /** @return non-empty-list<Cable> all between the same two nodes, the other way about as well, in order */
    private static function beside(Plan $plan, Cable $cable): array
    {
        $ends = [$cable->fromId, $cable->toId];
        $beside = array_values(array_filter(
            [...$plan->having(Cable::class, 'fromId', $cable->fromId), ...$plan->having(Cable::class, 'fromId', $cable->toId)],
            static fn (Cable $one): bool => in_array($one->toId, $ends, true) && $one->fromId !== $one->toId,
        ));
        usort($beside, static fn (Cable $one, Cable $other): int => [$one->order, $one->id] <=> [$other->order, $other->id]);

        return $beside === [] ? [$cable] : $beside;
    }

    /** @return list<CoreWant> */
    private static function data(Plan $plan, Cable $cable, Media $media): array
    {
        $wants = [];
        $done = [];
        foreach ($plan->endpointsOf($plan->node($cable->fromId)) as $end) {
            $link = $plan->link($end->linkId);
            if (! isset($done[$link->id])) {
                $done[$link->id] = true;
                $wants = [...$wants, ...$media->offering(RunsInCables::class, $link->medium)?->cores($plan, $link, $cable->fromId, $cable->toId) ?? []];
            }
        }

        return $wants;
    }

    /** @return list<CoreWant> */
    private static function power(Plan $plan, Cable $cable, SupplyTree $tree): array
    {
        $wants = [];
        foreach ([[$cable->fromId, $cable->toId], [$cable->toId, $cable->fromId]] as [$giving, $taking]) {
            foreach ($plan->suppliesOf($plan->node($giving)) as $supply) {
                if (self::fed($plan, $supply, $taking, $tree) !== [[], []]) {
                    $plus = "{$supply->name} +";
                    $wants[] = new CoreWant(CoreUse::Plus, $giving === $cable->fromId ? $plus : 'in +', $giving === $cable->fromId ? 'in +' : $plus, supplyId: $supply->id);
                }
            }
        }

        return $wants;
    }

    private static function drawn(Plan $plan, Supply $supply, Cable $cable, SupplyTree $tree): Load
    {
        [$supplies, $modules] = self::fed($plan, $supply, $supply->nodeId === $cable->fromId ? $cable->toId : $cable->fromId, $tree);

        return array_reduce([...array_map($tree->drawnBy(...), $supplies), ...array_map($tree->loadOf(...), $modules)], static fn (Load $sum, Load $one): Load => $sum->and($one), Load::none());
    }

    /** @return array{list<Supply>, list<Module>} what of another node lives on a supply */
    private static function fed(Plan $plan, Supply $supply, string $nodeId, SupplyTree $tree): array
    {
        return [
            array_values(array_filter($tree->children($supply), static fn (Supply $one): bool => $one->nodeId === $nodeId)),
            array_values(array_filter($tree->fedBy($supply), static fn (Module $one): bool => $one->nodeId === $nodeId)),
        ];
    }
}
