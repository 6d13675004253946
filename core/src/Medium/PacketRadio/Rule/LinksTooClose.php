<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Medium\PacketRadio\PacketRadio;
use Rundfunk\Medium\PacketRadio\PacketSettings;
use Rundfunk\Plan\Plan;

/** Two of the plan's own links on neighbouring channels, or on one. */
final readonly class LinksTooClose extends PacketRule
{
    public function key(): string
    {
        return 'packet-links-too-close';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        $links = $plan->linksOver(PacketRadio::KEY);
        $settings = array_map(PacketSettings::of(...), $links);
        foreach ($links as $index => $one) {
            foreach (array_slice($links, $index + 1, preserve_keys: true) as $next => $other) {
                $first = $settings[$index];
                $second = $settings[$next];
                if ($first->channel === null || $second->channel === null) {
                    continue;
                }
                $apart = abs($first->channel - $second->channel);
                $wanted = max($first->rate->spacingChannels(), $second->rate->spacingChannels());
                if ($apart >= $wanted) {
                    continue;
                }
                yield new Finding(
                    $this->key(),
                    Severity::Warning,
                    $apart === 0 ? "{$one->name} and {$other->name} share channel {$first->channel}" : "{$one->name} and {$other->name} are {$apart} channel".($apart === 1 ? '' : 's').' apart',
                    Subject::of($other, $other->name, 'channel'),
                    ['apart' => $apart, 'wanted' => $wanted],
                    'A sender on the one drowns a faint sender on the other: these receivers reject a neighbouring channel poorly.',
                    "Keep them at least {$wanted} channel".($wanted === 1 ? '' : 's').' apart.',
                    null,
                    [$one->id, $other->id],
                );
            }
        }
    }
}
