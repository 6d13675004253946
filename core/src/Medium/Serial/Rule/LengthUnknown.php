<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\Serial\Levels;
use Rundfunk\Medium\Serial\SerialSettings;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** Nobody said how long the cable is. */
#[Finds('serial-length-unknown', WorkStep::Links)]
final readonly class LengthUnknown implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $settings = SerialSettings::of($link);
        if ($settings->lengthM === null && count($look->plan->endpointsOn($link)) > 1) {
            yield Finding::advice(
                "Nobody said how long {$link->name} is",
                Spot::of($link, $link->name, 'lengthM'),
                $settings->levels === Levels::Logic ? 'Logic levels are for the inside of a box: beyond a metre or two they fail.' : "At {$settings->baud} baud {$settings->levels->words()} reaches ".Figures::significant($settings->levels->reachM($settings->baud)).' m.',
                'Type its length as it will be laid: a third more than the straight line, if you have not measured.',
            );
        }
    }
}
