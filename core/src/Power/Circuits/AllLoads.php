<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits;

use Rundfunk\Catalogue\ModuleClass;
use Rundfunk\Catalogue\Switching;
use Rundfunk\Check\Look;
use Rundfunk\Plan\Circuit;
use Rundfunk\Plan\FusePlace;
use Rundfunk\Plan\Load;
use Rundfunk\Plan\Output;
use Rundfunk\Power\SupplyTree;

/** The loads of a plan with what they take, by output and by circuit; worked out as it is asked for. */
final class AllLoads
{
    /** @var array<string, Drawn> by load */
    private array $drawn = [];

    /** @var array<string, float> by circuit */
    private array $amperes = [];

    /** @var array<string, list<Drawn>> by circuit */
    private array $onCircuits = [];

    /** @var array<string, list<Circuit>>|null by parent */
    private ?array $branches = null;

    private readonly SupplyTree $tree;

    public function __construct(private readonly Look $look)
    {
        $this->tree = SupplyTree::in($look);
    }

    public static function in(Look $look): self
    {
        return $look->once(self::class, static fn (): self => new self($look));
    }

    public function drawn(Load $load): Drawn
    {
        return $this->drawn[$load->id] ??= $this->work($load);
    }

    /** @return list<Drawn> what hangs on an output and takes current at some time */
    public function on(Output $output): array
    {
        $on = [];
        foreach ($this->look->plan->loadsOn($output) as $load) {
            if ($load->use->draws()) {
                $on[] = $this->drawn($load);
            }
        }

        return $on;
    }

    public function classOf(Output $output): ?ModuleClass
    {
        return $output->moduleId === null ? null : $this->look->catalogue->classOf($this->look->plan->module($output->moduleId));
    }

    /** @return float|null the largest fuse in the line before it that the contact which switches it outlives, amperes; null where nothing switches it, or no fuse saves that */
    public function mostFuseA(Drawn $drawn): ?float
    {
        $switching = $this->switching($drawn);

        return $switching === null ? null : (new Contact($switching))->mostFuseA($drawn);
    }

    public function switching(Drawn $drawn): ?Switching
    {
        return $drawn->load->outputId === null ? null : $this->classOf($this->look->plan->output($drawn->load->outputId))?->switches;
    }

    /** @return list<Drawn> what hangs on a circuit itself */
    public function onCircuit(Circuit $circuit): array
    {
        return $this->onCircuits[$circuit->id] ??= $this->hanging($circuit);
    }

    /** @return list<Drawn> */
    private function hanging(Circuit $circuit): array
    {
        $on = [];
        foreach ($this->look->plan->having(Load::class, 'circuitId', $circuit->id) as $load) {
            if ($load->use->draws()) {
                $on[] = $this->drawn($load);
            }
        }

        return $on;
    }

    /**
     * @param  bool  $pastResidual  those behind a residual-current device of their own too
     * @return list<Circuit> it and all that branch off it, each once
     */
    public function below(Circuit $circuit, bool $pastResidual = true): array
    {
        if ($this->branches === null) {
            $this->branches = [];
            foreach ($this->look->plan->circuits() as $one) {
                $this->branches[(string) $one->parentId][] = $one;
            }
        }
        $all = [];
        $waiting = [$circuit];
        while (($one = array_pop($waiting)) !== null) {
            if (! isset($all[$one->id]) && ($pastResidual || $one === $circuit || ! $one->residual)) {
                $all[$one->id] = $one;
                $waiting = [...$waiting, ...$this->branches[$one->id] ?? []];
            }
        }

        return array_values($all);
    }

    /** @return list<Circuit> what it branches off, from the nearest on; each once */
    public function above(Circuit $circuit): array
    {
        $above = [];
        $seen = [$circuit->id => true];
        for ($id = $circuit->parentId; $id !== null && ! isset($seen[$id]); $id = $parent->parentId) {
            $seen[$id] = true;
            $parent = $this->look->plan->circuit($id);
            $above[] = $parent;
        }

        return $above;
    }

    /** @return float amperes of all that is on it and on what branches off it, with everything on */
    public function amperes(Circuit $circuit): float
    {
        return $this->amperes[$circuit->id] ??= $this->sum($circuit);
    }

    private function sum(Circuit $circuit): float
    {
        $sum = 0.0;
        foreach ($this->below($circuit) as $one) {
            foreach ($this->onCircuit($one) as $drawn) {
                $sum += $drawn->amperes ?? 0.0;
            }
        }

        return $sum;
    }

    /** @return list<float> milliamperes that its residual-current device sees go to earth */
    public function leakagesMa(Circuit $circuit): array
    {
        $all = [];
        foreach ($this->below($circuit, false) as $one) {
            foreach ($this->onCircuit($one) as $drawn) {
                $all[] = $drawn->load->leakageMa * $drawn->load->count;
            }
        }

        return $all;
    }

    /** @return float|null rating of the first fuse or breaker from here up, amperes */
    public function fuseA(Circuit $circuit): ?float
    {
        foreach ([$circuit, ...$this->above($circuit)] as $one) {
            if ($one->fuseA !== null) {
                return $one->fuseA;
            }
        }

        return null;
    }

    /**
     * @param  bool  $quick  only what blows before a semiconductor does
     * @return float|null the smallest fuse in the line before an output's contact, amperes
     */
    public function fuseBeforeA(Drawn $drawn, bool $quick = false): ?float
    {
        $all = [
            ...($drawn->load->fuseAt === FusePlace::Before ? [$drawn->load->fuseA] : []),
            ...($drawn->circuit === null ? [] : $this->fusesAbove($drawn->circuit, $quick)),
            ...($drawn->circuit !== null || $drawn->load->supplyId === null ? [] : [$this->look->plan->supply($drawn->load->supplyId)->fuseA]),
        ];
        $all = array_filter($all, is_float(...));

        return $all === [] ? null : min($all);
    }

    /** @return list<float> */
    private function fusesAbove(Circuit $circuit, bool $quick): array
    {
        $fuses = [];
        foreach ([$circuit, ...$this->above($circuit)] as $one) {
            if ($one->fuseA !== null && ! ($quick && $one->timeLag)) {
                $fuses[] = $one->fuseA;
            }
        }

        return $fuses;
    }

    public function isBehindResidual(Circuit $circuit): bool
    {
        foreach ([$circuit, ...$this->above($circuit)] as $one) {
            if ($one->residual) {
                return true;
            }
        }

        return false;
    }

    private function work(Load $load): Drawn
    {
        $circuit = $load->circuitId === null ? null : $this->look->plan->circuit($load->circuitId);
        $supply = $load->supplyId === null ? null : $this->look->plan->supply($load->supplyId);
        $volts = $circuit->volts ?? ($supply === null ? null : $this->tree->volts($supply)?->nominalV);
        $watts = $load->allWatts();

        return new Drawn($load, $circuit, $volts, $circuit === null ? $supply !== null : $circuit->direct, $volts === null || $watts === null || $volts <= 0.0 ? null : $watts / $volts);
    }
}
