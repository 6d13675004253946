<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

use Rundfunk\Medium\LineForm;
use Rundfunk\Medium\Medium;
use Rundfunk\Plan\Role;
use Rundfunk\Shape\Shape;

/** A bus on which everybody hears everybody: what a battery, a charger or a vehicle says of itself, and what boards of one's own tell each other. */
final readonly class Can implements Medium
{
    public const KEY = 'can';

    public function key(): string
    {
        return self::KEY;
    }

    public function name(): string
    {
        return 'CAN bus';
    }

    public function part(): string
    {
        return 'CAN part';
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
        return CanSettings::shape();
    }

    public function endpointSettings(): Shape
    {
        return CanEnd::shape();
    }

    public function offers(): array
    {
        return [
            new CanRules,
            new CanSteps,
            new CanCalculators,
            new CanCables,
            new CanStops,
            new CanSayings,
            new CanHops,
            new CanBuild,
            new CanFiles,
            new CanPartLines,
            new CanMessages,
            new CanPanel,
            new CanLearns,
        ];
    }
}
