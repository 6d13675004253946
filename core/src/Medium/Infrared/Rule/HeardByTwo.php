<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Infrared\Infrared;
use Rundfunk\Medium\Infrared\IrWords;
use Rundfunk\Medium\Infrared\Twins;
use Rundfunk\Plan\KeyCode;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Plan;

/** Two appliances in one room that obey one code. */
final readonly class HeardByTwo extends InfraredRule implements LooksNearby
{
    public function key(): string
    {
        return 'ir-heard-by-two';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->linksOver(Infrared::KEY) as $link) {
            $obeyed = array_values(array_filter(self::codes($plan), static fn (array $one): bool => $one['node']->kind === NodeKind::Fixture && $one['link']->id === $link->id));
            $shared = [];
            foreach (Twins::among(array_column($obeyed, 'code'), $this->protocols) as [$one, $other]) {
                if ($one->nodeId !== $other->nodeId) {
                    $shared["{$one->nodeId} {$other->nodeId}"][] = [$one, $other];
                }
            }
            foreach ($shared as $pairs) {
                yield $this->finding($plan, $link, $pairs);
            }
        }
    }

    /** @param  non-empty-list<array{KeyCode, KeyCode}>  $pairs */
    private function finding(Plan $plan, Link $link, array $pairs): Finding
    {
        [$one, $other] = $pairs[0];
        $first = $plan->node($one->nodeId);
        $second = $plan->node($other->nodeId);
        $count = count($pairs);

        return new Finding(
            $this->key(),
            Severity::Fault,
            "{$first->name} and {$second->name} obey the same ".($count === 1 ? 'code' : "{$count} codes"),
            Subject::of($other, "{$second->name}, {$other->name}, in {$link->name}"),
            ['code' => IrWords::ofCode($one, $this->protocols), 'codes' => $count],
            "Both see it: {$one->name} of the one works {$other->name} of the other.",
            'Set one of them to another unit or channel and learn its codes again, or put a wall between them.',
            null,
            [$one->id, $other->id],
        );
    }
}
