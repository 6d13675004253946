<?php

declare(strict_types=1);

namespace Rundfunk\Pins\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\NodeRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Spot;

/** A control or an output that is on no channel of any module of its node. */
#[Finds('channel-missing', WorkStep::PinsAndPower)]
final readonly class ChannelMissing implements NodeRule
{
    public function check(Node $node, Look $look): iterable
    {
        if ($node->kind->isBought()) {
            return;
        }
        foreach ($look->plan->controlsOf($node) as $control) {
            if ($control->kind->isWired() && ! self::sits($look, $node, $control->moduleId, $control->terminal, 'control')) {
                yield self::finding($control, $node, 'terminal', 'No key or axis of the node is named for it, so it has no pin.', 'Add a button pad or joystick if there is no room, then Assign.');
            }
        }
        foreach ($look->plan->outputsOf($node) as $output) {
            if ($output->kind->isWired() && ! self::sits($look, $node, $output->moduleId, $output->channel, 'output')) {
                yield self::finding($output, $node, 'channel', 'No relay channel or lamp of the node is named for it, so it has no pin.', 'Add a relay bank if all channels are taken, then Assign.');
            }
        }
    }

    private static function finding(Control|Output $thing, Node $node, string $field, string $detail, string $remedy): Finding
    {
        return Finding::warning("{$thing->name} of {$node->name} is on no channel yet", Spot::of($thing, "{$node->name}, {$thing->name}", $field), $detail, $remedy);
    }

    private static function sits(Look $look, Node $node, ?string $moduleId, ?string $terminal, string $carries): bool
    {
        if ($moduleId === null || $terminal === null) {
            return false;
        }
        $module = $look->plan->module($moduleId);

        return $module->nodeId === $node->id && $look->catalogue->classOf($module)->terminal($terminal)?->carries === $carries;
    }
}
