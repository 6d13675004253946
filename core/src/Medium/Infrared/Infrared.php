<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared;

use Rundfunk\Medium\LineForm;
use Rundfunk\Medium\Medium;
use Rundfunk\Plan\Role;
use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;

/** Infrared within one room: bought remotes, appliances and toys, and our own emitters and receivers. */
final readonly class Infrared implements Medium
{
    public const KEY = 'infrared';

    public function key(): string
    {
        return self::KEY;
    }

    public function name(): string
    {
        return 'infrared';
    }

    public function part(): string
    {
        return 'infrared part';
    }

    public function usualRole(): Role
    {
        return Role::Both;
    }

    public function form(): LineForm
    {
        return LineForm::Dotted;
    }

    public function linkSettings(): Shape
    {
        return Shape::of(Field::flag('sunlit', 'Whether direct sun falls into the room: it halves the reach.')->titled('Sun'));
    }

    public function endpointSettings(): Shape
    {
        return IrEnd::shape();
    }

    public function offers(): array
    {
        $protocols = Protocols::standard();

        return [
            new IrRules($protocols),
            new IrSteps($protocols),
            new IrCalculators,
            new IrStops,
            new IrSayings($protocols),
            new IrHops($protocols),
            new IrBuild($protocols),
            new IrParts,
            new IrCodebook($protocols),
            new IrPanel($protocols),
        ];
    }
}
