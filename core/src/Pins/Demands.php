<?php

declare(strict_types=1);

namespace Rundfunk\Pins;

use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Catalogue\Terminal;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\PinUse;
use Rundfunk\Plan\Plan;

/** What a node's modules want of its board's pins. */
final readonly class Demands
{
    /**
     * @param  list<array{module: Module, terminal: Terminal, use: PinUse|null}>  $plain
     * @param  array<string, list<array{module: Module, terminal: Terminal, use: PinUse|null}>>  $onBus  by module id
     */
    private function __construct(private array $plain, private array $onBus)
    {
    }

    public static function of(Plan $plan, Node $node, Catalogue $catalogue): self
    {
        $carried = self::carried($plan, $node);
        $plain = [];
        $onBus = [];
        foreach ($plan->modulesOf($node) as $module) {
            $uses = [];
            foreach ($plan->pinUsesOf($module) as $use) {
                $uses[$use->terminal] ??= $use;
            }
            foreach ($catalogue->classOf($module)->terminals as $terminal) {
                $use = $uses[$terminal->name] ?? null;
                $idle = $terminal->optional || ($terminal->carries !== null && ! isset($carried[$module->id][$terminal->name]));
                if ($idle && $use === null) {
                    continue;
                }
                $want = ['module' => $module, 'terminal' => $terminal, 'use' => $use];
                $terminal->onBus() ? $onBus[$module->id][] = $want : $plain[] = $want;
            }
        }

        return new self($plain, $onBus);
    }

    /** @return list<string> ids of modules that need a bus */
    public function busModules(): array
    {
        return array_map(strval(...), array_keys($this->onBus));
    }

    /** @return string such as "spi": what kind of bus a module needs */
    public function busKind(string $moduleId): string
    {
        return explode('.', $this->onBus[$moduleId][0]['terminal']->needs)[0];
    }

    /**
     * @param  array<string, string>  $buses  module id → bus, such as "spi0"
     * @return list<Demand>
     */
    public function asking(array $buses): array
    {
        $demands = [];
        $lines = [];
        foreach ($this->onBus as $moduleId => $wants) {
            foreach ($wants as $want) {
                $line = $buses[$moduleId].'.'.explode('.', $want['terminal']->needs)[1];
                $lines[$line][] = $want;
            }
        }
        foreach ($lines as $line => $wants) {
            $demands[] = new Demand($line, $wants, $line);
        }
        foreach ($this->plain as $want) {
            $demands[] = new Demand($want['module']->id.'.'.$want['terminal']->name, [$want]);
        }

        return $demands;
    }

    /** Every terminal that needs a pin has one. */
    public function met(): bool
    {
        return $this->unmet() === [];
    }

    /** @return list<array{module: Module, terminal: Terminal, use: PinUse|null}> */
    public function unmet(): array
    {
        $wants = array_merge($this->plain, ...array_values($this->onBus));

        return array_values(array_filter($wants, static fn (array $want): bool => $want['use'] === null));
    }

    /** @return array<string, array<string, true>> module id → terminals that carry a control or an output */
    private static function carried(Plan $plan, Node $node): array
    {
        $carried = [];
        foreach ($plan->controlsOf($node) as $control) {
            if ($control->moduleId !== null && $control->terminal !== null) {
                $carried[$control->moduleId][$control->terminal] = true;
            }
        }
        foreach ($plan->outputsOf($node) as $output) {
            if ($output->moduleId !== null && $output->channel !== null) {
                $carried[$output->moduleId][$output->channel] = true;
            }
        }

        return $carried;
    }
}
