<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Dmx\DmxFrame;
use Rundfunk\Medium\Dmx\DmxSettings;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** A break or a mark that is shorter than a sender's must be. */
#[Finds('dmx-timing-short', WorkStep::Links)]
final readonly class TimingShort implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $settings = DmxSettings::of($link);
        if ($settings->isNetwork) {
            return [];
        }
        $short = array_filter(['breakUs' => $settings->breakUs < DmxFrame::LEAST_BREAK_US, 'markUs' => $settings->markUs < DmxFrame::LEAST_MARK_US]);
        if ($short === []) {
            return [];
        }
        $setting = array_key_first($short);

        return [Finding::fault(
            'The '.(isset($short['breakUs']) ? "break of {$link->name} takes {$settings->breakUs}" : "mark of {$link->name} takes {$settings->markUs}").' µs',
            Spot::of($link, $link->name, $setting),
            'By the standard a break takes 92 µs at least and the mark behind it 12. Cheap lamps want more, not less: with less they miss packets, now and then or always.',
            '120 µs and 16 µs suit nearly all.',
            Fix::settings('120 µs and 16 µs', $link, ['breakUs' => 120, 'markUs' => 16]),
            numbers: ['break_us' => $settings->breakUs, 'mark_us' => $settings->markUs],
            about: [$link->id],
        )];
    }
}
