<?php

declare(strict_types=1);

namespace Rundfunk\Power;

use Rundfunk\Catalogue\Board;
use Rundfunk\Catalogue\BoardInput;
use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Catalogue\ModuleClass;
use Rundfunk\Catalogue\Rail;
use Rundfunk\Catalogue\SupplyClass;
use Rundfunk\Catalogue\SupplySort;
use Rundfunk\Check\Look;
use Rundfunk\Electrical\CopperPair;
use Rundfunk\Plan\FeedsAt;
use Rundfunk\Plan\Load as PlanLoad;
use Rundfunk\Plan\LoadUse;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Part;
use Rundfunk\Plan\PartKind;
use Rundfunk\Plan\PinUse;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Supply;

/**
 * What lives on what: supplies with their parents, on one node or across several, the boards they feed and the modules.
 * Voltages come down from the sources, currents go up to them. The pins of a board live on whatever feeds the board.
 * Worked out as it is asked for.
 */
final class SupplyTree
{
    /** What a regulator on a board keeps for itself at its VIN pin: its output strays by so much. Common practice. */
    private const VIN_TOLERANCE = 4.0;

    /** What the regulator of a board for a single cell keeps for itself. Data sheets of low-drop regulators, from memory. */
    private const CELL_DROPOUT_V = 0.2;

    /** What the diode of one channel takes without an indicator. Trade book §13. */
    private const SIGNAL_MA = 4.0;

    /** @var array<string, Volts|null> by supply */
    private array $volts = [];

    /** @var array<string, Volts|null> by supply */
    private array $given = [];

    /** @var array<string, float|null> by supply */
    private array $nominal = [];

    /** @var array<string, Load> by supply */
    private array $loads = [];

    /** @var array<string, bool> by supply */
    private array $circular = [];

    /** @var array<string, Supply|null> by supply */
    private array $batteries = [];

    /** @var array<string, float> by supply */
    private array $ohms = [];

    /** @var array<string, Supply|null> by node */
    private array $feeders = [];

    public function __construct(private readonly Plan $plan, private readonly Catalogue $catalogue)
    {
    }

    /** The tree of the plan that rules look at, worked out once for all of them. */
    public static function in(Look $look): self
    {
        return $look->once(self::class, static fn (): self => new self($look->plan, $look->catalogue));
    }

    public function classOf(Supply $supply): SupplyClass
    {
        return $this->catalogue->supplyClassOf($supply);
    }

    public function board(Supply $supply): ?Board
    {
        return $this->catalogue->boardOf($this->plan->node($supply->nodeId));
    }

    /** The pin of the node's board that a supply stands for; null for another, or where the board has none such. */
    public function rail(Supply $supply): ?Rail
    {
        return $this->classOf($supply)->isBoardPin() ? $this->board($supply)?->rail($supply->class) : null;
    }

    /** What feeds the board of a node. */
    public function feeder(Node $node): ?Supply
    {
        if (! array_key_exists($node->id, $this->feeders)) {
            $this->feeders[$node->id] = $this->feedersOf($node)[0] ?? null;
        }

        return $this->feeders[$node->id];
    }

    /** @return list<Supply> all that say so; a board should have one. A cell at its charger goes first: unplugged, the board lives on that. */
    public function feedersOf(Node $node): array
    {
        $feeders = array_values(array_filter($this->plan->suppliesOf($node), fn (Supply $supply): bool => $this->feedsAt($supply) !== null));
        usort($feeders, static fn (Supply $a, Supply $b): int => ($b->feedsAt === FeedsAt::Cell) <=> ($a->feedsAt === FeedsAt::Cell));

        return $feeders;
    }

    /** The pin of a board that it is, or lives on by a line or a regulator. */
    public function boardPinAbove(Supply $supply): ?Supply
    {
        foreach ([$supply, ...$this->above($supply)] as $one) {
            if ($this->classOf($one)->isBoardPin()) {
                return $one;
            }
        }

        return null;
    }

    /** The input at which it feeds the board of its node. A pin of that board cannot, whatever a plan says. */
    public function feedsAt(Supply $supply): ?FeedsAt
    {
        return $this->classOf($supply)->isBoardPin() ? null : $supply->feedsAt;
    }

