<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\Serial\SerialSettings;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** A long cable that joins the grounds of two houses. */
#[Finds('serial-not-isolated', WorkStep::PinsAndPower)]
final readonly class NotIsolated implements LinkRule
{
    /** Common practice: beyond that the grounds of two supplies are not the same. */
    private const LONG_M = 100.0;

    public function check(Link $link, Look $look): iterable
    {
        $settings = SerialSettings::of($link);
        if ($settings->lengthM === null || $settings->lengthM <= self::LONG_M) {
            return;
        }
        $bare = array_values(array_filter(array_map($look->end(...), $look->plan->endpointsOn($link)), static fn (End $end): bool => ($end->class->figures['isolated'] ?? false) !== true && ! $end->node->kind->isBought()));
        // One end may stand on the ground of the line; the others must not.
        if (count($bare) > 1) {
            yield Finding::warning(
                Figures::significant($settings->lengthM)." m of {$link->name} join the grounds of ".Figures::counted(count($bare), 'node'),
                Spot::of($link, $link->name, 'lengthM'),
                'Between two supplies so far apart stand volts, and hundreds of them in a thunderstorm: the transceivers stand −7 to +12.',
                'Isolated transceivers at all but one; surge protection where the cable enters a house, by somebody who knows the local rules.',
                numbers: ['length_m' => $settings->lengthM, 'ends' => count($bare)],
                about: [$link->id],
            );
        }
    }
}
