<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Medium\KeyedRadio\KeyedCodes;
use Rundfunk\Plan\Plan;

/** A code whose switches nobody has touched: the neighbour's are the same. */
final readonly class FactoryCode extends KeyedRule implements LooksNearby
{
    public function key(): string
    {
        return 'keyed-factory-code';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        $seen = [];
        foreach (self::links($plan) as ['link' => $link]) {
            foreach (KeyedCodes::sentOver($plan, $link) as ['endpoint' => $endpoint, 'bits' => $bits]) {
                if (! $bits->isFactorySet() || isset($seen[$endpoint->id])) {
                    continue;
                }
                $seen[$endpoint->id] = true;
                $node = $plan->node($endpoint->nodeId);
                yield new Finding(
                    $this->key(),
                    Severity::Warning,
                    "{$node->name} sends as it came from the factory",
                    Subject::of($endpoint, "{$node->name} on {$link->name}"),
                    ['code' => $bits->text()],
                    'All its switches stand alike, as on every other of its kind: the neighbour\'s doorbell works your lamp, and your fob his.',
                    'Set the switches to something of your own, and learn the codes again.',
                );
            }
        }
    }
}
