<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Ip\IpSettings;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

#[Finds('ip-no-last-will', WorkStep::Links)]
final readonly class NoLastWill implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $settings = IpSettings::of($link);
        if (! $settings->lastWill) {
            return [Finding::warning(
                "Nobody tells when a node of {$link->name} is gone",
                Spot::of($link, $link->name, 'lastWill'),
                'A dead node and a quiet one look the same, and the page goes on showing its last state.',
                'Let each leave a last will on its presence topic.',
                Fix::settings('Leave a last will', $link, ['lastWill' => true]),
            )];
        }

        return [];
    }
}
