<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Infrared\IrWords;
use Rundfunk\Medium\Infrared\Twins;
use Rundfunk\Plan\KeyCode;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;

/** Two appliances in one room that obey one code. */
#[Finds('ir-heard-by-two', WorkStep::Links)]
final readonly class HeardByTwo extends InfraredRule implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $obeyed = [];
        foreach ($look->plan->endpointsOn($link) as $endpoint) {
            $node = $look->plan->node($endpoint->nodeId);
            array_push($obeyed, ...$node->kind === NodeKind::Fixture ? $look->plan->keyCodesOf($node) : []);
        }
        $shared = [];
        foreach (Twins::among($obeyed, $this->protocols) as [$one, $other]) {
            if ($one->nodeId !== $other->nodeId) {
                $shared["{$one->nodeId} {$other->nodeId}"][] = [$one, $other];
            }
        }
        foreach ($shared as $pairs) {
            yield $this->finding($look->plan, $link, $pairs);
        }
    }

    /** @param  non-empty-list<array{KeyCode, KeyCode}>  $pairs */
    private function finding(Plan $plan, Link $link, array $pairs): Finding
    {
        [$one, $other] = $pairs[0];
        $first = $plan->node($one->nodeId);
        $second = $plan->node($other->nodeId);
        $count = count($pairs);

        return Finding::fault(
            "{$first->name} and {$second->name} obey the same ".($count === 1 ? 'code' : "{$count} codes"),
            Spot::of($other, "{$second->name}, {$other->name}, in {$link->name}"),
            "Both see it: {$one->name} of the one works {$other->name} of the other.",
            'Set one of them to another unit or channel and learn its codes again, or put a wall between them.',
            numbers: ['code' => IrWords::ofCode($one, $this->protocols), 'codes' => $count],
            about: [$one->id, $other->id],
        );
    }
}