    /** What it gives is what such an input is made for; false where nobody can tell. */
    public function fits(Supply $supply, BoardInput $input): bool
    {
        return $this->volts($supply)?->isWithin($input->minV, $input->maxV) === true && $this->isChargedRightly($supply, $input);
    }

    /** What stands at the input for a cell is charged there: nothing but a cell of its kind may be. */
    public function isChargedRightly(Supply $supply, BoardInput $input): bool
    {
        return $input->at !== FeedsAt::Cell || $this->classOf($supply)->cell?->chargedToV !== null;
    }

    /** @return list<Supply> it and all that live on it, at however many removes, each once */
    public function withAllBelow(Supply $supply): array
    {
        $all = [];
        $waiting = [$supply];
        while (($one = array_pop($waiting)) !== null) {
            if (! isset($all[$one->id])) {
                $all[$one->id] = $one;
                $waiting = [...$waiting, ...$this->children($one)];
            }
        }

        return array_values($all);
    }

    /** The supply that one lives on. */
    public function parent(Supply $supply): ?Supply
    {
        if ($this->classOf($supply)->isBoardPin()) {
            return $this->feeder($this->plan->node($supply->nodeId));
        }
        $parent = $supply->parentId === null ? null : $this->plan->find(Supply::kind(), $supply->parentId);

        return $parent instanceof Supply ? $parent : null;
    }

    /** It stands at another node, and one of the two is carried about. */
    public function isOutOfReach(string $nodeId, Supply $supply): bool
    {
        return $supply->nodeId !== $nodeId && ($this->plan->node($nodeId)->kind->isCarried() || $this->plan->node($supply->nodeId)->kind->isCarried());
    }

    /** @return list<Supply> all that have to bear it: the one that it lives on, and of a board's pin whatever else feeds the board, plugged in beside a cell */
    public function bearers(Supply $supply): array
    {
        $parent = $this->parent($supply);

        return match (true) {
            $parent === null => [],
            $this->classOf($supply)->isBoardPin() => $this->feedersOf($this->plan->node($supply->nodeId)),
            default => [$parent],
        };
    }

    /** @return list<Supply> from the one that feeds it up to the source; each once, even where they go round in a circle */
    public function above(Supply $supply): array
    {
        $above = [];
        $seen = [$supply->id => true];
        while (($supply = $this->parent($supply)) !== null && ! isset($seen[$supply->id])) {
            $seen[$supply->id] = true;
            $above[] = $supply;
        }

        return $above;
    }

    /** It lives on itself, by way of others or not. */
    public function isCircular(Supply $supply): bool
    {
        $way = [];
        for ($one = $supply; $one !== null && ! isset($this->circular[$one->id]); $one = $this->parent($one)) {
            if (isset($way[$one->id])) {
                // From here on round and back: all of these live on themselves.
                foreach (array_slice(array_keys($way), (int) array_search($one->id, array_keys($way), true)) as $id) {
                    $this->circular[$id] = true;
                }
                break;
            }
            $way[$one->id] = true;
        }
        foreach (array_keys($way) as $id) {
            $this->circular[$id] ??= false;
        }

        return $this->circular[$supply->id];
    }

    /** @return Volts|null null where nobody can tell */
    public function volts(Supply $supply): ?Volts
    {
        if (! array_key_exists($supply->id, $this->volts)) {
            // Whoever asks again on the way round gets no answer.
            $this->volts[$supply->id] = null;
            $this->volts[$supply->id] = $this->given($supply)?->less($this->cableDropV($supply) + $this->leadDropV($supply));
        }

        return $this->volts[$supply->id];
    }

    public function moduleClass(Module $module): ModuleClass
    {
        return $this->catalogue->classOf($module);
    }

    /** The supply that feeds a module. */
    public function feeding(Module $module): ?Supply
    {
        $supply = $module->supplyId === null ? null : $this->plan->find(Supply::kind(), $module->supplyId);

        return $supply instanceof Supply ? $supply : null;
    }

    /** @return list<Part> at the terminal by which it is fed */
    public function capacitorsAt(Module $module): array
    {
        $terminal = $this->catalogue->classOf($module)->feedTerminal();

        return array_values(array_filter($this->plan->partsOf($module), static fn (Part $part): bool => $part->kind === PartKind::Capacitor && $part->terminal === $terminal && $part->microfarads !== null));
    }

