<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\Severity;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\Dmx\DmxSettings;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** A stretch that is longer than a driver drives. */
#[Finds('dmx-too-long', WorkStep::Links)]
final readonly class CableTooLong implements LinkRule
{
    /** Common practice. */
    private const USUAL_M = 300.0;

    /** TIA/EIA-485-A. */
    private const MOST_M = 1_200.0;

    public function check(Link $link, Look $look): iterable
    {
        $settings = DmxSettings::of($link);
        if ($settings->isNetwork || $settings->lengthM === null || $settings->lengthM <= self::USUAL_M) {
            return [];
        }

        return [Finding::of(
            $settings->lengthM > self::MOST_M ? Severity::Fault : Severity::Warning,
            "{$link->name} is ".Figures::significant($settings->lengthM).' m long',
            Spot::of($link, $link->name, 'lengthM'),
            'Over 300 m the edges are soft, and with lamps along the way they are softer still; 1200 m is the end of what TIA/EIA-485-A drives at any rate, with nothing on the way.',
            'A splitter on the way begins anew.',
            numbers: ['length_m' => $settings->lengthM],
            about: [$link->id],
        )];
    }
}
