<?php

declare(strict_types=1);

namespace Rundfunk\Build;

use Rundfunk\Knowledge;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;

/** What a node is to be flashed with, as the plan keeps it of one that was. */
final readonly class Flashed
{
    /** @return array{flashedOwn: string, flashed: list<array{linkId: string, fingerprint: string}>} */
    public static function now(Plan $plan, Node $node, Knowledge $knowledge): array
    {
        $knowledge = $knowledge->of($plan);
        $links = [];
        foreach ($plan->endpointsOf($node) as $endpoint) {
            $links[$endpoint->linkId] = ['linkId' => $endpoint->linkId, 'fingerprint' => Fingerprint::ofLink($plan, $plan->link($endpoint->linkId), $knowledge)];
        }

        return ['flashedOwn' => Fingerprint::ofNode($plan, $node, $knowledge), 'flashed' => array_values($links)];
    }

    /** @return list<string> what has changed since, in words; none where it is as it was, or was never flashed */
    public static function changed(Plan $plan, Node $node, Knowledge $knowledge): array
    {
        if ($node->flashedOwn === null) {
            return [];
        }
        $now = self::now($plan, $node, $knowledge);
        $before = array_column($node->flashed, 'fingerprint', 'linkId');
        $changed = $now['flashedOwn'] === $node->flashedOwn ? [] : ['what it does, or on which pins'];
        foreach ($now['flashed'] as ['linkId' => $linkId, 'fingerprint' => $fingerprint]) {
            if (($before[$linkId] ?? null) !== $fingerprint) {
                $changed[] = $plan->link($linkId)->name.(isset($before[$linkId]) ? '' : ', which it was not on');
            }
        }

        return $changed;
    }
}
