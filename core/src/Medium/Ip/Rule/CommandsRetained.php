<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\Severity;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Ip\IpSettings;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** Commands that the broker keeps and gives again to whoever comes back. */
#[Finds('ip-commands-retained', WorkStep::Links)]
final readonly class CommandsRetained implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $settings = IpSettings::of($link);
        if (! $settings->retainCommands) {
            return [];
        }
        $dangerous = array_filter($look->plan->hopsOver($link), static fn (Hop $hop): bool => $look->plan->output($look->plan->route($hop->routeId)->outputId)->isDangerous()) !== [];

        return [Finding::of(
            $dangerous ? Severity::Danger : Severity::Fault,
            "{$link->name} keeps commands",
            Spot::of($link, $link->name, 'retainCommands'),
            'After each power cut the broker gives the last command again, however old: the gate opens, the pulse comes once more.',
            'Keep states, never commands.',
            Fix::settings('Keep no commands', $link, ['retainCommands' => false]),
        )];
    }
}
