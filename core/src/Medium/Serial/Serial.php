<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

use Rundfunk\Medium\LineForm;
use Rundfunk\Medium\Medium;
use Rundfunk\Plan\Role;
use Rundfunk\Shape\Shape;

/** Characters on wires: two boards on a plain cable, many boxes that one of them asks in turn, a ring that hands on what it hears. */
final readonly class Serial implements Medium
{
    public const KEY = 'serial';

    public function key(): string
    {
        return self::KEY;
    }

    public function name(): string
    {
        return 'serial line';
    }

    public function part(): string
    {
        return 'serial port';
    }

    public function usualRole(): Role
    {
        return Role::Both;
    }

    public function form(): LineForm
    {
        return LineForm::Solid;
    }

    public function linkSettings(): Shape
    {
        return SerialSettings::shape();
    }

    public function endpointSettings(): Shape
    {
        return SerialEnd::shape();
    }

    public function offers(): array
    {
        return [
            new SerialRules,
            new SerialSteps,
            new SerialCalculators,
            new SerialCables,
            new SerialFits,
            new SerialStops,
            new SerialSayings,
            new SerialHops,
            new SerialBuild,
            new SerialPartLines,
            new SerialMessages,
            new SerialBroadcast,
            new SerialPanel,
            new SerialViews,
            new SerialBought,
        ];
    }
}
