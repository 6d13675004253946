<?php

declare(strict_types=1);

namespace Tests\Core;

use Random\Engine\Mt19937;
use Random\Randomizer;
use Rundfunk\Demo\Sketch;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\FeedsAt;
use Rundfunk\Plan\LoadKind;
use Rundfunk\Plan\LoadUse;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\PartKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Rundfunk\Plan\Sleep;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Shipped;

/** Small plans drawn from nothing: any board, any module, any medium, wired and fed as somebody in a hurry might. */
final class RandomPlans
{
    private Randomizer $random;

    private Sketch $sketch;

    /** @var list<string> of all nodes so far */
    private array $supplies = [];

    /** @var list<string> keys of circuits */
    private array $circuits = [];

    public function __construct(int $seed, private readonly Knowledge $knowledge)
    {
        $this->random = new Randomizer(new Mt19937($seed));
        $this->sketch = new Sketch("random-{$seed}", 'Random', Shipped::assigner(), $this->one(['eu', 'us']), array_slice([1, 6, 11], 0, $this->random->getInt(0, 3)));
    }

    public function plan(int $most = 4): Plan
    {
        $count = $this->random->getInt(1, $most);
        for ($number = 1; $number <= $count; $number++) {
            $this->node("n{$number}");
        }
        $this->links($count);

        return $this->sketch->plan();
    }

    /** The same, and boards that sleep now and then, cables behind supplies, and what hangs on supplies without a contact. */
    public function lively(int $most = 4): Plan
    {
        foreach ($this->plan($most)->nodes() as $at => $node) {
            if ($this->luck(4)) {
                $this->sketch->change(ThingKind::Node, 'n'.($at + 1), ['sleep' => $this->one([Sleep::Between, Sleep::UntilKey])->value]);
            }
        }
        foreach ($this->supplies as $supply) {
            if ($this->luck(3)) {
                $this->sketch->change(ThingKind::Supply, $supply, ['cableM' => $this->one([0.3, 1.0, 4.0]), 'cableMm2' => $this->one([0.14, 0.25, 0.5])]);
            }
            if ($this->luck(3)) {
                $this->sketch->load("{$supply} load", 'What hangs on '.$supply, null, null, $this->one([LoadKind::Motor, LoadKind::Resistive, LoadKind::Lamp]), $this->one([0.5, 2.0, 8.0]), ['supplyId' => $this->sketch->id($supply), 'use' => LoadUse::AlwaysOn->value]);
            }
        }

        return $this->sketch->plan();
    }

    /** The same, and discrete parts at whatever wires there are, of whatever value: as one does who has read half of it. */
    public function patched(int $most = 4): Plan
    {
        foreach ($this->lively($most)->modules() as $module) {
            foreach ($this->knowledge->catalogue->classOf($module)->terminals as $terminal) {
                if ($this->luck(3)) {
                    $this->part(lcfirst($module->name), $terminal->name, $this->one(PartKind::cases()));
                }
            }
        }

        return $this->sketch->plan();
    }

    private function part(string $module, string $terminal, PartKind $kind): void
    {
        $values = [];
        foreach (array_keys($kind->figures()) as $figure) {
            $values[$figure] = match ($figure) {
                'microfarads' => $this->one([0.0001, 0.1, 470.0]),
                'esrOhm' => 0.05,
                default => $this->one([0.5, 100.0, 1_000.0, 4_700.0, 10_000.0, 100_000.0, 10_000_000.0]),
            };
        }
        $this->sketch->part($module, $terminal, $kind, $values);
    }

    private function node(string $key): void
    {
        $board = $this->one(array_keys($this->knowledge->catalogue->boards));
        $this->sketch->node($key, ucfirst($key), $this->one([NodeKind::Controller, NodeKind::Handset, NodeKind::Gateway]), null, $board);
        $supplies = $this->supplies($key, $board);
        for ($number = 1, $count = $this->random->getInt(0, 5); $number <= $count; $number++) {
            $this->module($key, "{$key}m{$number}", $board, $supplies);
        }
    }

    /** @return list<string> */
    private function supplies(string $node, string $board): array
    {
        $keys = [];
        $classes = array_keys($this->knowledge->catalogue->supplies);
        for ($number = 1, $count = $this->random->getInt(0, 3); $number <= $count; $number++) {
            $class = $this->one($classes);
            $isPin = $this->knowledge->catalogue->supplies[$class]->isBoardPin();
            $parents = $this->luck(3) ? $this->supplies : $keys;
            $this->sketch->supply("{$node}s{$number}", $node, $class, "S{$number}", $parents === [] || $this->luck(3) ? null : $this->one($parents), ! $isPin && $this->luck(3) ? $this->one(FeedsAt::cases()) : null, array_filter([
                'volts' => $class === 'other' && $this->luck(2) ? $this->random->getInt(3, 14) : null,
            ], static fn (?int $volts): bool => $volts !== null));
            $keys[] = "{$node}s{$number}";
            $this->supplies[] = "{$node}s{$number}";
        }

        // Now and then what a module lives on stands at another node.
        return $this->luck(4) ? $this->supplies : $keys;
    }

