<?php

declare(strict_types=1);

namespace Rundfunk\Check\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Edit\Operation;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

/** Two outputs on one relay channel, or two controls on one key. */
final readonly class ChannelShared implements LooksNearby
{
    public function key(): string
    {
        return 'channel-shared';
    }

    public function reads(): array
    {
        return [ThingKind::Module, ThingKind::Control, ThingKind::Output, ThingKind::Node];
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        $taken = [];
        foreach ([...$plan->controls(), ...$plan->outputs()] as $thing) {
            $channel = $thing instanceof Output ? $thing->channel : $thing->terminal;
            // What has no wire, or was bought as it is, may still bear the name of a channel that it was on once.
            if ($thing->moduleId === null || $channel === null || ! $thing->kind->isWired() || $plan->node($thing->nodeId)->kind->isBought()) {
                continue;
            }
            if ($knowledge->catalogue->classOf($plan->module($thing->moduleId))->terminal($channel)?->shared === true) {
                continue;
            }
            $place = $thing->moduleId.' '.$channel;
            $other = $taken[$place] ?? null;
            $taken[$place] ??= $thing;
            if ($other !== null) {
                $module = $plan->module($thing->moduleId);
                yield new Finding(
                    $this->key(),
                    Severity::Fault,
                    "{$other->name} and {$thing->name} are both on {$module->name} {$channel}",
                    Subject::of($thing, "{$plan->node($thing->nodeId)->name}, {$thing->name}", $thing instanceof Output ? 'channel' : 'terminal'),
                    ['channel' => $channel],
                    'One channel carries one thing: working the one works the other.',
                    'Move one of them to a free channel.',
                    $thing->pinned ? null : new Fix("Take {$thing->name} off {$channel}", Operation::change($thing::kind(), $thing->id, [
                        'moduleId' => null, $thing instanceof Output ? 'channel' : 'terminal' => null,
                    ])),
                    [$thing->id, $other->id],
                );
            }
        }
    }
}
