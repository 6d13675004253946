<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Bought;

use Rundfunk\Knowledge;
use Rundfunk\Medium\Serial\Shown\ProtocolItemShown;
use Rundfunk\Medium\Serial\Shown\ProtocolSample;
use Rundfunk\Medium\Serial\Shown\ProtocolShown;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Protocol;
use Rundfunk\Plan\ProtocolForm;
use Rundfunk\Plan\ProtocolItem;
use Rundfunk\Plan\ProtocolItemKind;
use Rundfunk\Plan\ProtocolValue;
use Rundfunk\View\View;

/** Every function and reading of a protocol as bytes, to hold beside the manual. */
final readonly class ProtocolView implements View
{
    public function key(): string
    {
        return 'protocol';
    }

    public function owner(): string
    {
        return Protocol::class;
    }

    public function shape(): string
    {
        return ProtocolShown::class;
    }

    public function of(string $of, Plan $plan, Knowledge $knowledge): ProtocolShown
    {
        $protocol = $plan->protocol($of);
        $several = count(array_filter($plan->nodes(), static fn ($node): bool => $node->speaks() === $of)) > 1 && $protocol->hasIds();

        return new ProtocolShown($protocol->hasIds(), $protocol->highestId(), Description::faults($protocol, $several), array_map(static fn (ProtocolItem $item): ProtocolItemShown => self::item($protocol, $item), $protocol->items));
    }

    private static function item(Protocol $protocol, ProtocolItem $item): ProtocolItemShown
    {
        return new ProtocolItemShown(
            $item->name,
            self::can($item),
            self::serves($item),
            self::samples($protocol, Saying::sent($item)),
            $item->isAnswered() || ($item->takesTime() && $item->done->value === 'answered') ? self::samples($protocol, Saying::answer($item)) : [],
        );
    }

    /** @return list<string> */
    private static function serves(ProtocolItem $item): array
    {
        return [
            ...($item->kind === ProtocolItemKind::Does ? [OutputKind::Function->value] : []),
            ...array_map(static fn (ControlKind $kind): string => $kind->value, array_values(array_filter(ControlKind::cases(), static fn (ControlKind $kind): bool => Choices::serves($item, $kind)))),
        ];
    }

    private static function can(ProtocolItem $item): string
    {
        $value = $item->kind === ProtocolItemKind::Does ? $item->set() : $item->read();

        return match (true) {
            $item->kind === ProtocolItemKind::Says && $value === null => 'a key',
            $item->kind !== ProtocolItemKind::Does && $value === null => 'gives no figure',
            $value === null => 'does it when it is told',
            $value->isSwitch() => 'on or off',
            default => ($value->lowest === null && $value->highest === null ? 'a figure' : ($value->lowest ?? '…').' to '.($value->highest ?? '…')).($value->unit === '' ? '' : " {$value->unit}"),
        };
    }

    /** @return list<ProtocolSample> */
    private static function samples(Protocol $protocol, Saying $saying): array
    {
        $form = Forms::of($protocol);
        $value = $saying->given();
        $figures = match (true) {
            $value === null => ['' => 0],
            $value->isSwitch() => ['on' => 1, 'off' => 0],
            default => self::figures($value),
        };
        $samples = [];
        foreach ($figures as $what => $wire) {
            $bytes = $form->encode($saying, 1, $wire);
            $samples[] = new ProtocolSample((string) $what, BoughtSayings::hex($bytes), $protocol->form === ProtocolForm::Words ? Escaped::shown($bytes) : null);
        }

        return $samples;
    }

    /** @return array<array-key, int> by what it is in the plan's unit, the number on the line */
    private static function figures(ProtocolValue $value): array
    {
        $unit = $value->unit === '' ? '' : " {$value->unit}";
        $figures = [];
        foreach (array_unique([$value->lowest ?? 0, $value->highest ?? min(100, (1 << min(30, $value->bits - ($value->signed ? 1 : 0))) - 1)]) as $figure) {
            $figures["{$figure}{$unit}"] = Figure::wire($value, $figure);
        }

        return $figures;
    }
}
