<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;

/** Commands that the broker keeps and gives again to whoever comes back. */
final readonly class CommandsRetained extends IpRule implements LooksNearby
{
    public function key(): string
    {
        return 'ip-commands-retained';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (self::links($plan) as ['link' => $link, 'settings' => $settings]) {
            if (! $settings->retainCommands) {
                continue;
            }
            $dangerous = array_filter($plan->hopsOver($link), static fn (Hop $hop): bool => $plan->output($plan->route($hop->routeId)->outputId)->isDangerous()) !== [];
            yield new Finding(
                $this->key(),
                $dangerous ? Severity::Danger : Severity::Fault,
                "{$link->name} keeps commands",
                Subject::of($link, $link->name, 'retainCommands'),
                [],
                'After each power cut the broker gives the last command again, however old: the gate opens, the pulse comes once more.',
                'Keep states, never commands.',
                self::setLink($link, 'Keep no commands', ['retainCommands' => false]),
            );
        }
    }
}
