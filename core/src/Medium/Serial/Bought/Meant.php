<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Bought;

use Rundfunk\Plan\Action;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Protocol;
use Rundfunk\Plan\ProtocolItem;
use Rundfunk\Plan\ProtocolItemKind;

/** The function of a device that a hop asks for, and with which figure. */
final readonly class Meant
{
    /** @param  int|null  $figure  the plan's; null where the message says it */
    private function __construct(public ProtocolItem $item, public ?int $figure)
    {
    }

    /** @return self|null null where the device has no such function, or it cannot do that */
    public static function by(Plan $plan, Hop $hop, Protocol $protocol): ?self
    {
        $route = $plan->route($hop->routeId);
        $item = self::itemOf($plan->output($route->outputId), $protocol);
        if ($item === null || ! self::can($item, $route->action)) {
            return null;
        }

        return new self($item, match ($route->action) {
            Action::On => 1,
            Action::Off => 0,
            Action::Toggle, Action::Pulse => 0,
            Action::Set => $route->value,
            default => null,
        });
    }

    public static function itemOf(Output $output, Protocol $protocol): ?ProtocolItem
    {
        $item = $output->channel === null ? null : $protocol->item($output->channel);

        return $item?->kind === ProtocolItemKind::Does ? $item : null;
    }

    /** What is only done can be asked for and not taken back; what is on or off can be put so; what takes a number is set. */
    public static function can(ProtocolItem $item, Action $action): bool
    {
        $value = $item->set();

        return match (true) {
            $value === null => in_array($action, [Action::On, Action::Pulse, Action::Toggle], true),
            $value->isSwitch() => in_array($action, [Action::On, Action::Off, Action::Follow, Action::Momentary, Action::Set], true),
            default => $action === Action::Set,
        };
    }
}
