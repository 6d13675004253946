<?php

declare(strict_types=1);

namespace Rundfunk\View;

use Rundfunk\Catalogue\BoardPin;
use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Pins\Demands;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;

/** Every pin of every board, and what is on it. */
final readonly class PinTables
{
    /**
     * @param  list<Node>|null  $nodes  only these; null for all
     * @return list<array<string, mixed>>
     */
    public static function of(Plan $plan, Catalogue $catalogue, ?array $nodes = null): array
    {
        $tables = [];
        foreach ($nodes ?? $plan->nodes() as $node) {
            $board = $catalogue->boardOf($node);
            if ($board === null) {
                continue;
            }
            $uses = [];
            foreach ($plan->modulesOf($node) as $module) {
                foreach ($plan->pinUsesOf($module) as $use) {
                    $uses[$use->pin][] = ['useId' => $use->id, 'moduleId' => $module->id, 'what' => "{$module->name} {$use->terminal}", 'pinned' => $use->pinned];
                }
            }
            $tables[] = [
                'nodeId' => $node->id,
                'pins' => array_map(static fn (BoardPin $pin): array => [
                    'name' => $pin->name,
                    'can' => array_values(array_diff($pin->can, ['digital-in', 'digital-out'])),
                    'inputOnly' => ! $pin->can('digital-out'),
                    'console' => $pin->console,
                    'strap' => $pin->strap?->value,
                    'led' => $pin->led,
                    'note' => $pin->note,
                    'uses' => $uses[$pin->name] ?? [],
                ], array_values($board->pins)),
                'unwired' => self::unwired($plan, $node, $catalogue),
            ];
        }

        return $tables;
    }

    /** @return list<array{moduleId: string, terminal: string, what: string}> terminals that need a pin and have none */
    private static function unwired(Plan $plan, Node $node, Catalogue $catalogue): array
    {
        return array_map(static fn (array $want): array => [
            'moduleId' => $want['module']->id,
            'terminal' => $want['terminal']->name,
            'what' => "{$want['module']->name} {$want['terminal']->name}",
        ], Demands::of($plan, $node, $catalogue)->unmet());
    }
}
