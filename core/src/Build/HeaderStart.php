<?php

declare(strict_types=1);

namespace Rundfunk\Build;

use Rundfunk\Behaviour\NeverTogether;
use Rundfunk\Knowledge;
use Rundfunk\Pins\OnLevel;
use Rundfunk\Plan\AtStart;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\SafeState;
use Rundfunk\Plan\SecondBreak;
use Rundfunk\Text\CNames;
use Rundfunk\Text\UniqueNames;

/** What a node's program does before anything else, and what its outputs must be when something does not work: for its header. */
final readonly class HeaderStart
{
    public function __construct(private Plan $plan, private Node $node, private Knowledge $knowledge, private HeaderPins $pins)
    {
    }

    /** @return list<string> */
    public function lines(UniqueNames $names): array
    {
        return [...$this->watchdog($names), ...$this->safeStates(), ...$this->first($names)];
    }

    /** @return list<string> */
    private function watchdog(UniqueNames $names): array
    {
        return $this->node->watchdog ? [
            '/* The plan counts on the watchdog of this chip: start it with about that time, feed it once a round in the main loop and nowhere else. */',
            '#define '.$names->name('WATCHDOG_MS').' 2000', '',
        ] : [];
    }

    /** @return list<string> */
    private function safeStates(): array
    {
        $lines = [];
        foreach ($this->plan->outputsOf($this->node) as $output) {
            $never = array_map(static fn (Output $other): string => $other->name, NeverTogether::with($this->plan, $output));
            $says = [
                ...($output->safe === null || $output->safe === SafeState::Any ? [] : [$output->safe->words().' whenever the network does not work']),
                ...($output->secondBreak === SecondBreak::None ? [] : ["its circuit is broken by {$output->secondBreak->words()} too"]),
                ...($never === [] ? [] : ['never on with '.implode(', ', $never).($output->interlocked ? ', by contacts in series' : '')]),
            ];
            if ($says !== []) {
                $lines[] = ' *   '.CNames::comment("{$output->name}: ".implode('; ', $says));
            }
        }

        return $lines === [] ? [] : ['/* What must be so:', ...$lines, ' */', ''];
    }

    /** @return list<string> a macro that is given how to write a pin and how to make it an output */
    private function first(UniqueNames $names): array
    {
        $steps = [];
        foreach ($this->plan->modulesOf($this->node) as $module) {
            $class = $this->knowledge->catalogue->classOf($module);
            $carried = OnTerminal::carried($this->plan, $module, $class);
            foreach ($class->terminals as $terminal) {
                $pin = $this->pins->pins["{$module->id} {$terminal->name}"] ?? null;
                $output = $carried[$terminal->name][0] ?? null;
                $isPlain = OnLevel::of($this->plan, $module, $class, $terminal) !== null || ($terminal->with !== null && $terminal->isDriven());
                if ($pin === null || ! $output instanceof Output || ! $isPlain || str_contains($pin, '_PIN_')) {
                    continue;
                }
                $levels = $this->pins->switches["{$module->id} {$terminal->name}"] ?? ['on' => '1', 'off' => OnLevel::switchesLow($this->plan, $module, $class, $terminal->name) ? '1' : '0'];
                $level = match (true) {
                    // A high moves a latching relay, and it has two coils: neither has current at first.
                    $terminal->with !== null, $class->keepsState => '0',
                    $output->atStart === AtStart::On => $levels['on'],
                    default => $levels['off'],
                };
                $steps[] = $output->levelFirst ? "write({$pin}, {$level}); make_output({$pin});" : "make_output({$pin}); write({$pin}, {$level});";
            }
        }
        if ($steps === []) {
            return [];
        }
        $name = $names->name('BEGIN_OUTPUTS');

        return [
            '/* First of all: the level of each pin, then its direction. Name your own two: write(pin, level) and make_output(pin). */',
            "#define {$name}(write, make_output) do { \\",
            ...array_map(static fn (string $step): string => "    {$step} \\", $steps),
            '} while (0)', '',
        ];
    }
}
