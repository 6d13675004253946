<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

use Generator;
use Rundfunk\Plan\InOrder;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\OwnBoard;
use Rundfunk\Plan\OwnModule;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Supply;
use Rundfunk\Shape\Values;
use WeakMap;

/** The hardware and the rules of the air that ship with the program, read from data files. */
final class Catalogue
{
    /** @var WeakMap<Plan, self>|null */
    private static ?WeakMap $known = null;

    /** @var WeakMap<OwnBoard, Board>|null */
    private static ?WeakMap $readBoards = null;

    /** @var WeakMap<OwnModule, ModuleClass>|null */
    private static ?WeakMap $readModules = null;

    /** @var array<string, Board> by node of the plan and board: with the pins that its expanders offer, once they were asked for */
    private array $expanded = [];

    /**
     * @param  array<string, Board>  $boards
     * @param  array<string, ModuleClass>  $modules
     * @param  array<string, SupplyClass>  $supplies
     * @param  array<string, Region>  $regions
     * @param  array<string, list<Module>>  $expanders  of a plan, by node
     * @param  self|null  $shipped  what it was before a plan's own classes came to it
     * @param  array<string, array<array-key, mixed>>  $described  boards and modules as their files say them, by key
     */
    private function __construct(public readonly array $boards, public readonly array $modules, public readonly array $supplies, public readonly array $regions, private readonly array $described, private readonly array $expanders = [], private readonly ?self $shipped = null)
    {
    }

    public static function readFrom(string $folder): self
    {
        $described = [];
        $boards = [];
        foreach (self::files($folder.'/boards') as $file) {
            $board = Board::from(new Values($file));
            $boards[$board->key] = $board;
            $described[$board->key] = $file;
        }
        $modules = [];
        foreach (self::files($folder.'/modules') as $file) {
            $module = ModuleClass::from(new Values($file));
            $modules[$module->key] = $module;
            $described[$module->key] = $file;
        }
        $supplies = [];
        foreach (self::files($folder.'/supplies') as $file) {
            $supply = SupplyClass::from(new Values($file));
            $supplies[$supply->key] = $supply;
        }
        $regions = [];
        foreach (self::files($folder.'/regions') as $file) {
            $region = Region::from(new Values($file));
            $regions[$region->key] = $region;
        }

        return new self($boards, $modules, $supplies, $regions, $described);
    }

    /** With the classes that a plan itself describes: what is in the plan is judged by these. */
    public function with(Plan $plan): self
    {
        self::$known ??= new WeakMap;

        // A plan never changes, and much asks.
        return self::$known[$plan] ??= ($this->shipped ?? $this)->joined($plan);
    }

    private function joined(Plan $plan): self
    {
        $boards = $plan->of(OwnBoard::class);
        $modules = $plan->of(OwnModule::class);
        // Assign makes a plan of every proposal, and hardly ever another class.
        self::$readBoards ??= new WeakMap;
        self::$readModules ??= new WeakMap;
        $ownBoards = [];
        foreach ($boards as $board) {
            $ownBoards[$board->key()] = self::$readBoards[$board] ??= Board::from(new Values(OwnClass::board($board, $this)));
        }
        $ownModules = [];
        foreach ($modules as $module) {
            $ownModules[$module->key()] = self::$readModules[$module] ??= ModuleClass::from(new Values(OwnClass::module($module, $this)));
        }

        $joined = $boards === [] && $modules === [] ? $this : new self([...$this->boards, ...$ownBoards], [...$this->modules, ...$ownModules], $this->supplies, $this->regions, $this->described);
        $expanders = $joined->expandersOf($plan);

        return $joined === $this && $expanders === [] ? $this : new self($joined->boards, $joined->modules, $this->supplies, $this->regions, $this->described, $expanders, $this);
    }

    /** @return array<string, list<Module>> by node, in the order of the plan */
    private function expandersOf(Plan $plan): array
    {
        $classes = array_filter($this->modules, static fn (ModuleClass $class): bool => $class->isExpander());
        $found = [];
        foreach (array_keys($classes) as $key) {
            foreach ($plan->having(Module::class, 'class', $key) as $module) {
                $found[$module->nodeId][] = $module;
            }
        }

        // Of two pins with one name the first counts, whichever class it is of.
        return array_map(static fn (array $modules): array => InOrder::of(Module::class, $modules), $found);
    }

    /** @return array<array-key, mixed> a shipped class of board or module, as its file says it */
    public function described(string $key): array
    {
        return $this->described[$key] ?? [];
    }

    public function hasBoard(string $key): bool
    {
        return isset($this->boards[$key]);
    }

    public function hasModule(string $key): bool
    {
        return isset($this->modules[$key]);
    }

    public function hasSupply(string $key): bool
    {
        return isset($this->supplies[$key]);
    }

    public function hasRegion(string $key): bool
    {
        return isset($this->regions[$key]);
    }

    /** With the pins that the node's expanders have for others. */
    public function boardOf(Node $node): ?Board
    {
        $board = $node->board === null ? null : $this->boards[$node->board] ?? throw NotInCatalogue::board($node->board);

        return $board === null || ! isset($this->expanders[$node->id]) ? $board : $this->expanded["{$node->id} {$board->key}"] ??= $board->with($this->offered($board, $this->expanders[$node->id]));
    }

    /**
     * @param  list<Module>  $expanders
     * @return list<BoardPin>
     */
    private function offered(Board $board, array $expanders): array
    {
        $pins = [];
        foreach ($expanders as $module) {
            $class = $this->classOf($module);
            for ($number = 0; $number < $class->offered; $number++) {
                $pins[] = new BoardPin($module->pinName($number), count($board->pins) + count($pins), $class->offers, note: "Of {$module->name}.", number: $number, hasPullUp: in_array('digital-in', $class->offers, true), offeredBy: $module->id, current: $class->offeredCurrent);
            }
        }

        return $pins;
    }

    public function classOf(Module $module): ModuleClass
    {
        return $this->modules[$module->class] ?? throw NotInCatalogue::module($module->class);
    }

    public function supplyClassOf(Supply $supply): SupplyClass
    {
        return $this->supplies[$supply->class] ?? throw NotInCatalogue::supply($supply->class);
    }

    public function regionOf(Plan $plan): Region
    {
        $key = $plan->properties->region;

        return $this->regions[$key] ?? throw NotInCatalogue::region($key);
    }

    /** @return Generator<array<array-key, mixed>> */
    private static function files(string $folder): Generator
    {
        $paths = glob($folder.'/*.json');
        foreach ($paths === false ? [] : $paths as $path) {
            $values = json_decode((string) file_get_contents($path), true, 16, JSON_THROW_ON_ERROR);
            yield is_array($values) ? $values : [];
        }
    }
}
