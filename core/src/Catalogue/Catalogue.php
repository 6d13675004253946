<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

use Generator;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Supply;
use Rundfunk\Shape\Values;

/** The hardware and the rules of the air that ship with the program, read from data files. */
final readonly class Catalogue
{
    /**
     * @param  array<string, Board>  $boards
     * @param  array<string, ModuleClass>  $modules
     * @param  array<string, SupplyClass>  $supplies
     * @param  array<string, Region>  $regions
     */
    private function __construct(public array $boards, public array $modules, public array $supplies, public array $regions)
    {
    }

    public static function readFrom(string $folder): self
    {
        $boards = [];
        foreach (self::files($folder.'/boards') as $values) {
            $board = Board::from($values);
            $boards[$board->key] = $board;
        }
        $modules = [];
        foreach (self::files($folder.'/modules') as $values) {
            $module = ModuleClass::from($values);
            $modules[$module->key] = $module;
        }
        $supplies = [];
        foreach (self::files($folder.'/supplies') as $values) {
            $supply = SupplyClass::from($values);
            $supplies[$supply->key] = $supply;
        }
        $regions = [];
        foreach (self::files($folder.'/regions') as $values) {
            $region = Region::from($values);
            $regions[$region->key] = $region;
        }

        return new self($boards, $modules, $supplies, $regions);
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

    public function boardOf(Node $node): ?Board
    {
        return $node->board === null ? null : $this->boards[$node->board] ?? throw NotInCatalogue::board($node->board);
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

    /** @return Generator<Values> */
    private static function files(string $folder): Generator
    {
        $paths = glob($folder.'/*.json');
        foreach ($paths === false ? [] : $paths as $path) {
            $values = json_decode((string) file_get_contents($path), true, 16, JSON_THROW_ON_ERROR);
            yield new Values(is_array($values) ? $values : []);
        }
    }
}
