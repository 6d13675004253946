<?php

declare(strict_types=1);

namespace Rundfunk\Power\Rule;

use Rundfunk\Catalogue\SupplySort;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\SupplyRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\Supply;
use Rundfunk\Power\At;
use Rundfunk\Power\SupplyTree;

/** A regulator that is set to what it cannot give. */
#[Finds('supply-cannot-give', WorkStep::PinsAndPower)]
final readonly class SupplyCannotGive implements SupplyRule
{
    public function check(Supply $supply, Look $look): iterable
    {
        $class = SupplyTree::in($look)->classOf($supply);
        $says = $supply->volts;
        if ($says === null || $class->volts === null || $class->sort === SupplySort::Battery) {
            return [];
        }
        [$from, $to] = $class->adjustable ?? [$class->volts, $class->volts];
        if ($says >= $from - 1e-6 && $says <= $to + 1e-6) {
            return [];
        }

        return [Finding::fault(
            "{$supply->name} is to give ".Figures::significant($says).' V and gives '.($from === $to ? Figures::significant($from) : Figures::significant($from).' to '.Figures::significant($to)),
            At::supply($look, $supply, 'volts'),
            "It is a {$class->name}.",
            'Choose another class of supply, or a voltage that it gives.',
            Fix::change('Let it give what its class does', $supply, ['volts' => null]),
            numbers: ['says_v' => $says, 'from_v' => $from, 'to_v' => $to],
        )];
    }
}