    /** What a module gets; null where nothing feeds it, or nobody can tell. */
    public function voltsOf(Module $module): ?Volts
    {
        $supply = $this->feeding($module);

        return $supply === null ? null : $this->volts($supply);
    }

    /** Two feed its board at a time, and the one with more volts feeds the other one back. A cell at the pads of a charger is what USB is to charge. */
    public function feedsTwice(Node $node): bool
    {
        $feeders = $this->feedersOf($node);
        $cells = array_filter($feeders, static fn (Supply $supply): bool => $supply->feedsAt === FeedsAt::Cell);

        return count($feeders) > 2 || (count($feeders) === 2 && count($cells) !== 1);
    }

    /** What the signal side of a module gets: apart from its coils, where its jumper is off. */
    public function signalVoltsOf(Module $module): ?Volts
    {
        $supply = $module->signalSupplyId === null ? null : $this->plan->find(Supply::kind(), $module->signalSupplyId);

        return $supply instanceof Supply ? $this->volts($supply) : $this->voltsOf($module);
    }

    /** Before its cable. */
    private function given(Supply $supply): ?Volts
    {
        if (! array_key_exists($supply->id, $this->given)) {
            $this->given[$supply->id] = null;
            $this->given[$supply->id] = $this->gives($supply);
        }

        return $this->given[$supply->id];
    }

    private function gives(Supply $supply): ?Volts
    {
        $class = $this->classOf($supply);
        $parent = $this->parent($supply);

        return match ($class->sort) {
            SupplySort::BoardPin => $this->pinVolts($supply, $parent),
            SupplySort::Line => $parent === null ? null : $this->volts($parent),
            SupplySort::Battery => $supply->volts === null || $class->volts === null || $class->minV === null || $class->maxV === null
                ? new Volts($class->minV ?? 0.0, $class->volts ?? 0.0, $class->maxV ?? 0.0)
                : new Volts($class->minV * $supply->volts / $class->volts, $supply->volts, $class->maxV * $supply->volts / $class->volts),
            default => ($volts = $supply->volts ?? $class->volts) === null ? null : Volts::within($volts, $class->tolerancePercent),
        };
    }

    /**
     * What it is made to give, whatever its cable or those before it lose: by that a current is reckoned, and what is lost by
     * the current. The other way about as well, either would wait for the other.
     *
     * @return float|null null where nobody can tell
     */
    private function nominalV(Supply $supply): ?float
    {
        if (! array_key_exists($supply->id, $this->nominal)) {
            // Whoever asks again on the way round gets no answer.
            $this->nominal[$supply->id] = null;
            $class = $this->classOf($supply);
            $parent = $this->parent($supply);
            $this->nominal[$supply->id] = match (true) {
                $class->sort === SupplySort::BoardPin && ! $this->isWireTo($supply, $parent) => $this->isDead($supply, $parent) ? 0.0 : $this->rail($supply)?->volts,
                $class->sort === SupplySort::BoardPin, $class->sort === SupplySort::Line => $parent === null ? null : $this->nominalV($parent),
                $class->sort === SupplySort::Battery => $supply->volts ?? $class->volts ?? 0.0,
                default => $supply->volts ?? $class->volts,
            };
        }

        return $this->nominal[$supply->id];
    }

    /** The board is fed at that very pin, or at USB, which goes to its 5 V pin. */
    private function isWireTo(Supply $pin, ?Supply $feeder): bool
    {
        $at = $feeder?->feedsAt;

        return $at !== null && $this->rail($pin) !== null && ($at->pinClass() === $pin->class || ($at === FeedsAt::Usb && $pin->class === FeedsAt::FiveVolt->pinClass()));
    }

    /** A board that is fed behind its regulator, or from a cell, has nothing on its 5 V pin. */
    private function isDead(Supply $pin, ?Supply $feeder): bool
    {
        return $this->rail($pin) !== null && $pin->class === FeedsAt::FiveVolt->pinClass() && ($feeder?->feedsAt === FeedsAt::ThreeVolt || $feeder?->feedsAt === FeedsAt::Cell);
    }

