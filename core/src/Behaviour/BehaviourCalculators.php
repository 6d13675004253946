<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Behaviour\Calculator\StickCalibrate;
use Rundfunk\Behaviour\Calculator\StickPosition;
use Rundfunk\Calculator\Calculator;

final readonly class BehaviourCalculators
{
    /** @return list<Calculator> */
    public static function all(): array
    {
        return [new StickCalibrate, new StickPosition];
    }
}
