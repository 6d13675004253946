<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Ip\Topic;
use Rundfunk\Plan\Plan;

final readonly class TopicInvalid extends IpRule implements LooksNearby
{
    public function key(): string
    {
        return 'ip-topic-invalid';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (self::links($plan) as ['link' => $link, 'settings' => $settings]) {
            $fault = $settings->root === '' ? null : Topic::fault($settings->root);
            if ($fault === null) {
                continue;
            }
            yield new Finding(
                $this->key(),
                Severity::Fault,
                "No topic can be under \"{$settings->root}\"",
                Subject::of($link, $link->name, 'root'),
                ['root' => $settings->root],
                ucfirst($fault).': the broker refuses it, or each end takes it for another.',
                'Use small letters, digits and hyphens, and / between levels.',
                self::setLink($link, 'Use the plan\'s own name', ['root' => '']),
            );
        }
    }
}
