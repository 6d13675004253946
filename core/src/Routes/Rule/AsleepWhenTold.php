<?php

declare(strict_types=1);

namespace Rundfunk\Routes\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\NodeRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Sleep;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\KeepsMessages;

/** A board that sleeps, and routes that come to it or go on through it. */
#[Finds('asleep-when-told', WorkStep::Nodes)]
final readonly class AsleepWhenTold implements NodeRule
{
    public function check(Node $node, Look $look): iterable
    {
        if (! $node->sleeps()) {
            return;
        }
        $hops = [];
        foreach ($look->plan->endpointsOf($node) as $end) {
            array_push($hops, ...$look->plan->hopsTo($end));
        }
        $lost = array_filter($hops, static fn (Hop $hop): bool => $look->media->offering(KeepsMessages::class, $look->plan->link($hop->linkId)->medium)?->keeps($look->plan, $hop) !== true);
        if ($hops === []) {
            return;
        }
        $at = Spot::of($node, $node->name, 'sleep');
        $awake = Fix::change('It stays awake', $node, ['sleep' => Sleep::Never->value]);
        yield $lost === []
            ? Finding::warning("{$node->name} hears only when it wakes", $at, "It {$node->sleep->words()}. ".self::routes(count($hops)).' to it, and what they say waits until then.', 'Let it stay awake, or be content with that.', $awake, numbers: ['routes' => count($hops)])
            : Finding::fault("{$node->name} sleeps, and does not hear what it is told", $at, "It {$node->sleep->words()}. ".self::routes(count($lost)).' to it over what waits for nobody: what is said while it sleeps is lost.', 'Let it stay awake, or let it ask when it wakes.', $awake, numbers: ['routes' => count($lost)]);
    }

    private static function routes(int $count): string
    {
        return $count === 1 ? 'A route leads' : "{$count} routes lead";
    }
}
