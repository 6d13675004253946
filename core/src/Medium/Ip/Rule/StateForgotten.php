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

#[Finds('ip-state-forgotten', WorkStep::Links)]
final readonly class StateForgotten implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $settings = IpSettings::of($link);
        if (! $settings->retainState) {
            return [Finding::warning(
                "{$link->name} keeps no states",
                Spot::of($link, $link->name, 'retainState'),
                'Who opens the page sees nothing until something changes, and takes it for off.',
                'Let the broker keep the last state of each output.',
                Fix::settings('Keep states', $link, ['retainState' => true]),
            )];
        }

        return [];
    }
}
