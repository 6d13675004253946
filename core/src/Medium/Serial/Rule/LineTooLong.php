<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\Severity;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\Serial\Levels;
use Rundfunk\Medium\Serial\SerialSettings;
use Rundfunk\Medium\Serial\Trial;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** A cable longer than its levels reach. */
#[Finds('serial-line-too-long', WorkStep::Links)]
final readonly class LineTooLong implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $settings = SerialSettings::of($link);
        $reachM = $settings->levels->reachM($settings->baud);
        if ($settings->lengthM === null || $settings->lengthM <= $reachM) {
            return [];
        }
        $slower = $settings->levels->reachM(9_600) >= $settings->lengthM && $settings->baud > 9_600;

        return [Finding::of(
            $settings->lengthM <= 2 * $reachM ? Severity::Warning : Severity::Fault,
            Figures::significant($settings->lengthM).' m of '.$settings->levels->words()." at {$settings->baud} baud: it reaches ".Figures::significant($reachM),
            Spot::of($link, $link->name, 'lengthM'),
            $settings->levels === Levels::Logic ? 'A pin drives a long wire badly, and every motor beside it speaks as well.' : 'Edges grow round and come back from the end.',
            $slower ? 'Take a lower rate.' : 'Take RS-485 and a twisted pair: 1200 m up to 100 kbit/s.',
            $slower ? Trial::settings('Set 9600 baud', $look, $link, ['baud' => 9_600]) : null,
            numbers: ['length_m' => $settings->lengthM, 'reach_m' => round($reachM, 1)],
            about: [$link->id],
        )];
    }
}
