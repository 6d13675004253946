<?php

declare(strict_types=1);

namespace Rundfunk\Build;

use Rundfunk\Catalogue\SupplyClass;
use Rundfunk\Exchange\Csv;
use Rundfunk\Figures;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Part;
use Rundfunk\Plan\PartKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Supply;
use Rundfunk\Power\Start;
use Rundfunk\Power\SupplyTree;

/** Everything that has to lie on the table before the soldering begins: boards, modules, supplies, and every resistor. */
final readonly class PartsList
{
    /** Voltages that electrolytic capacitors are sold for. Common practice. */
    private const CAPACITOR_V = [6.3, 10.0, 16.0, 25.0, 35.0, 50.0, 63.0, 100.0];

    /** @param  list<PartLine>  $lines */
    private function __construct(public array $lines)
    {
    }

    /** @param  Node|null  $only  one node's, or the whole plan's */
    public static function of(Plan $plan, Knowledge $knowledge, ?Node $only = null): self
    {
        $knowledge = $knowledge->of($plan);
        $tree = new SupplyTree($plan, $knowledge->catalogue);
        $lines = [];
        foreach ($only === null ? $plan->nodes() : [$only] as $node) {
            // What was bought is there already; what belongs at its terminals is not.
            $lines = [...$lines, ...($node->kind->isBought() ? [] : [...self::bought($plan, $knowledge, $node), ...self::supplies($plan, $tree, $node)]), ...self::small($plan, $knowledge, $tree, $node)];
        }
        $together = [];
        foreach ($lines as $line) {
            $key = "{$line->what}|{$line->rating}";
            $together[$key] = isset($together[$key]) ? $together[$key]->and($line) : $line;
        }

        return new self(array_values($together));
    }

    /** @return string RFC 4180, with a header line */
    public function csv(): string
    {
        return Csv::write([
            ['quantity', 'owned', 'to buy', 'what', 'rating', 'where'],
            ...array_map(static fn (PartLine $line): array => [(string) $line->quantity, (string) $line->owned, (string) $line->toBuy(), $line->what, $line->rating, implode('; ', $line->where)], $this->lines),
        ]);
    }

    /** @return list<PartLine> the board and its modules */
    private static function bought(Plan $plan, Knowledge $knowledge, Node $node): array
    {
        $board = $knowledge->catalogue->boardOf($node);
        $lines = $board === null ? [] : [PartLine::one($board->name, '', $node->name, $node->owned)];
        foreach ($plan->modulesOf($node) as $module) {
            $lines[] = PartLine::one($knowledge->catalogue->classOf($module)->name, '', "{$node->name}: {$module->name}", $module->owned);
        }

        return $lines;
    }

    /** @return list<PartLine> with their fuses and cables */
    private static function supplies(Plan $plan, SupplyTree $tree, Node $node): array
    {
        $lines = [];
        foreach ($plan->suppliesOf($node) as $supply) {
            $class = $tree->classOf($supply);
            $where = "{$node->name}: {$supply->name}";
            if (! $class->isBoardPin() && $class->key !== SupplyClass::LINE) {
                $lines[] = PartLine::one($class->name, self::rating($tree, $supply), $where, $supply->owned);
            }
            if ($supply->fuseA !== null) {
                $lines[] = PartLine::one('fuse '.Figures::significant($supply->fuseA).' A, with its holder', '', $where);
            }
            if ($supply->cableM !== null && $supply->cableMm2 !== null) {
                $lines[] = PartLine::one('two-core cable '.Figures::significant($supply->cableMm2).' mm², '.Figures::significant($supply->cableM).' m', '', $where);
            }
        }

        return $lines;
    }

    /** What the class alone does not say. */
    private static function rating(SupplyTree $tree, Supply $supply): string
    {
        $class = $tree->classOf($supply);

        return implode(', ', array_filter([
            $supply->volts === null || $supply->volts === $class->volts ? '' : 'set to '.Figures::significant($supply->volts).' V',
            $class->key !== SupplyClass::OTHER ? '' : 'at least '.Figures::significant(Start::worst($tree, $supply)->milliamperes ?? $tree->load($supply)->peakMa).' mA',
            $supply->capacityMah === null ? '' : Figures::significant($supply->capacityMah).' mAh',
        ], static fn (string $word): bool => $word !== ''));
    }

    /** @return list<PartLine> discrete parts */
    private static function small(Plan $plan, Knowledge $knowledge, SupplyTree $tree, Node $node): array
    {
        $lines = [];
        foreach ($plan->modulesOf($node) as $module) {
            foreach ($plan->partsOf($module) as $part) {
                $lines = [...$lines, ...self::part($part, "{$node->name}: {$module->name} {$part->terminal}", $tree->voltsOf($module)->maxV ?? 5.0)];
            }
        }
        foreach ($plan->endpointsOf($node) as $endpoint) {
            $lines = [...$lines, ...$knowledge->media->offering(ListsParts::class, $plan->link($endpoint->linkId)->medium)?->partLines($plan, $endpoint, $knowledge) ?? []];
        }

        return $lines;
    }

    /** @return list<PartLine> */
    private static function part(Part $part, string $where, float $volts): array
    {
        $resistor = static fn (?float $ohms): PartLine => PartLine::one('resistor '.Figures::ohms($ohms ?? 0.0), '0.25 W', $where, $part->owned);

        return match ($part->kind) {
            PartKind::Divider => [$resistor($part->ohms), $resistor($part->lowerOhms)],
            PartKind::SeriesResistor, PartKind::PullUp, PartKind::PullDown => [$resistor($part->ohms)],
            PartKind::Driver => [PartLine::one('NPN transistor, small signal', '', $where, $part->owned), $resistor($part->ohms), $resistor(10_000.0)],
            PartKind::Shifter => [PartLine::one('level shifter, one channel', 'sold by four or eight', $where, $part->owned)],
            PartKind::FlybackDiode => [PartLine::one('diode, 1 A', '', $where, $part->owned)],
            PartKind::Snubber => [PartLine::one('snubber 100 Ω + 0.1 µF, for the mains (X2)', '', $where, $part->owned)],
            PartKind::Capacitor => [PartLine::one('capacitor '.Figures::significant($part->microfarads ?? 0.0).' µF', self::capacitorV($volts), $where, $part->owned)],
        };
    }

    /** Half as much again as it gets: electrolytic capacitors that live at their limit dry out. */
    private static function capacitorV(float $volts): string
    {
        foreach (self::CAPACITOR_V as $rated) {
            if ($rated >= 1.5 * $volts) {
                return Figures::significant($rated).' V';
            }
        }

        return Figures::significant(ceil(1.5 * $volts)).' V';
    }
}