    private function pinVolts(Supply $pin, ?Supply $feeder): ?Volts
    {
        $rail = $this->rail($pin);
        if ($rail === null) {
            return null;
        }
        if ($feeder !== null && $this->isWireTo($pin, $feeder)) {
            return $this->volts($feeder);
        }
        if ($this->isDead($pin, $feeder)) {
            return new Volts(0.0, 0.0, 0.0);
        }
        $at = $feeder?->feedsAt;
        $cell = $at === FeedsAt::Cell ? $this->volts($feeder) : null;
        if ($cell !== null) {
            // An empty cell is below what the regulator wants: its output goes down with it.
            return new Volts(max(0.0, min($rail->volts * 0.98, $cell->minV - self::CELL_DROPOUT_V)), $rail->volts, $rail->volts * 1.02);
        }

        return Volts::within($rail->volts, $at === FeedsAt::Vin ? self::VIN_TOLERANCE : $this->classOf($pin)->tolerancePercent);
    }

    /** @return float|null what may be drawn from it, milliamperes */
    public function limitMa(Supply $supply): ?float
    {
        $class = $this->classOf($supply);
        if (! $class->isBoardPin()) {
            return $supply->limitMa ?? $class->limitMa;
        }
        $feeder = $this->parent($supply);
        // A pin that the board is fed at is a wire: what feeds it is the limit.
        if ($feeder?->feedsAt?->pinClass() === $supply->class) {
            return null;
        }

        return $supply->limitMa ?? $this->rail($supply)?->limitMa;
    }

    /** All that it has to give. */
    public function load(Supply $supply): Load
    {
        if (! isset($this->loads[$supply->id])) {
            $this->loads[$supply->id] = Load::none();
            $sum = Load::none();
            foreach ($this->takes($supply) as $take) {
                $sum = $sum->and($take->load);
            }
            $this->loads[$supply->id] = $sum;
        }

        return $this->loads[$supply->id];
    }

    /** @return list<Take> what draws from it */
    public function takes(Supply $supply): array
    {
        $takes = [];
        if ($this->feedsAt($supply) !== null) {
            $node = $this->plan->node($supply->nodeId);
            $board = $this->catalogue->boardOf($node);
            $feeder = $this->feeder($node);
            $charges = $feeder !== null && $feeder->id !== $supply->id && $feeder->feedsAt === FeedsAt::Cell && $board?->input(FeedsAt::Cell) !== null;
            if ($board !== null && ($charges || $feeder?->id === $supply->id)) {
                $takes[] = new Take($node, $node->name, new Load($board->own->typicalMa, $board->own->typicalMa, $board->own->peakMa));
                array_push($takes, ...$this->onPins($node, $board));
            }
            if ($board !== null && $charges) {
                array_push($takes, ...$this->whilePluggedIn($node, $board, $feeder, $supply));
            }
        }
        foreach ($this->fedBy($supply) as $module) {
            $takes[] = new Take($module, $module->name, $this->loadOf($module));
        }
        foreach ($this->plan->having(Module::class, 'signalSupplyId', $supply->id) as $module) {
            $takes[] = new Take($module, "signal side of {$module->name}", (new Load(0.0, self::SIGNAL_MA, self::SIGNAL_MA))->times(count($this->catalogue->classOf($module)->channels())));
        }
        array_push($takes, ...$this->loadsOn($supply));
        foreach ($this->children($supply) as $child) {
            // Of what lives on itself nobody can tell: the sum would hang on where one began to ask.
            $takes[] = new Take($child, $child->name, $this->isCircular($child) ? Load::none() : $this->drawnBy($child));
        }

        return $takes;
    }

    /** @return list<Take> the plan's loads on it, switched or not, without all else that draws from it */
    public function loadsOn(Supply $supply): array
    {
        $takes = [];
        foreach ($this->plan->having(PlanLoad::class, 'supplyId', $supply->id) as $load) {
            $takes[] = new Take($load, $load->name, $this->loadOfLoad($load, $supply));
        }

        return $takes;
    }

