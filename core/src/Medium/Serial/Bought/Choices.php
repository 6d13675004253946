<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Bought;

use Closure;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Protocol;
use Rundfunk\Plan\ProtocolItem;
use Rundfunk\Plan\ProtocolItemKind;
use Rundfunk\Plan\Route;

/** Which of a device's functions an output is likely to be, and which of its readings a control. */
final readonly class Choices
{
    /** @return ProtocolItem|null the one of that name; else the only one that can do what is asked of it and is nobody else's. Of several nobody guesses: what moves is not always what should */
    public static function function(Plan $plan, Output $output, Protocol $protocol): ?ProtocolItem
    {
        $taken = array_map(static fn (Output $other): ?string => $other->id === $output->id ? null : $other->channel, $plan->outputsOf($plan->node($output->nodeId)));
        $asked = array_map(static fn (Route $route) => $route->action, $plan->routesTo($output));
        $able = array_filter($protocol->items, static fn (ProtocolItem $item): bool => $item->kind === ProtocolItemKind::Does && array_filter($asked, static fn (Action $action): bool => ! Meant::can($item, $action)) === []);
        $isSet = in_array(Action::Set, $asked, true);

        // What is set to a figure is rather what takes one.
        return self::named($able, $output->name) ?? self::onlyFree($able, $taken, static fn (ProtocolItem $item): bool => ! $isSet || $item->set()?->isSwitch() !== true);
    }

    /** @return ProtocolItem|null the one of that name; else the only one that such a control can be and that is nobody else's */
    public static function reading(Plan $plan, Control $control, Protocol $protocol): ?ProtocolItem
    {
        $taken = array_map(static fn (Control $other): ?string => $other->id === $control->id ? null : $other->terminal, $plan->controlsOf($plan->node($control->nodeId)));
        $able = array_filter($protocol->items, static fn (ProtocolItem $item): bool => self::serves($item, $control->kind));
        // That a function is done is looked for by its name alone.
        $read = array_filter($able, static fn (ProtocolItem $item): bool => $item->kind !== ProtocolItemKind::Does);

        // What is asked for comes in its turn; what is said unasked comes in between.
        return self::named($able, $control->name) ?? self::onlyFree($read, $taken, static fn (ProtocolItem $item): bool => $item->kind !== ProtocolItemKind::Says);
    }

    /**
     * @param  array<ProtocolItem>  $able
     * @param  list<string|null>  $taken
     * @param  Closure(ProtocolItem): bool  $isRather  what is taken before the others, where there is such
     */
    private static function onlyFree(array $able, array $taken, Closure $isRather): ?ProtocolItem
    {
        $free = array_filter($able, static fn (ProtocolItem $item): bool => ! in_array($item->name, $taken, true));
        $rather = array_values(array_filter($free, $isRather));
        $free = $rather === [] ? array_values($free) : $rather;

        return count($free) === 1 ? $free[0] : null;
    }

    public static function is(Control $control, Protocol $protocol): bool
    {
        $item = $control->terminal === null ? null : $protocol->item($control->terminal);

        return $item !== null && self::serves($item, $control->kind);
    }

    /** What it answers or says with a figure is a reading, and so is whether a function is done; what it says unasked can be a key. */
    public static function serves(ProtocolItem $item, ControlKind $kind): bool
    {
        return match ($kind) {
            ControlKind::Reading => $item->kind === ProtocolItemKind::Does ? $item->takesTime() : $item->read() !== null,
            ControlKind::Key => $item->kind === ProtocolItemKind::Says,
            default => false,
        };
    }

    /** @param  array<ProtocolItem>  $items */
    private static function named(array $items, string $name): ?ProtocolItem
    {
        foreach ($items as $item) {
            if (mb_strtolower($item->name) === mb_strtolower(trim($name))) {
                return $item;
            }
        }

        return null;
    }
}
