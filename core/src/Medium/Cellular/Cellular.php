<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular;

use Rundfunk\Medium\LineForm;
use Rundfunk\Medium\Medium;
use Rundfunk\Plan\Role;
use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;

/** Calls and texts over a mobile network: phones on one side, modems of ours on the other. */
final readonly class Cellular implements Medium
{
    public const KEY = 'cellular';

    public function key(): string
    {
        return self::KEY;
    }

    public function name(): string
    {
        return 'cellular';
    }

    public function part(): string
    {
        return 'modem';
    }

    public function usualRole(): Role
    {
        return Role::Both;
    }

    public function form(): LineForm
    {
        return LineForm::DashDot;
    }

    public function linkSettings(): Shape
    {
        return Shape::of(Field::label('country', 2, 'Country of numbers that are written without one, two letters; empty when all begin with +.')->titled('Country'));
    }

    public function endpointSettings(): Shape
    {
        return CellularEnd::shape();
    }

    public function offers(): array
    {
        return [
            new CellularRules,
            new CellularSteps,
            new CellularCalculators,
            new CellularStops,
            new CellularSayings,
            new CellularHops,
            new CellularBuild,
            new CellularMessages,
            new CellularPanel,
            new CellularKept,
        ];
    }
}
