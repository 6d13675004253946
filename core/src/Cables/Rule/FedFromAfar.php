<?php

declare(strict_types=1);

namespace Rundfunk\Cables\Rule;

use Rundfunk\Cables\CableRun;
use Rundfunk\Cables\CableRuns;
use Rundfunk\Cables\Cores;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Cable;
use Rundfunk\Plan\CableCore;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Spot;
use Rundfunk\Plan\Supply;

/** Something of a node lives on a supply of another, and nothing says how that gets there. */
#[Finds('fed-from-afar', WorkStep::PinsAndPower)]
final readonly class FedFromAfar implements PlanRule
{
    private const CORES = 4;

    public function check(Look $look): iterable
    {
        foreach (self::fromElsewhere($look) as [$nodeId, $supply, $names]) {
            $node = $look->plan->node($nodeId);
            $other = $look->plan->node($supply->nodeId);
            $carried = array_values(array_filter([$node, $other], static fn (Node $one): bool => $one->kind->isCarried()));
            // A cable of the supply's own, of so many metres, is said as well.
            if ($carried === [] && ($supply->cableM !== null || CableRuns::in($look)->lies($node->id, $other->id))) {
                continue;
            }
            $lives = implode(', ', $names)." of {$node->name} ".(count($names) === 1 ? 'lives' : 'live')." on {$supply->name} of {$other->name}";
            yield $carried === []
                ? Finding::advice(
                    "{$lives}, and no cable lies between",
                    Spot::of($node, $node->name, 'supply'),
                    'What its cores are for is on no sheet, and what they lose on the way in no sum.',
                    'Lay a cable, say the length of the one that the supply has, or feed it from what is there.',
                    self::laid($look, $node, $other),
                    about: [$node->id, $supply->id],
                )
                : Finding::fault(
                    "{$lives}, and {$carried[0]->name} is carried about",
                    Spot::of($node, $node->name, 'supply'),
                    'Nothing that is carried hangs on a wire to another box.',
                    'Feed it from what is in its own.',
                    about: [$node->id, $supply->id],
                );
        }
    }

    /** @return iterable<array{string, Supply, non-empty-list<string>}> nodes, supplies of others, and what of the node lives on them */
    private static function fromElsewhere(Look $look): iterable
    {
        $found = [];
        foreach ($look->plan->modules() as $module) {
            foreach ([$module->supplyId, $module->signalSupplyId] as $id) {
                self::note($look, $found, $module, $id);
            }
        }
        foreach ($look->plan->of(Supply::class) as $supply) {
            // The pins of a board live on what feeds it, whatever a plan says.
            if ($supply->parentId !== null && ! $look->catalogue->supplyClassOf($supply)->isBoardPin()) {
                self::note($look, $found, $supply, $supply->parentId);
            }
        }
        foreach ($found as $nodeId => $supplies) {
            foreach ($supplies as $id => $names) {
                yield [$nodeId, $look->plan->supply($id), array_values(array_unique($names))];
            }
        }
    }

    /** @param  array<string, array<string, non-empty-list<string>>>  $found  names by node and supply */
    private static function note(Look $look, array &$found, Module|Supply $by, ?string $id): void
    {
        $supply = $id === null ? null : $look->plan->find(Supply::kind(), $id);
        if ($supply instanceof Supply && $supply->nodeId !== $by->nodeId) {
            $found[$by->nodeId][$supply->id][] = $by->name;
        }
    }

    private static function laid(Look $look, Node $node, Node $other): Fix
    {
        $wanted = count(CableRun::alone($look, self::lead($look, $node, $other, self::CORES))->missing);
        $cores = max(self::CORES, $wanted + $wanted % 2);
        $uses = Cores::completed(CableRun::alone($look, self::lead($look, $node, $other, $cores)));

        return new Fix("Lay a cable of {$cores} cores in pairs", Operation::add(self::lead($look, $node, $other, $cores, $uses ?? [])));
    }

    /**
     * Cores in pairs: what else the two have to say to each other goes through it as well.
     *
     * @param  list<CableCore>  $uses
     */
    private static function lead(Look $look, Node $node, Node $other, int $cores, array $uses = []): Cable
    {
        return new Cable($look->plan->newId('cable', 'feeds', $other->id, $node->id), $other->id, $node->id, mb_substr("{$other->name} – {$node->name}", 0, 80), $cores, twisted: true, uses: $uses);
    }
}
