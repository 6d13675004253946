<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\Can\Can;
use Rundfunk\Medium\Can\CanEnd;
use Rundfunk\Medium\Can\CanSettings;
use Rundfunk\Medium\Can\Clock;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Shape\Values;

/** A controller whose crystal gives no such rate: it hears nothing, and harms what others say. */
#[Finds('can-rate-unreachable', WorkStep::Links)]
final readonly class RateUnreachable implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        if ($end->class === null || $end->link->medium !== Can::KEY) {
            return [];
        }
        $settings = CanSettings::of($end->link);
        $timing = Clock::timing($settings, CanEnd::of($look->plan, $end->endpoint), $end->class);
        $error = $timing === null ? null : abs($timing->bitrate() / $settings->bitrate - 1);
        if ($error !== null && $error <= self::MOST_ERROR) {
            return [];
        }

        return [Finding::fault(
            $timing === null ? "{$end->node->name} cannot make {$settings->bitrate} bit/s of its clock" : "{$end->node->name} makes {$settings->bitrate} bit/s ".Figures::significant(100 * (float) $error).' % wrong',
            $end->at('clockMHz'),
            'Two controllers may differ by half a percent, crystals and all. One that is farther off hears nothing, and marks every frame of the others as harmed.',
            'Take another crystal, or a rate that all of them can make.',
            self::fix($end, $look, $settings->bitrate),
            numbers: ['error_percent' => $error === null ? null : round(100 * $error, 3)],
            about: [$end->endpoint->id],
        )];
    }

    /** Half of what two may differ by together. Source: ISO 11898-1, with resonators left out */
    private const MOST_ERROR = 0.0025;

    private static function fix(End $end, Look $look, int $bitrate): ?Fix
    {
        foreach ([8, 16, 20] as $mhz) {
            $trial = CanEnd::of($look->plan, Endpoint::from(new Values([...$end->endpoint->values(), 'settings' => [...$end->endpoint->settings, 'clockMHz' => (float) $mhz]])));
            $timing = $end->class === null ? null : Clock::timing(CanSettings::of($end->link), $trial, $end->class);
            if ($timing !== null && abs($timing->bitrate() / $bitrate - 1) <= self::MOST_ERROR) {
                return Fix::change("A crystal of {$mhz} MHz at {$end->node->name}", $end->endpoint, ['settings' => ['clockMHz' => (float) $mhz]]);
            }
        }

        return null;
    }
}