    /** @param  list<string>  $supplies */
    private function module(string $node, string $key, string $board, array $supplies): void
    {
        $class = $this->knowledge->catalogue->modules[$this->one(array_keys($this->knowledge->catalogue->modules))];
        $this->sketch->module($key, $node, $class->key, ucfirst($key), $supplies !== [] && $this->luck(3) ? $this->one($supplies) : null);
        $pins = array_keys($this->knowledge->catalogue->boards[$board]->pins);
        foreach ($class->terminals as $terminal) {
            if ($this->luck(12)) {
                $this->sketch->wire($key, $terminal->name, $this->one($pins), $this->luck(4));
            }
            if ($terminal->carries === 'output' && $this->luck(2)) {
                $this->sketch->output("{$key}{$terminal->name}", $node, "{$key} {$terminal->name}", OutputKind::from((string) $class->carries), null, null, more: ['hazards' => $this->luck(4) ? ['heat'] : [], ...$this->safe()]);
                $this->load("{$key}{$terminal->name}");
            } elseif ($terminal->carries === 'control' && $this->luck(2)) {
                $kind = match (true) {
                    $class->carries === 'reading' => ControlKind::Reading,
                    $terminal->needs === 'analogue' => ControlKind::Axis,
                    default => $this->luck(4) ? ControlKind::Switch : ControlKind::Button,
                };
                $this->sketch->control("{$key}{$terminal->name}", $node, "{$key} {$terminal->name}", $kind, null, null, $kind === ControlKind::Reading ? ['unit' => $this->one(['°C', '%']), 'threshold' => 5.0] : []);
            }
        }
    }

    /** @return array<string, bool|string> what it must be, and what it hangs on; mostly nobody has said */
    private function safe(): array
    {
        return $this->luck(3) ? [
            'safe' => $this->one(['off', 'off', 'on', 'any']), 'levelFirst' => $this->luck(2), 'atStart' => $this->one(['off', 'on', 'last']),
            'contact' => $this->one(['normally-open', 'normally-closed']), 'secondBreak' => $this->one(['none', 'thermostat']),
        ] : [];
    }

    private function load(string $output): void
    {
        if (! $this->luck(3)) {
            return;
        }
        if ($this->circuits === [] || $this->luck(4)) {
            $circuit = 'c'.count($this->circuits);
            $this->sketch->circuit($circuit, ucfirst($circuit), ['volts' => $this->one([12.0, 24.0, 230.0]), 'direct' => $this->luck(2), 'fuseA' => $this->one([null, 1.0, 6.0, 16.0]), 'mm2' => $this->one([null, 0.5, 1.5]), 'timeLag' => $this->luck(2), 'residual' => $this->luck(2), 'outdoors' => $this->luck(2)], $this->circuits === [] || $this->luck(2) ? null : $this->circuits[0]);
            $this->circuits[] = $circuit;
        }
        $this->sketch->load("{$output}-load", "Load of {$output}", $output, $this->one($this->circuits), $this->one(LoadKind::cases()), $this->one([null, 5.0, 60.0, 900.0]), ['fuseA' => $this->one([null, 1.0, 4.0]), 'fuseAt' => $this->one(['before', 'after']), 'leakageMa' => $this->one([0.0, 6.0]), 'outlet' => $this->one(['', '1', '2'])]);
    }

    private function links(int $nodes): void
    {
        foreach ($this->knowledge->media->all() as $medium) {
            if (! $this->luck(3)) {
                continue;
            }
            $this->sketch->link($medium->key(), ucfirst($medium->name()), $medium->key());
            for ($number = 1; $number <= $nodes; $number++) {
                if ($this->luck(2)) {
                    $this->sketch->join($medium->key(), "n{$number}", $this->one(Role::cases()));
                }
            }
        }
        $plan = $this->sketch->plan();
        foreach ($plan->controls() as $control) {
            $outputs = $plan->outputs();
            if ($outputs !== [] && $this->luck(2)) {
                $key = explode(' ', $control->name);
                $output = explode(' ', $this->one($outputs)->name);
                $this->sketch->route("{$key[0]}{$key[1]}", $this->one([Action::On, Action::Off, Action::Toggle]), "{$output[0]}{$output[1]}");
            }
        }
        $this->answers();
    }

    /** Some outputs tell how they stand, to whoever has something to show it. */
    private function answers(): void
    {
        $outputs = $this->sketch->plan()->outputs();
        foreach ($outputs as $output) {
            $shows = $this->one($outputs);
            if ($output->kind->isWired() && $this->luck(4)) {
                $key = str_replace(' ', '', $output->name);
                $this->sketch->state($key, "{$key}-is", "{$output->name} is", null, ['everyS' => $this->one([0, 10, 60])]);
                $this->sketch->route("{$key}-is", Action::Follow, str_replace(' ', '', $shows->name));
            }
        }
    }

    /** Once in so many times. */
    private function luck(int $of): bool
    {
        return $this->random->getInt(1, $of) === 1;
    }

    /**
     * @template T
     *
     * @param  non-empty-array<T>  $of
     * @return T
     */
    private function one(array $of): mixed
    {
        $of = array_values($of);

        return $of[$this->random->getInt(0, count($of) - 1)];
    }
}
