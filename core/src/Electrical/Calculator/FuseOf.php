<?php

declare(strict_types=1);

namespace Rundfunk\Electrical\Calculator;

use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Electrical\CircuitFuse;
use Rundfunk\OutOfRange;

final readonly class FuseOf implements Calculator
{
    public function name(): string
    {
        return 'fuse';
    }

    public function topic(): string
    {
        return 'Electrical';
    }

    public function title(): string
    {
        return 'Fuse of a circuit';
    }

    public function plainly(): string
    {
        return 'The smallest fuse that a load does not blow, and whether it saves what is behind it';
    }

    public function formula(): string
    {
        return 'smallest rating ≥ 1.25 × load, and ≤ cable, device and contact';
    }

    public function source(): string
    {
        return 'IEC 60127, IEC 60898 for the ratings; common practice; your local wiring code decides';
    }

    public function inputs(): array
    {
        return [
            Quantity::number('load_a', 'A', 'What all behind it draws together.')->example('4'),
            Quantity::number('rating_a', 'A', 'The weakest of cable, device and contact.')->example('10'),
        ];
    }

    public function outputs(): array
    {
        return [
            Quantity::number('fuse_a', 'A', 'The fuse; none where no fuse or breaker of a home is large enough.'),
            Quantity::number('breaker_a', 'A', 'The breaker instead.'),
            Quantity::flag('ok', 'Whether the fuse blows before the weakest burns.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        [$load, $rating] = [$inputs->number('load_a'), $inputs->number('rating_a')];
        OutOfRange::unless('load_a', $load, 0.001, 100);
        OutOfRange::unless('rating_a', $rating, 0.01, 100);
        $fuse = CircuitFuse::for($load);

        return ['fuse_a' => $fuse->ratedA, 'breaker_a' => CircuitFuse::breakerA($load), 'ok' => $fuse->saves($rating)];
    }
}
