<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Plan;

final readonly class StateForgotten extends IpRule implements LooksNearby
{
    public function key(): string
    {
        return 'ip-state-forgotten';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (self::links($plan) as ['link' => $link, 'settings' => $settings]) {
            if (! $settings->retainState) {
                yield new Finding(
                    $this->key(),
                    Severity::Warning,
                    "{$link->name} keeps no states",
                    Subject::of($link, $link->name, 'retainState'),
                    [],
                    'Who opens the page sees nothing until something changes, and takes it for off.',
                    'Let the broker keep the last state of each output.',
                    self::setLink($link, 'Keep states', ['retainState' => true]),
                );
            }
        }
    }
}
