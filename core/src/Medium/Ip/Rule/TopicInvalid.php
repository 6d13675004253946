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
use Rundfunk\Medium\Ip\Topic;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

#[Finds('ip-topic-invalid', WorkStep::Links)]
final readonly class TopicInvalid implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $settings = IpSettings::of($link);
        $fault = $settings->root === '' ? null : Topic::fault($settings->root);
        if ($fault === null) {
            return [];
        }

        return [Finding::fault(
            "No topic can be under \"{$settings->root}\"",
            Spot::of($link, $link->name, 'root'),
            ucfirst($fault).': the broker refuses it, or each end takes it for another.',
            'Use small letters, digits and hyphens, and / between levels.',
            Fix::settings('Use the plan\'s own name', $link, ['root' => '']),
            numbers: ['root' => $settings->root],
        )];
    }
}