    /** @return list<Take> what the pins of a board and its charger draw from what feeds it beside a cell */
    private function whilePluggedIn(Node $node, Board $board, Supply $cell, Supply $plugged): array
    {
        $above = $this->above($plugged);
        $pins = array_filter($this->plan->suppliesOf($node), fn (Supply $supply): bool => $this->classOf($supply)->isBoardPin() && ! in_array($supply, $above, true));
        $chargeMa = $board->input(FeedsAt::Cell)->chargeMa ?? 0.0;

        return [
            ...array_map(fn (Supply $pin): Take => new Take($pin, $pin->name, $this->drawnBy($pin)), array_values($pins)),
            // Full as a rule; empty, it is charged for hours.
            ...($chargeMa > 0.0 ? [new Take($cell, "{$cell->name}, charging", new Load(0.0, $chargeMa, $chargeMa))] : []),
        ];
    }

    /** What comes through the regulator of the board that a supply feeds: the board's own, what lives on its pins, what hangs on its rails. */
    public function throughBoard(Supply $feeder): Load
    {
        $sum = Load::none();
        foreach ($this->takes($feeder) as $take) {
            $isThrough = match (true) {
                // What charges a cell at its pads is behind it too.
                $take->by instanceof Supply => $this->classOf($take->by)->isBoardPin() || $take->by->feedsAt === FeedsAt::Cell,
                $take->by instanceof Module => ! $this->catalogue->classOf($take->by)->isFed(),
                default => $take->by instanceof Node,
            };
            $sum = $isThrough ? $sum->and($take->load) : $sum;
        }

        return $sum;
    }

    /** @return list<Take> what has no supply of its own and lives on the board's pins, wired to one or on its way to one: a lamp, a buzzer */
    private function onPins(Node $node, Board $board): array
    {
        $takes = [];
        foreach ($this->plan->modulesOf($node) as $module) {
            $class = $this->catalogue->classOf($module);
            // One that was put on a supply all the same is counted there.
            if (! $class->isFed() && $module->supplyId === null) {
                $wired = array_map(static fn (PinUse $use): string => $use->terminal, $this->plan->pinUsesOf($module));
                $used = array_map(static fn (Output $output): string => $output->channel ?? '', $this->plan->having(Output::class, 'moduleId', $module->id));
                $all = array_sum(array_map(static fn (string $terminal): float => $class->terminal($terminal)?->livesOnMa($board->levels->highOutV) ?? 0.0, array_unique([...$wired, ...$used])));
                if ($all > 0.0) {
                    $takes[] = new Take($module, $module->name, new Load(min($class->typicalMa, $all), $class->holdsItsPeak() ? $all : min($class->heldMa, $all), $all));
                }
            }
        }

        return $takes;
    }

    /** What a module takes for itself, and for all that is on its channels. */
    public function loadOf(Module $module): Load
    {
        $class = $this->catalogue->classOf($module);
        $load = new Load($class->typicalMa, $class->heldMa, $class->peakMa);
        if ($class->loadPer === null) {
            return $load;
        }
        $outputs = $this->plan->having(Output::class, 'moduleId', $module->id);
        $each = array_map(static fn (Output $output): int => $output->setting($class->loadPer), $outputs);

        return $load->times($each === [] ? $this->usual($class, $class->loadPer) : array_sum($each));
    }

    /** What hangs on it and is switched, or always on: nothing while nobody has read its plate. */
    private function loadOfLoad(PlanLoad $load, Supply $supply): Load
    {
        // The voltage that it is made for: what its cable loses hangs on this very current.
        $volts = $this->nominalV($supply);
        $watts = $load->use->draws() ? $load->allWatts() ?? 0.0 : 0.0;
        $milliamperes = $volts === null || $volts <= 0.0 ? 0.0 : $watts / $volts * 1000;

        return new Load($load->use === LoadUse::AlwaysOn ? $milliamperes : 0.0, $milliamperes, $milliamperes);
    }

    /** As many as its kind of output has while nobody has said. */
    private function usual(ModuleClass $class, string $setting): int
    {
        $usual = $class->carries === null ? null : OutputKind::tryFrom($class->carries)?->settings()->field($setting)?->default;

        return is_int($usual) ? $usual : 1;
    }

