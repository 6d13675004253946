<?php

declare(strict_types=1);

namespace Rundfunk\Build\Rule;

use Rundfunk\Build\Fingerprint;
use Rundfunk\Build\Flashed;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** Nodes that were flashed with another state of a link than it has now: they and the others do not agree. */
#[Finds('link-flashed-otherwise', WorkStep::Nodes)]
final readonly class LinkFlashedOtherwise implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $now = null;
        foreach ($look->plan->endpointsOn($link) as $endpoint) {
            $node = $look->plan->node($endpoint->nodeId);
            if ($node->flashedOwn === null || $node->kind->isBought()) {
                continue;
            }
            $now ??= Fingerprint::ofLink($look->plan, $link, $look->knowledge);
            $before = Flashed::before($node, $link);
            if ($before === $now) {
                continue;
            }
            $others = array_values(array_filter($node->flashed, static fn (array $one): bool => $one['linkId'] !== $link->id));

            yield Finding::warning(
                $before === null ? "{$node->name} was flashed before it was on {$link->name}" : "{$link->name} has changed since {$node->name} was flashed",
                Spot::of($node, $node->name, 'flashed'),
                'A channel, an address, a code or what it means is another now. Until all that are on it are flashed with the same, they do not agree, and what you would see is silence.',
                'Export its header and behaviour, flash it, and say so.',
                Fix::change('It has been flashed now', $node, ['flashed' => [...$others, ['linkId' => $link->id, 'fingerprint' => $now]]]),
                about: [$node->id, $link->id],
            );
        }
    }
}
