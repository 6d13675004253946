<?php

declare(strict_types=1);

namespace Rundfunk\Power\Levels\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\NodeRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Spot;
use Rundfunk\Power\Levels\ChipLoad;
use Rundfunk\Power\Levels\Wiring;

/** No pin gives too much, and all together they do: a chip stands less than its pins one by one. */
#[Finds('chip-overdrawn', WorkStep::PinsAndPower)]
final readonly class ChipOverdrawn extends LevelRule implements NodeRule
{
    /** So many of those that take most are named. */
    private const NAMED = 4;

    public function check(Node $node, Look $look): iterable
    {
        foreach (ChipLoad::each($look->wiresOf($node), Wiring::in($look)) as $expanderId => $load) {
            if ($load->isTooMuch()) {
                yield self::finding($look, $node, $expanderId === '' ? null : $look->plan->module($expanderId), $load);
            }
        }
    }

    private static function finding(Look $look, Node $node, ?Module $expander, ChipLoad $load): Finding
    {
        $named = array_slice($load->byModule, 0, self::NAMED);
        $others = count($load->byModule) - count($named);
        $mostMa = (float) $load->mostMa;
        $chip = $expander === null ? $node->name : "{$expander->name} on {$node->name}";

        return Finding::warning(
            "The pins of {$chip} carry ".Figures::significant($load->carriedMa).' mA when everything is on, and its chip stands '.Figures::significant($mostMa),
            $expander === null ? Spot::of($node, $node->name, 'board') : Spot::of($expander, "{$node->name}, {$expander->name}"),
            implode(', ', array_map(static fn (array $one): string => "{$one['module']->name} ".Figures::significant($one['carriedMa']).' mA', $named))
                .($others === 0 ? '' : ", {$others} more").'. Whatever a pin stands alone, all of it goes through the two pins that feed the chip, which then sags, warms, and ages.',
            $expander === null ? 'A transistor or a driver between for what takes most, some of it behind an expander, or a second board.' : 'A transistor or a driver between for what takes most, or a second expander.',
            numbers: ['carried_ma' => round($load->carriedMa, 3), 'most_ma' => $mostMa],
            about: $expander === null ? [$node->id] : [$node->id, $expander->id],
        );
    }
}
