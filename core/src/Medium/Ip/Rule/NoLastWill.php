<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Plan;

final readonly class NoLastWill extends IpRule implements LooksNearby
{
    public function key(): string
    {
        return 'ip-no-last-will';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (self::links($plan) as ['link' => $link, 'settings' => $settings]) {
            if (! $settings->lastWill) {
                yield new Finding(
                    $this->key(),
                    Severity::Warning,
                    "Nobody tells when a node of {$link->name} is gone",
                    Subject::of($link, $link->name, 'lastWill'),
                    [],
                    'A dead node and a quiet one look the same, and the page goes on showing its last state.',
                    'Let each leave a last will on its presence topic.',
                    self::setLink($link, 'Leave a last will', ['lastWill' => true]),
                );
            }
        }
    }
}
