<?php

declare(strict_types=1);

namespace Rundfunk\Power;

use Generator;
use Rundfunk\Catalogue\Board;
use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Catalogue\ModuleClass;
use Rundfunk\Catalogue\SupplyClass;
use Rundfunk\Figures;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Supply;
use Rundfunk\Shape\Values;

/**
 * Finds what can feed a module soundly: the cheapest first. What is there is cheaper than what is bought, a regulator
 * cheaper than a supply of its own. A choice is tried on a plan of its own and looked through from the module up to the
 * source before it is named.
 */
final readonly class Feeding
{
    /** Regulators that may be bought, the cheapest first. */
    private const REGULATORS = ['regulator-adapter', 'low-drop-3v3', 'linear-5v', 'boost-5v', 'buck'];

    /** Supplies that may be bought: closed ones that are plugged in, the smallest first. */
    private const SOURCES = ['plug-5v-1a', 'plug-5v-3a', 'plug-12v-2a'];

    public const LIKE_LOGIC_V = 0.25;

    private Node $node;

    private ?Board $board;

    private ModuleClass $class;

    private Plan $plan;

    private function __construct(private Island $island, private Catalogue $catalogue, private Module $module)
    {
        $this->plan = $island->plan;
        $this->node = $this->plan->node($module->nodeId);
        $this->board = $catalogue->boardOf($this->node);
        $this->class = $catalogue->classOf($module);
    }

    /** Its cheapest sound supply, other than the one it has; null where none would do. */
    public static function best(Island $island, Catalogue $catalogue, Module $module): ?FeedChoice
    {
        foreach ((new self($island, $catalogue, $module))->choices() as $choice) {
            return $choice;
        }

        return null;
    }

    /** Whether what feeds it now suits it, and is sound up to its source, as far as anybody can tell. */
    public static function suits(Plan $plan, Catalogue $catalogue, Module $module): bool
    {
        $supply = $module->supplyId === null ? null : $plan->find(Supply::kind(), $module->supplyId);

        $tree = new SupplyTree($plan, $catalogue);

        return $supply instanceof Supply && ! $tree->isOutOfReach($module->nodeId, $supply) && self::holds(new Verdicts($tree), $supply, $catalogue->classOf($module), $catalogue->boardOf($plan->node($module->nodeId)), true);
    }

    /** @return list<Module> modules of a node that what feeds them suited before and suits no more, or that get too little or too much and did not before, whatever else was wrong */
    public static function unsuited(Plan $before, Plan $after, Catalogue $catalogue, Node $node): array
    {
        $was = new SupplyTree($before, $catalogue);
        $is = new SupplyTree($after, $catalogue);

        return array_values(array_filter($before->modulesOf($node), static fn (Module $module): bool => (self::suits($before, $catalogue, $module) && ! self::suits($after, $catalogue, $module))
            || ! in_array(self::wrong($is, $catalogue, $module), [0, self::wrong($was, $catalogue, $module)], true)));
    }

    /** @return int whether it is known to get a voltage that it is not made for: below nought too little, above nought too much */
    private static function wrong(SupplyTree $tree, Catalogue $catalogue, Module $module): int
    {
        $class = $catalogue->classOf($module);
        $volts = $class->isFed() ? $tree->voltsOf($module) : null;

        return match (true) {
            $volts === null || $volts->isWithin($class->minV, $class->maxV) => 0,
            $volts->isBelow($class->minV) => -1,
            default => 1,
        };
    }

    /** @return Generator<FeedChoice> */
    private function choices(): Generator
    {
        $there = $this->there();
        foreach ($there as [$supply, $isNew]) {
            if ($supply->id !== $this->module->supplyId) {
                yield from $this->ifSound(new FeedChoice($this->module, $supply, $isNew ? [$supply] : [], false));
            }
        }
        foreach ($this->regulators() as $regulator) {
            foreach ($there as [$parent, $isNew]) {
                $fed = self::with($regulator, ['parentId' => $parent->id]);
                yield from $this->ifSound(new FeedChoice($this->module, $fed, [...($isNew ? [$parent] : []), $fed], true));
            }
        }
        foreach (self::SOURCES as $key) {
            $source = $this->bought($key, "Supply of {$this->module->name}", null);
            yield from $this->ifSound(new FeedChoice($this->module, $source, [$source], true));
        }
        foreach (self::SOURCES as $key) {
            $source = $this->bought($key, "Supply of {$this->module->name}", null);
            foreach ($this->regulators() as $regulator) {
                $fed = self::with($regulator, ['parentId' => $source->id]);
                yield from $this->ifSound(new FeedChoice($this->module, $fed, [$source, $fed], true));
            }
        }
    }

    /**
     * The board's pins, whether the plan names them yet or not, and the node's other supplies. A module whose highs are as
     * high as its supply wants the one that the board's own logic has.
     *
     * @return list<array{Supply, bool}> with whether it must be added
     */
    private function there(): array
    {
        $pins = [];
        $others = [];
        foreach ($this->plan->suppliesOf($this->node) as $supply) {
            if ($this->catalogue->supplyClassOf($supply)->isBoardPin()) {
                $pins[$supply->class] ??= $supply;
            } else {
                $others[] = [$supply, false];
            }
        }
        $found = [];
        foreach ($this->board->rails ?? [] as $rail) {
            $stored = $pins[$rail->supply] ?? null;
            $found[] = [$stored ?? $this->pin($rail->supply, $rail->name), $stored === null];
        }
        $found = [...$found, ...$others];
        if ($this->class->levels?->followsSupply() === true && $this->board !== null) {
            $logicV = $this->board->logicV;
            $tree = new SupplyTree($this->plan, $this->catalogue);
            $isLogic = fn (Supply $supply): bool => abs(($tree->volts($supply)->nominalV ?? 0.0) - $logicV) < 0.2;
            usort($found, static fn (array $a, array $b): int => $isLogic($b[0]) <=> $isLogic($a[0]));
        }

        return $found;
    }

    /** A pin of a board, as a supply that modules can be on. */
    private function pin(string $class, string $rail): Supply
    {
        return new Supply($this->island->newId('supply', $this->node->id, $class), $this->node->id, $class, "{$rail} pin");
    }

    /** @return list<Supply> set to what the module wants, and fed by nothing yet */
    private function regulators(): array
    {
        $regulators = [];
        foreach (self::REGULATORS as $key) {
            $class = $this->catalogue->supplies[$key];
            $volts = $this->wanted($class);
            if ($volts !== null) {
                $regulators[] = $key === 'regulator-adapter'
                    ? new Supply($this->island->newId('adapter', $this->node->id), $this->node->id, $key, 'Regulator', order: 90)
                    : $this->bought($key, "Regulator of {$this->module->name}", $class->adjustable === null ? null : $volts);
            }
        }

        return $regulators;
    }

    /** @return float|null what such a regulator would be set to; null where it cannot give what the module wants */
    private function wanted(SupplyClass $class): ?float
    {
        if ($class->adjustable === null) {
            return $class->volts !== null && $class->volts >= $this->class->minV && $class->volts <= $this->class->maxV ? $class->volts : null;
        }
        $volts = round(($this->class->minV + $this->class->maxV) / 2, 1);

        return $volts >= $class->adjustable[0] && $volts <= $class->adjustable[1] ? $volts : null;
    }

    private function bought(string $class, string $name, ?float $volts): Supply
    {
        return new Supply($this->island->newId('supply', $this->module->id, $class), $this->node->id, $class, mb_substr($name, 0, 80), volts: $volts, order: 91);
    }

    /** @param  array<string, mixed>  $values */
    private static function with(Supply $supply, array $values): Supply
    {
        return Supply::from(new Values([...$supply->values(), ...$values]));
    }

    /** @return Generator<FeedChoice> */
    private function ifSound(FeedChoice $choice): Generator
    {
        $verdicts = new Verdicts(new SupplyTree($choice->in($this->plan), $this->catalogue));
        if (self::holds($verdicts, $choice->supply, $this->class, $this->board, false) && ! self::spoilsOthers(new Verdicts(new SupplyTree($this->plan, $this->catalogue)), $verdicts, $choice->supply, $this->catalogue) && ! $this->leavesBoardUnfed($verdicts->tree, $choice)) {
            yield $choice;
        }
    }

    /** What hangs on the same cable as a supply, and was well, gets too little: a module, a regulator, or a board that is fed there. */
    public static function spoilsOthers(Verdicts $was, Verdicts $is, Supply $supply, Catalogue $catalogue): bool
    {
        $before = $was->tree;
        $after = $is->tree;
        $cabled = array_filter([$supply, ...$after->above($supply)], static fn (Supply $one): bool => $after->cableOhm($one) > 0.0);
        foreach ($cabled === [] ? [] : $after->withAllBelow(end($cabled)) as $one) {
            $input = $after->board($one)?->input($after->feedsAt($one));
            if (($input !== null && ! $after->fits($one, $input) && $before->fits($one, $input)) || ($is->lackingV($one) !== null && $was->lackingV($one) === null)) {
                return true;
            }
            foreach ($after->fedBy($one) as $module) {
                if (self::wrong($after, $catalogue, $module) !== 0 && self::wrong($before, $catalogue, $module) === 0) {
                    return true;
                }
            }
        }

        return false;
    }

    /** It hangs on a pin of a board that nothing feeds yet, and nothing that can be had would bear both. */
    private function leavesBoardUnfed(SupplyTree $after, FeedChoice $choice): bool
    {
        $pin = $after->boardPinAbove($choice->supply);
        $node = $pin === null ? null : $this->plan->node($pin->nodeId);
        if ($node === null || $after->feeder($node) !== null) {
            return false;
        }

        return BoardFeeding::best($this->island->with($choice->in($this->plan)), $this->catalogue, $node) === null && BoardFeeding::best($this->island, $this->catalogue, $node) !== null;
    }

    /** @param  bool  $unknown  what nobody can tell is taken for sound */
    private static function holds(Verdicts $verdicts, Supply $supply, ModuleClass $class, ?Board $board, bool $unknown): bool
    {
        if ($class->ownSupply && $verdicts->tree->boardPinAbove($supply) !== null) {
            return false;
        }
        $volts = $verdicts->tree->volts($supply);
        if ($volts === null) {
            return $unknown && $verdicts->isSound($supply);
        }

        // The pins that an expander has for others give what feeds it, and are planned as the board's.
        $asLogic = ! $class->isExpander() || $board === null || abs($volts->nominalV - $board->logicV) <= self::LIKE_LOGIC_V;

        return $asLogic && $volts->isWithin($class->minV, $class->maxV) && $verdicts->isSound($supply);
    }

    /** Why this one, in the words of a proposal. */
    public static function reason(FeedChoice $choice, Plan $plan, Catalogue $catalogue): string
    {
        $tree = new SupplyTree($choice->in($plan), $catalogue);
        $class = $catalogue->classOf($choice->module);
        $peak = Figures::significant($tree->loadOf($choice->module)->peakMa).' mA at most';
        $limitMa = $tree->limitMa($choice->supply);
        $limit = $limitMa === null ? '' : ', and it is good for '.Figures::significant($limitMa).' mA';
        $wants = 'It wants '.Figures::significant($class->minV).' to '.Figures::significant($class->maxV).' V; ';

        return $choice->bought
            ? "{$wants}{$peak}. Nothing that is there gives that; this is the least to buy that does{$limit}."
            : "{$wants}{$peak}{$limit}.";
    }

    /** What feeds it, in the words of a proposal. */
    public static function words(FeedChoice $choice, Catalogue $catalogue): string
    {
        if (! $choice->bought) {
            return $choice->supply->name;
        }
        $new = $choice->toBuy($catalogue);
        $names = array_map(static fn (Supply $supply): string => $catalogue->supplyClassOf($supply)->name.($supply->volts === null ? '' : ' set to '.Figures::significant($supply->volts).' V'), array_reverse($new));

        return implode(' on a ', $names).(count($new) > 1 ? ' (buy both)' : ' (buy)');
    }
}
