<?php

declare(strict_types=1);

namespace Rundfunk\Power;

use Rundfunk\Catalogue\BoardInput;
use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Figures;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Supply;
use Rundfunk\Shape\Values;

/** What can feed a board with all that hangs on its pins, the cheapest first: cells for what is carried, a closed plug for what stands. */
final readonly class BoardFeeding
{
    /** Each with the regulator that it wants behind it, or none. */
    private const CARRIED = [['alkaline-3', null], ['nimh-4', null], ['li-ion-cell', null], ['alkaline-4', null], ['li-ion-cell', 'boost-5v']];

    private const STANDING = [['plug-5v-1a', null], ['plug-5v-3a', null], ['plug-12v-2a', 'buck']];

    /** Cells that are made for it, and bought as one of so many times as much. Those of a torch are not. */
    private const SIDE_BY_SIDE = 'li-ion-cell';

    /** More nobody carries. */
    private const MOST_CELLS = 4;

    /** @param  non-empty-list<Supply>  $supplies  the source first, what feeds the board last */
    private function __construct(public array $supplies)
    {
    }

    /** @return self|null null where nothing that there is would do */
    public static function best(Island $island, Catalogue $catalogue, Node $node): ?self
    {
        $board = $catalogue->boardOf($node);
        $short = null;
        foreach ($board === null ? [] : [...($node->kind === NodeKind::Handset ? self::CARRIED : []), ...self::STANDING] as [$source, $regulator]) {
            foreach ($board->inputs ?? [] as $input) {
                $choice = self::of($island, $node, $source, $regulator, $input);
                $feeder = $choice->supplies[count($choice->supplies) - 1];
                if (! self::feedsWell($island->plan, $choice->in($island->plan), $catalogue, $node, $feeder, $input)) {
                    continue;
                }
                $days = $choice->daysIn($island->plan, $catalogue);
                // What is carried hangs on no plug, however soon its cells are empty.
                if ($days === null) {
                    return $short ?? $choice;
                }
                $cells = $source === self::SIDE_BY_SIDE ? max(1, min(self::MOST_CELLS, (int) ceil(BatteryHours::LEAST_DAYS / $days))) : 1;
                $choice = $cells === 1 ? $choice : $choice->withCells($cells, $catalogue);
                if ($cells * $days >= BatteryHours::LEAST_DAYS) {
                    return $choice;
                }
                $short ??= $choice;
            }
        }

        return $short;
    }

    /**
     * The input is made for it, the board bears everything at its peak, and nothing that was well fed is so no more.
     *
     * @param  Plan  $after  with the feeder in it
     */
    public static function feedsWell(Plan $before, Plan $after, Catalogue $catalogue, Node $node, Supply $feeder, BoardInput $input): bool
    {
        $verdicts = new Verdicts(new SupplyTree($after, $catalogue));
        $was = new Verdicts(new SupplyTree($before, $catalogue));

        return $verdicts->tree->fits($feeder, $input) && $verdicts->isSound($feeder)
            && (! $verdicts->tree->feedsTwice($node) || $was->tree->feedsTwice($node))
            && Feeding::unsuited($before, $after, $catalogue, $node) === [] && ! self::overloadsMore($before, $was, $verdicts)
            && ! Feeding::spoilsOthers($was, $verdicts, $feeder, $catalogue);
    }

    /** Something that bore what hung on it bears it no more: what fed the board beside it feeds it alone, say. */
    private static function overloadsMore(Plan $before, Verdicts $was, Verdicts $after): bool
    {
        foreach ($before->of(Supply::class) as $supply) {
            if ($after->isOverloaded($supply) && ! $was->isOverloaded($supply)) {
                return true;
            }
        }

        return false;
    }

    private static function of(Island $island, Node $node, string $source, ?string $regulator, BoardInput $input): self
    {
        $sourceId = $island->newId('supply', $node->id, 'board');
        $first = new Supply($sourceId, $node->id, $source, mb_substr("Supply of {$node->name}", 0, 80), feedsAt: $regulator === null ? $input->at : null, order: 50);
        if ($regulator === null) {
            return new self([$first]);
        }

        return new self([$first, new Supply($island->newId('supply', $node->id, 'board', $regulator), $node->id, $regulator, mb_substr("Regulator of {$node->name}", 0, 80), $sourceId, $input->at, order: 51)]);
    }

    /** @return float|null how long its source lasts at the least, days; null for what is no battery */
    private function daysIn(Plan $plan, Catalogue $catalogue): ?float
    {
        $after = $this->in($plan);

        return BatteryHours::of($after, $catalogue, new SupplyTree($after, $catalogue), $this->supplies[0])?->daysLow();
    }

    /** The same with so many cells side by side. */
    private function withCells(int $cells, Catalogue $catalogue): self
    {
        $source = $this->supplies[0];
        $cell = $catalogue->supplyClassOf($source)->cell;

        return $cell === null ? $this : new self([Supply::from(new Values([...$source->values(), 'capacityMah' => $cells * $cell->capacityMah])), ...array_slice($this->supplies, 1)]);
    }

    public function in(Plan $plan): Plan
    {
        $draft = $plan->draft();
        array_map($draft->put(...), $this->supplies);

        return $draft->plan();
    }

    /** @return list<Operation> */
    public function operations(): array
    {
        return array_map(Operation::add(...), $this->supplies);
    }

    public function words(Catalogue $catalogue): string
    {
        return implode(' with a ', array_map(static fn (Supply $supply): string => $catalogue->supplyClassOf($supply)->name.($supply->capacityMah === null ? '' : ' ('.Figures::significant($supply->capacityMah).' mAh)'), $this->supplies));
    }
}
