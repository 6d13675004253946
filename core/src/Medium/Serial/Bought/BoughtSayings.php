<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Bought;

use Rundfunk\Medium\Serial\SerialEnd;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Protocol;
use Rundfunk\Plan\ProtocolForm;
use Rundfunk\Plan\ProtocolItemKind;

/** What goes over the line to a bought device or comes from it: in its own words, and not by a code of ours. */
final readonly class BoughtSayings
{
    public static function isOn(Plan $plan, Hop $hop): bool
    {
        return self::device($plan, $hop) !== null;
    }

    /** @return string|null what tells it from everything else of its end; null where the device cannot do it, or nobody knows */
    public static function mark(Plan $plan, Hop $hop): ?string
    {
        $end = self::device($plan, $hop);
        $protocol = $end === null ? null : self::protocol($plan, $end);
        if ($end === null || $protocol === null) {
            return null;
        }
        if ($hop->toId === $end->id) {
            $meant = Meant::by($plan, $hop, $protocol);

            return $meant === null ? null : "{$end->id} {$meant->item->name} ".($meant->figure ?? 'said');
        }
        $control = $plan->control($plan->route($hop->routeId)->controlId);

        return $control->kind === ControlKind::Key && $control->terminal !== null && $protocol->item($control->terminal)?->kind === ProtocolItemKind::Says ? "{$end->id} {$control->terminal}" : null;
    }

    /** @return string|null the bytes as a person reads them, where they are always the same; otherwise the function's name */
    public static function words(Plan $plan, Hop $hop): ?string
    {
        $end = self::device($plan, $hop);
        $protocol = $end === null ? null : self::protocol($plan, $end);
        if ($end === null || $protocol === null) {
            return null;
        }
        $route = $plan->route($hop->routeId);
        if ($hop->toId !== $end->id) {
            return $plan->control($route->controlId)->terminal;
        }
        $meant = Meant::by($plan, $hop, $protocol);
        $value = $meant?->item->set();
        $figure = $meant?->figure;
        if ($meant === null || ($value !== null && $figure === null)) {
            return $meant?->item->name;
        }

        return "{$meant->item->name}: ".self::shown($protocol, Forms::of($protocol)->encode(Saying::sent($meant->item), (int) SerialEnd::of($end)->station, $value === null ? 0 : ($value->isSwitch() ? ($figure === 0 ? 0 : 1) : Figure::wire($value, $figure))));
    }

    public static function shown(Protocol $protocol, string $bytes): string
    {
        return $protocol->form === ProtocolForm::Words ? Escaped::shown($bytes) : self::hex($bytes);
    }

    /** @return string "A5 01 FF" */
    public static function hex(string $bytes): string
    {
        return strtoupper(implode(' ', str_split(bin2hex($bytes), 2)));
    }

    private static function device(Plan $plan, Hop $hop): ?Endpoint
    {
        foreach ([$hop->toId, $hop->fromId] as $id) {
            $end = $plan->endpoint($id);
            if ($plan->node($end->nodeId)->kind->isBought()) {
                return $end;
            }
        }

        return null;
    }

    private static function protocol(Plan $plan, Endpoint $end): ?Protocol
    {
        $id = $plan->node($end->nodeId)->speaks();

        return $id === null ? null : $plan->protocol($id);
    }
}
