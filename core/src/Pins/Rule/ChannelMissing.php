<?php

declare(strict_types=1);

namespace Rundfunk\Pins\Rule;

use Rundfunk\Catalogue\BoardPin;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\NodeRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\PinUse;
use Rundfunk\Plan\Spot;

/** A control or an output that is on no channel of any module of its node. */
#[Finds('channel-missing', WorkStep::PinsAndPower)]
final readonly class ChannelMissing implements NodeRule
{
    public function check(Node $node, Look $look): iterable
    {
        // Asked once for all of a kind: a node may have thousands that wait.
        $waits = [];
        if ($node->kind->isBought()) {
            return;
        }
        foreach ($look->plan->controlsOf($node) as $control) {
            if ($control->kind->isWired() && ! self::sits($look, $node, $control->moduleId, $control->terminal, 'control')) {
                $waits[$control->kind->value] ??= [self::waitsForPin($look, $node, $control)];
                yield self::finding($waits[$control->kind->value][0], $control, $node, 'terminal', 'No key or axis of the node is named for it, so it has no pin.', 'Add a button pad or joystick if there is no room, then Assign.');
            }
        }
        foreach ($look->plan->outputsOf($node) as $output) {
            if ($output->kind->isWired() && ! self::sits($look, $node, $output->moduleId, $output->channel, 'output')) {
                $waits["output {$output->kind->value}"] ??= [self::waitsForPin($look, $node, $output)];
                yield self::finding($waits["output {$output->kind->value}"][0], $output, $node, 'channel', 'No relay channel or lamp of the node is named for it, so it has no pin.', 'Add a relay bank if all channels are taken, then Assign.');
            }
        }
    }

    private static function finding(?string $waits, Control|Output $thing, Node $node, string $field, string $detail, string $remedy): Finding
    {
        return Finding::warning(
            "{$thing->name} of {$node->name} is on no channel yet",
            Spot::of($thing, "{$node->name}, {$thing->name}", $field),
            $waits === null ? $detail : "{$waits} is free for it, but every pin of the board that could serve that is taken.",
            $waits === null ? $remedy : 'Free a pin, or build the node on a larger board, then Assign.',
        );
    }

    /** @return string|null the channel that it could be on, if the board had a pin for that; null where another channel, or Assign, would do */
    private static function waitsForPin(Look $look, Node $node, Control|Output $thing): ?string
    {
        $board = $look->board($node);
        $taken = [];
        foreach ([...$look->plan->controlsOf($node), ...$look->plan->outputsOf($node)] as $other) {
            $taken[$other->moduleId.' '.($other instanceof Output ? $other->channel : $other->terminal)] = true;
        }
        $waits = null;
        $used = [];
        foreach ($look->plan->modulesOf($node) as $module) {
            $uses = array_map(static fn (PinUse $use): string => $use->pin, $look->plan->pinUsesOf($module));
            $used = [...$used, ...$uses];
            $class = $look->catalogue->classOf($module);
            foreach ($class->channels() as $terminal) {
                if (! isset($taken["{$module->id} {$terminal->name}"]) && $class->takes($terminal, $thing)) {
                    if (! $terminal->hasPin()) {
                        return null;
                    }
                    $waits ??= [$terminal, "{$terminal->name} of {$module->name}"];
                }
            }
        }
        $free = $waits === null ? [] : array_filter($board->pins ?? [], static fn (BoardPin $pin): bool => $pin->serves($waits[0]->needs) && ! in_array($pin->name, $used, true));

        return $board === null || $waits === null || $free !== [] ? null : $waits[1];
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
