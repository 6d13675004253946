<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

use Rundfunk\Build\ListsParts;
use Rundfunk\Build\PartLine;
use Rundfunk\Electrical\Rs485Bias;
use Rundfunk\Figures;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;

/** The discrete parts of a line: what ends a twisted pair and holds it quiet, and what lets several boxes answer on one wire. */
final readonly class SerialPartLines implements ListsParts
{
    /** Strong enough for the edges of a metre of wire at 38,400 baud, weak enough for a pin of 4 mA. Common practice. */
    private const PULL_UP_OHM = 1_500.0;

    public function partLines(Plan $plan, Endpoint $endpoint, Knowledge $knowledge): array
    {
        $node = $plan->node($endpoint->nodeId);
        if ($endpoint->moduleId === null && ! $node->kind->isBought()) {
            return [];
        }
        $line = SerialLine::of($plan, $plan->link($endpoint->linkId));
        // What was bought has its terminals at the outside: a resistor between them and a diode in its wire are the builder's.
        $module = $endpoint->moduleId === null ? null : $plan->module($endpoint->moduleId);
        $where = $module === null ? $node->name : "{$node->name}: {$module->name}";
        $supplyV = $module !== null && $knowledge->of($plan)->catalogue->classOf($module)->maxV < 4.0 ? 3.3 : 5.0;

        return match ($line->settings->levels) {
            Levels::Rs485 => $this->ofPair($line, $endpoint, $where, $supplyV),
            Levels::Logic => self::isGathered($plan, $line, $knowledge->of($plan)) ? [] : $this->ofAnswers($line, $endpoint, $where),
            Levels::Rs232 => [],
        };
    }

    /** A network at who asks has the diodes and the pull-up in it. */
    private static function isGathered(Plan $plan, SerialLine $line, Knowledge $knowledge): bool
    {
        $moduleId = $line->asker()?->moduleId;

        return $moduleId !== null && isset($knowledge->catalogue->classOf($plan->module($moduleId))->figures['returning']);
    }

    /** @return list<PartLine> */
    private function ofPair(SerialLine $line, Endpoint $endpoint, string $where, float $supplyV): array
    {
        $end = SerialEnd::of($endpoint);
        $lines = [];
        if ($end->terminated) {
            $lines[] = PartLine::one('resistor 120 Ω', '0.25 W, or the jumper that is there', $where, at: 'between A and B');
        }
        if ($end->biased) {
            $terminators = count(array_filter($line->ends, static fn (Endpoint $one): bool => SerialEnd::of($one)->terminated));
            $ohm = (new Rs485Bias($supplyV, (float) count($line->ends), min(4, $terminators)))->chosenOhm();
            foreach (['from A to the supply', 'from B to ground'] as $at) {
                $lines[] = PartLine::one('resistor '.Figures::ohms($ohm), '0.25 W', $where, at: $at);
            }
        }

        return $lines;
    }

    /** @return list<PartLine> */
    private function ofAnswers(SerialLine $line, Endpoint $endpoint, string $where): array
    {
        $asker = $line->asker();
        if ($asker === null || count($line->ends) < 3 || $line->settings->returning === Returning::Joined) {
            return [];
        }
        if ($endpoint->id === $asker->id) {
            return [PartLine::one('resistor '.Figures::ohms(self::PULL_UP_OHM), '0.25 W', $where, at: 'from RXD to the supply of the board')];
        }

        return match ($line->settings->returning) {
            Returning::Diodes => [PartLine::one('silicon signal diode', '100 mA', $where, at: 'in series with TXD, cathode to it')],
            Returning::Schottky => [PartLine::one('Schottky signal diode', '100 mA', $where, at: 'in series with TXD, cathode to it')],
            default => [],
        };
    }
}
