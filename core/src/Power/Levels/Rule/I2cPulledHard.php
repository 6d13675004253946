<?php

declare(strict_types=1);

namespace Rundfunk\Power\Levels\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\NodeRule;
use Rundfunk\Check\Wire;
use Rundfunk\Check\WorkStep;
use Rundfunk\Electrical\I2cPullUp;
use Rundfunk\Figures;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\PartKind;

/** The pull-ups of an I²C bus, side by side, ask more of a module than it can pull low. Source: UM10204, 3 mA at 0.4 V. */
#[Finds('i2c-pulled-hard', WorkStep::PinsAndPower)]
final readonly class I2cPulledHard implements NodeRule
{
    public function check(Node $node, Look $look): iterable
    {
        $lines = [];
        foreach ($look->wiresOf($node) as $wire) {
            if (str_starts_with($wire->terminal->needs, 'i2c.')) {
                $lines[$wire->use->pin][$wire->module->id] = $wire;
            }
        }
        foreach ($lines as $wires) {
            $wires = array_values($wires);
            $ohms = self::parallelOhm($wires, $look);
            $leastOhm = (new I2cPullUp($wires[0]->board->logicV, 100.0, 1000.0))->minimumOhm();
            if ($ohms === null || $ohms >= $leastOhm) {
                continue;
            }
            yield Finding::warning(
                "The pull-ups of {$wires[0]->use->pin} of {$node->name} are ".Figures::ohms(round($ohms)).' together',
                $wires[0]->at(),
                'Each module brings its own, and they lie side by side. Below '.Figures::ohms(round($leastOhm)).' none of them pulls the line low enough to be read.',
                'Take the resistors off all modules but one or two.',
                numbers: ['ohms' => round($ohms), 'least_ohms' => round($leastOhm)],
                about: [$node->id, $wires[0]->use->pin],
            );
        }
    }

    /** @param  non-empty-list<Wire>  $wires */
    private static function parallelOhm(array $wires, Look $look): ?float
    {
        $fixed = $wires[0]->pin?->pullUpOhm;
        $conductance = $fixed === null ? 0.0 : 1 / $fixed;
        foreach ($wires as $wire) {
            $own = $look->catalogue->classOf($wire->module)->i2cPullUpOhm;
            $conductance += $own === null ? 0.0 : 1 / $own;
            foreach ($look->plan->partsOf($wire->module) as $part) {
                $conductance += $part->kind === PartKind::PullUp && $part->terminal === $wire->terminal->name && $part->ohms !== null ? 1 / $part->ohms : 0.0;
            }
        }

        return $conductance > 0.0 ? 1 / $conductance : null;
    }
}
