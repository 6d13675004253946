<?php

declare(strict_types=1);

namespace Rundfunk\Pins\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\NodeRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Spot;

/** Two outputs on one relay channel, or two controls on one key. */
#[Finds('channel-shared', WorkStep::PinsAndPower)]
final readonly class ChannelShared implements NodeRule
{
    public function check(Node $node, Look $look): iterable
    {
        foreach ($look->plan->modulesOf($node) as $module) {
            $taken = [];
            $things = [...$look->plan->having(Control::class, 'moduleId', $module->id), ...$look->plan->having(Output::class, 'moduleId', $module->id)];
            foreach ($things as $thing) {
                $channel = $thing instanceof Output ? $thing->channel : $thing->terminal;
                $owner = $look->plan->node($thing->nodeId);
                // What has no wire, or was bought as it is, may still bear the name of a channel that it was on once.
                if ($channel === null || ! $thing->kind->isWired() || $owner->kind->isBought() || $look->catalogue->classOf($module)->terminal($channel)?->shared === true) {
                    continue;
                }
                $other = $taken[$channel] ??= $thing;
                if ($other !== $thing) {
                    yield self::finding($thing, $other, $owner, $module, $channel);
                }
            }
        }
    }

    private static function finding(Control|Output $thing, Control|Output $other, Node $owner, Module $module, string $channel): Finding
    {
        $field = $thing instanceof Output ? 'channel' : 'terminal';

        return Finding::fault(
            "{$other->name} and {$thing->name} are both on {$module->name} {$channel}",
            Spot::of($thing, "{$owner->name}, {$thing->name}", $field),
            'One channel carries one thing: working the one works the other.',
            'Move one of them to a free channel.',
            $thing->pinned ? null : Fix::change("Take {$thing->name} off {$channel}", $thing, ['moduleId' => null, $field => null]),
            numbers: ['channel' => $channel],
            about: [$thing->id, $other->id],
        );
    }
}
