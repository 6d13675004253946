<?php

declare(strict_types=1);

namespace Rundfunk\Pins\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Catalogue\Terminal;
use Rundfunk\Knowledge;
use Rundfunk\Pins\CheapestMatching;
use Rundfunk\Pins\PinPlanner;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;
use Rundfunk\Power\Circuits\Banks;
use Rundfunk\Shape\Values;

/** Which relay channel carries an output, which key a control is. */
final readonly class ChannelStep implements Step
{
    /** Weights of laying readings out over sensors: what is measured matters most. */
    private const READ_ALREADY = 1_000;

    private const OTHER_UNIT = 100_000;

    private const NOWHERE = 100_000_000;

    public function stage(): Stage
    {
        return Stage::Channel;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->nodes() as $node) {
            yield from self::thatHavePins($plan, $node, $this->placements($plan, $node, $knowledge->catalogue), $knowledge->catalogue);
        }
    }

    /** @return list<Proposal> whether the board has pins for them or not */
    public function placements(Plan $plan, Node $node, Catalogue $catalogue): array
    {
        $taken = [];
        $homeless = [];
        $things = array_values(array_filter(
            [...$plan->outputsOf($node), ...$plan->controlsOf($node)],
            static fn (Control|Output $thing): bool => $thing->kind->isWired() && ! $node->kind->isBought(),
        ));
        usort($things, static fn (Control|Output $a, Control|Output $b): int => $b->pinned <=> $a->pinned);
        foreach ($things as $thing) {
            $channel = self::channelOf($thing);
            $module = $thing->moduleId === null ? null : $plan->module($thing->moduleId);
            $terminal = $module === null || $channel === null ? null : $catalogue->classOf($module)->terminal($channel);
            $free = $module !== null && ($terminal?->shared === true || ! isset($taken[$module->id.' '.$channel]));
            $stays = $terminal !== null && $module->nodeId === $node->id && $free && $catalogue->classOf($module)->takes($terminal, $thing);
            if ($thing->pinned || $stays) {
                $taken[$thing->moduleId.' '.$channel] = true;
            } else {
                $homeless[] = $thing;
            }
        }
        do {
            $placed = $this->placed($plan, $node, $homeless, $taken, $catalogue);
            // What fits nowhere stays where it is, right or wrong: its channel is not handed to another, which would be one fault more.
            $kept = self::keptBy($homeless, $placed, $taken);
            $taken += $kept;
        } while ($kept !== []);

        return $placed;
    }

    /**
     * @param  list<Control|Output>  $homeless
     * @param  array<string, true>  $taken  by module and channel
     * @return list<Proposal>
     */
    private function placed(Plan $plan, Node $node, array $homeless, array $taken, Catalogue $catalogue): array
    {
        $placed = [...$this->readings($plan, $node, $homeless, $taken, $catalogue)];
        $banks = Banks::spread($plan, $node, array_values(array_filter($homeless, static fn (Control|Output $thing): bool => $thing instanceof Output)), $taken, $catalogue);
        foreach ($homeless as $thing) {
            if (! self::isReading($thing)) {
                $placed = [...$placed, ...$this->place($thing instanceof Output && $plan->loadsOn($thing) !== [] ? self::with($plan, array_values($placed)) : $plan, $node, $thing, $taken, $catalogue, $banks[$thing->id] ?? null)];
            }
        }

        return array_values($placed);
    }

    /**
     * @param  list<Control|Output>  $homeless
     * @param  list<Proposal>  $placed
     * @param  array<string, true>  $taken
     * @return array<string, true> channels of what was not placed, that are not yet known to be taken
     */
    private static function keptBy(array $homeless, array $placed, array $taken): array
    {
        $moved = array_map(static fn (Proposal $proposal): string => $proposal->at->id, $placed);
        $kept = [];
        foreach ($homeless as $thing) {
            $channel = self::channelOf($thing);
            if ($thing->moduleId !== null && $channel !== null && ! in_array($thing->id, $moved, true)) {
                $kept["{$thing->moduleId} {$channel}"] = true;
            }
        }

        return array_diff_key($kept, $taken);
    }

    /**
     * Only as many as the board has pins for: one without a channel is waiting, one on a channel without a pin is a fault.
     *
     * @param  list<Proposal>  $placed
     * @return list<Proposal>
     */
    private static function thatHavePins(Plan $plan, Node $node, array $placed, Catalogue $catalogue): array
    {
        if ($placed === []) {
            return [];
        }
        $planner = new PinPlanner($catalogue);
        $short = count($planner->plan($plan, $node)->unplaced ?? []);
        while ($placed !== [] && count($planner->plan(self::with($plan, $placed), $node)->unplaced ?? []) > $short) {
            $placed = array_slice($placed, 0, -1);
        }

        return $placed;
    }

    /** @param  list<Proposal>  $placed */
    public static function with(Plan $plan, array $placed): Plan
    {
        $draft = $plan->draft();
        foreach ($placed as $proposal) {
            foreach ($proposal->operations as $operation) {
                $thing = $operation->kind === null ? null : $plan->find($operation->kind, $operation->id);
                if ($thing !== null) {
                    $draft->change($thing, $operation->values);
                }
            }
        }

        return $draft->plan();
    }

    /**
     * Each reading goes to a sensor that measures such, and to one that nothing else reads while there are enough: all of
     * them are laid out together, for the first that comes may take what the next one needs.
     *
     * @param  list<Control|Output>  $homeless
     * @param  array<string, true>  $taken
     * @return iterable<Proposal>
     */
    private function readings(Plan $plan, Node $node, array $homeless, array &$taken, Catalogue $catalogue): iterable
    {
        $readings = array_values(array_filter($homeless, self::isReading(...)));
        $places = [];
        foreach ($readings === [] ? [] : $plan->modulesOf($node) as $module) {
            $class = $catalogue->classOf($module);
            foreach ($class->carries === 'reading' ? $class->channels() : [] as $terminal) {
                if (! self::canBeWired($node, $terminal, $catalogue)) {
                    continue;
                }
                foreach ($terminal->shared ? $class->reads : array_slice($class->reads, 0, 1) as $unit) {
                    $places[] = [$module, $terminal, $unit, isset($taken["{$module->id} {$terminal->name}"])];
                }
            }
        }
        if ($places === []) {
            return;
        }
        $costs = array_map(static fn (Control|Output $reading): array => array_map(
            static fn (array $place, int $at): ?int => ! $place[1]->shared && $place[3] ? null : $at + (self::unit($reading) === $place[2] ? 0 : self::OTHER_UNIT) + ($place[3] ? self::READ_ALREADY : 0),
            $places, array_keys($places),
        ), $readings);
        // More readings than sensors: those that are left share.
        $columns = count($readings) > count($places) ? array_fill(0, count($readings), null) : CheapestMatching::of($costs, array_fill(0, count($readings), self::NOWHERE));
        foreach ($readings as $index => $reading) {
            $column = $columns[$index] ?? self::cheapest($costs[$index], $places);
            if ($column === null) {
                continue;
            }
            [$module, $terminal] = $places[$column];
            $taken["{$module->id} {$terminal->name}"] = true;
            yield $this->proposal($node, $reading, $module, $terminal, self::unit($reading) === $places[$column][2] ? "It measures {$places[$column][2]}." : 'The first sensor that is free.');
        }
    }

    /**
     * @param  list<int|null>  $costs
     * @param  list<array{Module, Terminal, string, bool}>  $places
     */
    private static function cheapest(array $costs, array $places): ?int
    {
        $best = null;
        foreach ($costs as $column => $cost) {
            if ($cost !== null && $places[$column][1]->shared && ($best === null || $cost < $costs[$best])) {
                $best = $column;
            }
        }

        return $best;
    }

    /** Some pin of the board can do what the terminal asks; a node without a board gets one some day. */
    private static function canBeWired(Node $node, Terminal $terminal, Catalogue $catalogue): bool
    {
        $board = $catalogue->boardOf($node);
        foreach ($board->pins ?? [] as $pin) {
            if ($pin->serves($terminal->needs)) {
                return true;
            }
        }

        return $board === null || ! $terminal->hasPin();
    }

    private static function isReading(Control|Output $thing): bool
    {
        return $thing instanceof Control && $thing->kind === ControlKind::Reading;
    }

    private static function unit(Control|Output $reading): string
    {
        return (new Values($reading->settings))->textOrNull('unit') ?? '';
    }

    /**
     * @param  array<string, true>  $taken
     * @param  string|null  $only  the module that spreads loads best, where there are several alike
     * @return iterable<Proposal>
     */
    private function place(Plan $plan, Node $node, Control|Output $thing, array &$taken, Catalogue $catalogue, ?string $only): iterable
    {
        $modules = array_values(array_filter($plan->modulesOf($node), static fn (Module $module): bool => $only === null || $module->id === $only));
        $mixes = static fn (Module $module): bool => $thing instanceof Output && Banks::mixes($plan, $module, $thing);
        // The mains beside low voltage only where there is no other bank.
        usort($modules, static fn (Module $a, Module $b): int => $mixes($a) <=> $mixes($b));
        foreach ($modules as $module) {
            $class = $catalogue->classOf($module);
            foreach ($class->channels() as $terminal) {
                $place = $module->id.' '.$terminal->name;
                if ((isset($taken[$place]) && ! $terminal->shared) || ! $class->takes($terminal, $thing) || ! self::canBeWired($node, $terminal, $catalogue)) {
                    continue;
                }
                $taken[$place] = true;
                yield $this->proposal($node, $thing, $module, $terminal, $only === null ? 'The first free one of the right kind.' : 'So loads are spread evenly over the banks.');

                return;
            }
        }
    }

    private function proposal(Node $node, Control|Output $thing, Module $module, Terminal $terminal, string $reason): Proposal
    {
        $field = $thing instanceof Output ? 'channel' : 'terminal';
        $before = self::channelOf($thing);

        return new Proposal(
            $this->stage(),
            Spot::of($thing, "{$node->name}, {$thing->name}", $field),
            "Channel of {$node->name} · {$thing->name}",
            $before,
            "{$module->name} {$terminal->name}",
            $before === null ? $reason : "{$before} cannot stay: it is taken, or of another kind.",
            [Operation::change($thing::kind(), $thing->id, ['moduleId' => $module->id, $field => $terminal->name])],
        );
    }

    private static function channelOf(Control|Output $thing): ?string
    {
        return $thing instanceof Output ? $thing->channel : $thing->terminal;
    }
}
