<?php

declare(strict_types=1);

namespace Rundfunk\Build;

use Rundfunk\Catalogue\Board;
use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Catalogue\ModuleClass;
use Rundfunk\Catalogue\Terminal;
use Rundfunk\Exchange\Csv;
use Rundfunk\Figures;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\SupplyFrom;

/** Every wire of one node, module by module, supplies first: what its builder solders by. */
final readonly class WiringTable
{
    /** @param  list<WiringRow>  $rows */
    private function __construct(public array $rows)
    {
    }

    public static function of(Plan $plan, Node $node, Catalogue $catalogue): self
    {
        $board = $catalogue->boardOf($node);
        if ($board === null) {
            return new self([]);
        }
        $rows = [];
        foreach ($plan->modulesOf($node) as $module) {
            $class = $catalogue->classOf($module);
            foreach ($class->supplyTerminals as $name => $goes) {
                $rows[] = self::supply($board, $module, $class, $name, $goes);
            }
            $uses = [];
            foreach ($plan->pinUsesOf($module) as $use) {
                $uses[$use->terminal] ??= $use->pin;
            }
            $carried = self::carried($plan, $node, $module);
            foreach ($class->terminals as $terminal) {
                if (isset($uses[$terminal->name]) || isset($carried[$terminal->name]) || $terminal->carries === null) {
                    $rows[] = self::signal($board, $module, $class, $terminal, $uses[$terminal->name] ?? null, $carried[$terminal->name] ?? '');
                }
            }
        }

        return new self($rows);
    }

    /** @return string RFC 4180, with a header line; cells that a spreadsheet would take for a formula are quoted with an apostrophe */
    public function csv(): string
    {
        return Csv::write([
            ['module', 'terminal', 'pin', 'carries', 'level', 'note'],
            ...array_map(static fn (WiringRow $row): array => array_values($row->jsonSerialize()), $this->rows),
        ]);
    }

    private static function supply(Board $board, Module $module, ModuleClass $class, string $name, string $goes): WiringRow
    {
        $rail = $board->rail($module->supply);
        $logic = Figures::significant($board->logicV).' V';
        [$pin, $level] = match (true) {
            $goes === 'ground' => ['GND', '0 V'],
            $goes === 'logic' => [$board->logicV > 4.0 ? '5V' : '3V3', $logic],
            $goes === '5V' => ['5V', '5 V'],
            $module->supply === SupplyFrom::Adapter => ['adapter OUT', '3.3 V'],
            $module->supply === SupplyFrom::Own => ['own supply +', Figures::significant(max($class->minV, min($class->maxV, 5.0))).' V'],
            $rail !== null => [$rail->name, Figures::significant($rail->volts).' V'],
            default => ['?', ''],
        };
        $note = match (true) {
            $goes === 'ground' && $module->supply === SupplyFrom::Own => 'Join the grounds of both supplies.',
            $goes === 'ground' => '',
            $pin === '?' => 'No supply chosen yet.',
            $board->logicV > 4.0 && $class->maxV < 4.0 => "Its inputs stand 5 V only while this is 2.7 to 3.3 V; 5 V here kills it. {$class->advice}",
            default => $class->advice,
        };

        return new WiringRow($module->name, $name, $pin, '', $level, $note);
    }

    private static function signal(Board $board, Module $module, ModuleClass $class, Terminal $terminal, ?string $pin, string $carried): WiringRow
    {
        $logic = Figures::significant($board->logicV).' V';
        $level = match (true) {
            $pin === null => '',
            $terminal->needs === 'analogue' => "0–{$logic}",
            $terminal->carries === 'output' => $class->activeLow ? 'low = on' : 'high = on',
            $terminal->carries === 'control' => 'low = pressed',
            default => "{$logic} logic",
        };
        $note = $terminal->doc;
        $boardPin = $pin === null ? null : $board->pin($pin);
        if ($boardPin !== null && $boardPin->note !== '' && ! $terminal->onBus()) {
            $note .= ' '.$boardPin->note;
        }
        $open = $terminal->optional ? 'leave open' : '?';

        return new WiringRow($module->name, $terminal->name, $pin ?? $open, $carried, $level, $note);
    }

    /** @return array<string, string> terminal → what is on it */
    private static function carried(Plan $plan, Node $node, Module $module): array
    {
        $carried = [];
        foreach ($plan->controlsOf($node) as $control) {
            if ($control->moduleId === $module->id && $control->terminal !== null) {
                $carried[$control->terminal] = $control->name;
            }
        }
        foreach ($plan->outputsOf($node) as $output) {
            if ($output->moduleId === $module->id && $output->channel !== null) {
                $carried[$output->channel] = $output->name;
            }
        }

        return $carried;
    }
}
