<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Check\Look;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Output;
use Rundfunk\Shape\Values;

/** Whether a bought thing's silence is noticed where it counts. */
final readonly class Silence
{
    /** What the output's own board asks of a bought thing counts as not beyond its threshold when that is known to be silent. */
    public static function isNoticed(Look $look, Control $control, Output $output): bool
    {
        if ($control->kind !== ControlKind::Reading || (new Values($control->settings))->choice('onFailure', OnFailure::class) !== OnFailure::Off) {
            return false;
        }
        foreach (Fetched::by($look->plan, $look->plan->node($output->nodeId), $look->media) as ['control' => $fetched, 'endpoint' => $endpoint]) {
            $fetches = $look->media->offering(FetchesReadings::class, $look->plan->link($endpoint->linkId)->medium);
            if ($fetched->id === $control->id && $fetches?->noticesSilence($look->plan, $endpoint, $control) === true) {
                return true;
            }
        }

        return false;
    }
}
