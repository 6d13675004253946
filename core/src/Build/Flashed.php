<?php

declare(strict_types=1);

namespace Rundfunk\Build;

use Rundfunk\Knowledge;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;

/** What a node is to be flashed with, and what it was flashed with as far as the plan knows. */
final readonly class Flashed
{
    /** @return array{flashedOwn: string, flashed: list<array{linkId: string, fingerprint: string}>} as the plan keeps it of one that is flashed now */
    public static function now(Plan $plan, Node $node, Knowledge $knowledge): array
    {
        $knowledge = $knowledge->of($plan);
        $links = [];
        foreach ($plan->endpointsOf($node) as $endpoint) {
            $links[$endpoint->linkId] ??= ['linkId' => $endpoint->linkId, 'fingerprint' => Fingerprint::ofLink($plan, $plan->link($endpoint->linkId), $knowledge)];
        }

        return ['flashedOwn' => Fingerprint::ofNode($plan, $node, $knowledge), 'flashed' => array_values($links)];
    }

    /** @return string|null the fingerprint that a link had when the node was flashed; null where it was not on it */
    public static function before(Node $node, Link $link): ?string
    {
        return array_column($node->flashed, 'fingerprint', 'linkId')[$link->id] ?? null;
    }

    /** @return list<string> what has changed since, in words; none where it is as it was, or was never flashed */
    public static function changed(Plan $plan, Node $node, Knowledge $knowledge): array
    {
        if ($node->flashedOwn === null) {
            return [];
        }
        $now = self::now($plan, $node, $knowledge);
        $changed = $now['flashedOwn'] === $node->flashedOwn ? [] : ['what it does, or on which pins'];
        foreach ($now['flashed'] as ['linkId' => $linkId, 'fingerprint' => $fingerprint]) {
            $link = $plan->link($linkId);
            $before = self::before($node, $link);
            if ($before !== $fingerprint) {
                $changed[] = $link->name.($before === null ? ', which it was not on' : '');
            }
        }

        return $changed;
    }
}
