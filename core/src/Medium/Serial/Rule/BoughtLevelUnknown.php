<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Serial\Levels;
use Rundfunk\Medium\Serial\PinLevels;
use Rundfunk\Medium\Serial\SerialSettings;
use Rundfunk\Plan\Spot;

/** A device on the pins of a board, and nobody looked up at how many volts it speaks. */
#[Finds('serial-bought-level-unknown', WorkStep::PinsAndPower)]
final readonly class BoughtLevelUnknown implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        // Nobody knows anything of what is not even named: that has a finding of its own.
        if ($end->node->speaks() === null || SerialSettings::of($end->link)->levels !== Levels::Logic || PinLevels::of($end, $look) !== null) {
            return [];
        }
        $protocol = $look->plan->protocol($end->node->speaks());

        return [Finding::warning(
            "Nobody said how many volts {$end->node->name} puts on {$end->link->name}",
            Spot::of($protocol, $protocol->name, 'logicV'),
            'Five volts into a pin that stands 3.3 end it; 3.3 may be no high for five.',
            'Its manual says it, or measure it while nobody speaks: a serial line is high then.',
            about: [$end->endpoint->id],
        )];
    }
}
