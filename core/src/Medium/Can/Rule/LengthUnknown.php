<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\Severity;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\Can\Can;
use Rundfunk\Medium\Can\CanSettings;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** Nobody said how long the bus is. */
#[Finds('can-length-unknown', WorkStep::Links)]
final readonly class LengthUnknown implements LinkRule
{
    /** A house is not larger. Common practice. */
    private const HOUSE_M = 100.0;

    public function check(Link $link, Look $look): iterable
    {
        $settings = $link->medium === Can::KEY ? CanSettings::of($link) : null;
        // A bus that runs without us is as long as it is.
        if ($settings === null || $settings->foreign || $settings->lengthM !== null || count($look->plan->endpointsOn($link)) < 2) {
            return [];
        }

        return [Finding::of(
            $settings->reachM() < self::HOUSE_M ? Severity::Warning : Severity::Advice,
            "Nobody said how long {$link->name} is",
            Spot::of($link, $link->name, 'lengthM'),
            "At {$settings->bitrate} bit/s it reaches ".Figures::significant($settings->reachM()).' m.',
            'Type its length as it will be laid: a third more than the straight line, if you have not measured.',
            about: [$link->id],
        )];
    }
}
