<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits;

use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Catalogue\Terminal;
use Rundfunk\Plan\Load;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;

/** Which of several relay banks each of a node's new outputs goes to, so that their loads are spread evenly. */
final readonly class Banks
{
    /**
     * @param  list<Output>  $homeless
     * @param  array<string, true>  $taken  by "module channel"
     * @return array<string, string> by output, its module; none where there is nothing to spread
     */
    public static function spread(Plan $plan, Node $node, array $homeless, array $taken, Catalogue $catalogue): array
    {
        $outputs = array_values(array_filter($homeless, static fn (Output $output): bool => $output->kind === OutputKind::Relay && self::watts($plan, $output) > 0));
        $banks = array_values(array_filter($plan->modulesOf($node), static fn (Module $module): bool => $catalogue->classOf($module)->carries === OutputKind::Relay->value && ! $catalogue->classOf($module)->keepsState));
        if (count($outputs) < 2 || count($banks) < 2 || count(array_unique(array_map(static fn (Module $module): string => $module->class, $banks))) > 1) {
            return [];
        }
        if (count(array_unique(array_merge(...array_map(static fn (Output $output): array => self::dangers($plan, $output), $outputs)))) > 1) {
            // The mains and low voltage keep apart, evenly or not.
            return [];
        }
        $rooms = array_map(static fn (Module $module): int => count(array_filter($catalogue->classOf($module)->channels(), static fn (Terminal $terminal): bool => ! isset($taken["{$module->id} {$terminal->name}"]))), $banks);
        $has = array_map(static fn (Module $module): float => (float) array_sum(array_map(static fn (Output $output): int => self::watts($plan, $output), array_filter($plan->having(Output::class, 'moduleId', $module->id), static fn (Output $output): bool => isset($taken["{$module->id} {$output->channel}"])))), $banks);
        $balance = Balance::of(array_map(static fn (Output $output): int => self::watts($plan, $output), $outputs), array_fill(0, count($banks), 1), $has, $rooms);
        if ($balance === null) {
            return [];
        }
        $where = [];
        foreach ($outputs as $at => $output) {
            $where[$output->id] = $banks[$balance['bins'][$at]]->id;
        }

        return $where;
    }

    /** With such a load on it, a bank would have the mains beside low voltage. */
    public static function mixes(Plan $plan, Module $module, Output $output): bool
    {
        $mine = self::dangers($plan, $output);
        $others = [];
        foreach ($plan->having(Output::class, 'moduleId', $module->id) as $other) {
            $others = [...$others, ...($other->id === $output->id ? [] : self::dangers($plan, $other))];
        }

        return ($mine[0] ?? null) !== null && in_array(! $mine[0], $others, true);
    }

    /** @return list<bool> of each load on an output that says what feeds it, whether that can kill */
    private static function dangers(Plan $plan, Output $output): array
    {
        $dangers = [];
        foreach ($plan->loadsOn($output) as $load) {
            if ($load->use->draws() && ($load->circuitId !== null || $load->supplyId !== null)) {
                $dangers[] = $load->circuitId !== null && $plan->circuit($load->circuitId)->isDangerous();
            }
        }

        return $dangers;
    }

    private static function watts(Plan $plan, Output $output): int
    {
        return (int) round(array_sum(array_map(static fn (Load $load): float => $load->use->draws() ? $load->allWatts() ?? 0.0 : 0.0, $plan->loadsOn($output))));
    }
}
