<?php

declare(strict_types=1);

namespace Rundfunk\Build;

use Rundfunk\Catalogue\ModuleClass;
use Rundfunk\Knowledge;
use Rundfunk\Pins\OnLevel;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\PinUse;
use Rundfunk\Plan\Plan;
use Rundfunk\Text\CNames;
use Rundfunk\Text\UniqueNames;

/** The constants of a node's pins and of what switches on what hangs on them, by the names that its headers share. */
final readonly class HeaderPins
{
    /**
     * @param  list<string>  $lines  of the header
     * @param  array<string, string>  $pins  the constant of each pin, by "module terminal"
     * @param  array<string, array{on: string, off: string}>  $switches  the constants of its levels, by "module terminal"
     */
    private function __construct(public array $lines, public array $pins, public array $switches)
    {
    }

    public static function of(Plan $plan, Node $node, Knowledge $knowledge, UniqueNames $names): self
    {
        $board = $knowledge->catalogue->boardOf($node);
        $lines = ['/* Pins, numbered as programs for this board number them. */'];
        $pins = [];
        $switches = [];
        foreach ($plan->modulesOf($node) as $module) {
            $class = $knowledge->catalogue->classOf($module);
            $carried = OnTerminal::carried($plan, $module, $class);
            foreach (self::uses($plan, $module, $class) as $use) {
                $pin = $board?->pin($use->pin);
                if ($pin !== null) {
                    $of = $pin->offeredBy === null ? '' : CNames::upper($plan->module($pin->offeredBy)->name).'_';
                    $name = $names->name("{$of}PIN_".CNames::upper("{$module->name} {$use->terminal}"));
                    $pins["{$module->id} {$use->terminal}"] ??= $name;
                    $lines[] = "#define {$name} {$pin->number} /* ".CNames::comment($use->pin.($pin->header === null ? '' : ", {$pin->header} on the header").($class->terminal($use->terminal)?->isBySoftware($use) === true ? ' by software' : '').(isset($carried[$use->terminal]) ? ': '.OnTerminal::names($carried[$use->terminal]) : '')).' */';
                }
            }
            if ($class->carries === 'relay') {
                foreach (self::switching($plan, $module, $class, $names) as $terminal => [$levels, $defines]) {
                    $switches["{$module->id} {$terminal}"] = $levels;
                    $lines = [...$lines, ...$defines];
                }
            }
        }

        return new self([...$lines, ''], $pins, $switches);
    }

    /** @return list<PinUse> in the order of the class's terminals */
    private static function uses(Plan $plan, Module $module, ModuleClass $class): array
    {
        $uses = $plan->pinUsesOf($module);
        $order = array_flip(array_keys($class->terminals));
        usort($uses, static fn (PinUse $a, PinUse $b): int => ($order[$a->terminal] ?? 99) <=> ($order[$b->terminal] ?? 99));

        return $uses;
    }

    /** @return array<string, array{array{on: string, off: string}, list<string>}> by terminal: what switches the channel on, of the module, or where a transistor turns it over of its own */
    private static function switching(Plan $plan, Module $module, ModuleClass $class, UniqueNames $names): array
    {
        $all = self::levels(CNames::upper($module->name), $class->activeLow, $names);
        $switching = [];
        foreach ($class->channels() as $terminal) {
            $low = OnLevel::switchesLow($plan, $module, $class, $terminal->name);
            $switching[$terminal->name] = $low === $class->activeLow ? [$all[0], []] : self::levels(CNames::upper("{$module->name} {$terminal->name}"), $low, $names);
        }
        $first = array_key_first($switching);

        return $first === null ? ['' => $all] : [$first => [$switching[$first][0], [...$all[1], ...$switching[$first][1]]]] + $switching;
    }

    /** @return array{array{on: string, off: string}, list<string>} */
    private static function levels(string $name, bool $low, UniqueNames $names): array
    {
        $levels = ['on' => $names->name("{$name}_ON"), 'off' => $names->name("{$name}_OFF")];

        return [$levels, ["#define {$levels['on']}".($low ? ' 0' : ' 1'), "#define {$levels['off']}".($low ? ' 1' : ' 0')]];
    }
}
