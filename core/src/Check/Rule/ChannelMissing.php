<?php

declare(strict_types=1);

namespace Rundfunk\Check\Rule;

use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Thing;
use Rundfunk\Plan\ThingKind;

/** A control or an output that is on no channel of any module of its node. */
final readonly class ChannelMissing implements LooksNearby
{
    public function key(): string
    {
        return 'channel-missing';
    }

    public function reads(): array
    {
        return [ThingKind::Node, ThingKind::Module, ThingKind::Control, ThingKind::Output];
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->controls() as $control) {
            $node = $plan->node($control->nodeId);
            if ($control->kind->isWired() && ! $node->kind->isBought() && ! self::sits($plan, $knowledge->catalogue, $control->nodeId, $control->moduleId, $control->terminal, 'control')) {
                yield $this->finding($control, $node, $control->name, 'terminal', 'No key or axis of the node is named for it, so it has no pin.', 'Add a button pad or joystick if there is no room, then Assign.');
            }
        }
        foreach ($plan->outputs() as $output) {
            $node = $plan->node($output->nodeId);
            if ($output->kind->isWired() && ! $node->kind->isBought() && ! self::sits($plan, $knowledge->catalogue, $output->nodeId, $output->moduleId, $output->channel, 'output')) {
                yield $this->finding($output, $node, $output->name, 'channel', 'No relay channel or lamp of the node is named for it, so it has no pin.', 'Add a relay bank if all channels are taken, then Assign.');
            }
        }
    }

    private function finding(Thing $thing, Node $node, string $name, string $field, string $detail, string $remedy): Finding
    {
        return new Finding($this->key(), Severity::Warning, "{$name} of {$node->name} is on no channel yet", Subject::of($thing, "{$node->name}, {$name}", $field), [], $detail, $remedy);
    }

    private static function sits(Plan $plan, Catalogue $catalogue, string $nodeId, ?string $moduleId, ?string $terminal, string $carries): bool
    {
        if ($moduleId === null || $terminal === null) {
            return false;
        }
        $module = $plan->module($moduleId);

        return $module->nodeId === $nodeId && $catalogue->classOf($module)->terminal($terminal)?->carries === $carries;
    }
}
