<?php

declare(strict_types=1);

namespace Rundfunk\Electrical\Calculator;

use Rundfunk\Calculator\BadInput;
use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Electrical\ContactRating;
use Rundfunk\OutOfRange;
use Rundfunk\Plan\LoadKind;

final readonly class ContactOf implements Calculator
{
    public function name(): string
    {
        return 'contact';
    }

    public function topic(): string
    {
        return 'Electrical';
    }

    public function title(): string
    {
        return 'Contact under load';
    }

    public function plainly(): string
    {
        return 'Whether a relay\'s contact bears a lamp, a motor or a heater, and what rushes in';
    }

    public function formula(): string
    {
        return 'inrush = load × factor; load ≤ rating × share';
    }

    public function source(): string
    {
        return 'relay makers\' tables of inrush and derating, from memory; common practice';
    }

    public function inputs(): array
    {
        return [
            Quantity::number('load_a', 'A', 'What it draws once it runs.')->example('0.5'),
            Quantity::choice('kind', self::kinds(), 'Heater; filament lamp; motor or pump; transformer, valve or coil; LED driver or switched supply.')->example('lamp'),
            Quantity::number('rating_a', 'A', 'As printed on the relay, alternating current.')->example('10'),
            Quantity::number('dc_v', 'V', 'Of direct current; nothing for alternating.')->example('')->optional(),
        ];
    }

    public function outputs(): array
    {
        return [
            Quantity::number('inrush_a', 'A', 'At worst when it is switched on.'),
            Quantity::number('most_a', 'A', 'What the contact bears of such a load.'),
            Quantity::flag('time_lag', 'Whether its fuse must take its time.'),
            Quantity::flag('ok', 'Whether the contact bears it.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        $load = $inputs->number('load_a');
        OutOfRange::unless('load_a', $load, 0.001, 100);
        $kind = LoadKind::tryFrom($inputs->text('kind')) ?? throw BadInput::notAChoice('kind', $inputs->text('kind'), self::kinds());
        $contact = new ContactRating($inputs->number('rating_a'), $kind, $inputs->text('dc_v') === '' ? null : $inputs->number('dc_v'));

        return ['inrush_a' => round($load * $kind->inrush(), 3), 'most_a' => round($contact->mostA(), 3), 'time_lag' => $kind->wantsTimeLag(), 'ok' => $contact->bears($load)];
    }

    /** @return list<string> */
    private static function kinds(): array
    {
        return array_map(static fn (LoadKind $kind): string => $kind->value, LoadKind::cases());
    }
}
