<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Check\Look;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Output;
use Rundfunk\Shape\Values;

/** Whether a bought thing's silence is noticed where it counts: on the output's own board, which asks it. */
final readonly class Silence
{
    /** It is silent, and what it holds counts as not beyond its threshold. */
    public static function isNoticed(Look $look, Control $control, Output $output): bool
    {
        return $control->kind === ControlKind::Reading && (new Values($control->settings))->choice('onFailure', OnFailure::class) === OnFailure::Off && self::canBeNoticed($look, $control, $output);
    }

    /** Its medium tells the board that asks when it does not answer. */
    public static function canBeNoticed(Look $look, Control $control, Output $output): bool
    {
        $endpoint = self::asking($look, $control, $output);

        return $endpoint !== null && $look->media->offering(FetchesReadings::class, $look->plan->link($endpoint->linkId)->medium)?->noticesSilence($look->plan, $endpoint, $control) === true;
    }

    /** The output's own board asks for it: nobody tells it, so no time-out of the output ends it. */
    public static function isFetched(Look $look, Control $control, Output $output): bool
    {
        return self::asking($look, $control, $output) !== null;
    }

    private static function asking(Look $look, Control $control, Output $output): ?Endpoint
    {
        foreach (Fetched::by($look->plan, $look->plan->node($output->nodeId), $look->media) as ['control' => $fetched, 'endpoint' => $endpoint]) {
            if ($fetched->id === $control->id) {
                return $endpoint;
            }
        }

        return null;
    }
}