    /** @return list<Module> that hang on it itself, on whatever node */
    public function fedBy(Supply $supply): array
    {
        return $this->plan->having(Module::class, 'supplyId', $supply->id);
    }

    /** @return list<Supply> supplies that live on it */
    public function children(Supply $supply): array
    {
        $children = array_values(array_filter($this->plan->having(Supply::class, 'parentId', $supply->id), fn (Supply $child): bool => ! $this->classOf($child)->isBoardPin()));
        if ($this->feedsAt($supply) !== null) {
            $node = $this->plan->node($supply->nodeId);
            foreach ($this->feeder($node)?->id === $supply->id ? $this->plan->suppliesOf($node) : [] as $pin) {
                if ($this->classOf($pin)->isBoardPin()) {
                    $children[] = $pin;
                }
            }
        }

        return $children;
    }

    /** What a supply draws from the one it lives on, for all that it gives. */
    public function drawnBy(Supply $supply): Load
    {
        $load = $this->load($supply);

        return new Load($this->drawnFor($supply, $load->typicalMa), $this->drawnFor($supply, $load->heldMa), $this->drawnFor($supply, $load->peakMa));
    }

    /** @return float milliamperes that it draws while so many are drawn from it */
    public function drawnFor(Supply $supply, float $givenMa): float
    {
        $takes = $this->classOf($supply)->takes;
        if ($takes === null) {
            return $givenMa;
        }
        $parent = $this->parent($supply);
        $inV = $parent === null ? null : $this->nominalV($parent);
        $outV = $this->nominalV($supply);
        $factor = $takes->efficiencyPercent === null || $inV === null || $inV <= 0.0 || $outV === null ? 1.0 : $outV / $inV / $takes->efficiencyPercent * 100;

        return $givenMa * $factor + $takes->quiescentMa;
    }

    /** @return float ohms of the cable behind it, there and back */
    public function cableOhm(Supply $supply): float
    {
        return $supply->cableM === null || $supply->cableMm2 === null ? 0.0 : (new CopperPair($supply->cableMm2, $supply->cableM))->loopOhm();
    }

    /** @return float what its cable loses with everything at its peak */
    public function cableDropV(Supply $supply): float
    {
        $ohm = $this->cableOhm($supply);

        return $ohm === 0.0 ? 0.0 : $ohm * $this->load($supply)->peakMa / 1000;
    }

    /**
     * What the voltages of its class do not know of: a longer lead, a weaker source. Moments are left to capacitors, and to
     * what is said of bursts and brown-outs.
     *
     * @return float what that loses for as long as all that can be on is on
     */
    public function leadDropV(Supply $supply): float
    {
        $ohm = max(0.0, ($supply->sourceOhm ?? 0.0) - $this->classOf($supply)->sourceOhm);

        return $ohm === 0.0 ? 0.0 : $ohm * $this->load($supply)->heldMa / 1000;
    }

    /** @return float ohms that a burst sees: up to the next regulator, which holds its voltage by itself */
    public function sourceOhm(Supply $supply): float
    {
        return max($this->ohmUpwards($supply), 0.01);
    }

    private function ohmUpwards(Supply $supply): float
    {
        if (! isset($this->ohms[$supply->id])) {
            // Whoever asks again on the way round adds nothing.
            $this->ohms[$supply->id] = 0.0;
            $class = $this->classOf($supply);
            $holds = $class->takes !== null || ($class->isBoardPin() && $class->key !== FeedsAt::FiveVolt->pinClass());
            $parent = $holds ? null : $this->parent($supply);
            $this->ohms[$supply->id] = ($supply->sourceOhm ?? $class->sourceOhm) + $this->cableOhm($supply) + ($parent === null ? 0.0 : $this->ohmUpwards($parent));
        }

        return $this->ohms[$supply->id];
    }

    /** The battery that it lives on in the end; null for what lives on itself. */
    public function battery(Supply $supply): ?Supply
    {
        if (! array_key_exists($supply->id, $this->batteries)) {
            $parent = $this->isCircular($supply) ? null : $this->parent($supply);
            $this->batteries[$supply->id] = $this->classOf($supply)->sort === SupplySort::Battery ? $supply : ($parent === null ? null : $this->battery($parent));
        }

        return $this->batteries[$supply->id];
    }
}
