<?php

declare(strict_types=1);

namespace Rundfunk\Power\Levels\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\NodeRule;
use Rundfunk\Check\Wire;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Spot;

/** No pin gives too much, and all together they do: a chip stands less than its pins one by one. */
#[Finds('chip-overdrawn', WorkStep::PinsAndPower)]
final readonly class ChipOverdrawn extends LevelRule implements NodeRule
{
    /** So many of those that take most are named. */
    private const NAMED = 4;

    public function check(Node $node, Look $look): iterable
    {
        $most = $look->board($node)?->pinCurrent->chipTotalMa;
        if ($most === null) {
            return [];
        }
        $wiring = self::wiring($look);
        $byModule = [];
        foreach (Wire::firsts($look->wiresOf($node)) as $wire) {
            // What an expander gives is none of the board's chip; and of two terminals of one channel one is on.
            $carriedMa = $wire->pin === null || $wire->pin->offeredBy !== null || $wire->terminal->with !== null ? 0.0 : $wiring->carriedMa($wire);
            if ($carriedMa > 0.0) {
                $byModule[$wire->module->id] = ($byModule[$wire->module->id] ?? 0.0) + $carriedMa;
            }
        }
        $allMa = array_sum($byModule);
        if ($allMa <= $most + 1e-6) {
            return [];
        }
        arsort($byModule);
        $named = array_slice($byModule, 0, self::NAMED);
        $others = count($byModule) - count($named);

        return [Finding::warning(
            "The pins of {$node->name} carry ".Figures::significant($allMa).' mA when everything is on, and its chip stands '.Figures::significant($most),
            Spot::of($node, $node->name, 'board'),
            implode(', ', array_map(static fn (string $id, float $ma): string => "{$look->plan->module($id)->name} ".Figures::significant($ma).' mA', array_keys($named), $named))
                .($others === 0 ? '' : ", {$others} more").'. Whatever a pin stands alone, all of it goes through the two pins that feed the chip, which then sags, warms, and ages.',
            'A transistor or a driver between for what takes most, some of it behind an expander, or a second board.',
            numbers: ['carried_ma' => round($allMa, 3), 'most_ma' => $most],
            about: [$node->id],
        )];
    }
}
