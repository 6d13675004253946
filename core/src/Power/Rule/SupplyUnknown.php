<?php

declare(strict_types=1);

namespace Rundfunk\Power\Rule;

use Rundfunk\Catalogue\SupplyClass;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\SupplyRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Supply;
use Rundfunk\Power\At;
use Rundfunk\Power\SupplyTree;

/** A supply that feeds something, and nobody knows its voltage. */
#[Finds('supply-unknown', WorkStep::PinsAndPower)]
final readonly class SupplyUnknown implements SupplyRule
{
    public function check(Supply $supply, Look $look): iterable
    {
        $tree = SupplyTree::in($look);
        if ($supply->class !== SupplyClass::OTHER || $supply->volts !== null || $tree->takes($supply) === []) {
            return [];
        }

        return [Finding::advice(
            "The plan does not say what {$supply->name} gives",
            At::supply($look, $supply, 'volts'),
            'Whether it suits what hangs on it cannot be told.',
            'Type its voltage, and how much may be drawn, or choose what it is.',
        )];
    }
}
