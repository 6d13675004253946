<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\Ip\IpSettings;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

#[Finds('ip-presence-late', WorkStep::Links)]
final readonly class PresenceLate implements LinkRule
{
    /** Longer than this and somebody has pressed a second time. Common practice. */
    private const PATIENCE_S = 90.0;

    public function check(Link $link, Look $look): iterable
    {
        $settings = IpSettings::of($link);
        if ($settings->goneAfterS() <= self::PATIENCE_S) {
            return [];
        }

        return [Finding::advice(
            "A dead node of {$link->name} is noticed after ".Figures::significant($settings->goneAfterS()).' s',
            Spot::of($link, $link->name, 'keepAliveS'),
            'The broker waits one and a half keep-alives before it says that a node is gone.',
            'Shorten the keep-alive.',
            Fix::settings('Set 30 s', $link, ['keepAliveS' => 30]),
            numbers: ['gone_after_s' => $settings->goneAfterS()],
        )];
    }
}
