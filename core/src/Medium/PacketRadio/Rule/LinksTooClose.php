<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\PacketRadio\PacketRadio;
use Rundfunk\Medium\PacketRadio\PacketRate;
use Rundfunk\Medium\PacketRadio\PacketSettings;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** Two of the plan's own links on neighbouring channels, or on one. */
#[Finds('packet-links-too-close', WorkStep::Links)]
final readonly class LinksTooClose implements PlanRule
{
    public function check(Look $look): iterable
    {
        $byChannel = [];
        foreach ($look->plan->linksOver(PacketRadio::KEY) as $place => $link) {
            $settings = PacketSettings::of($link);
            if ($settings->channel !== null) {
                $byChannel[$settings->channel][$place] = ['link' => $link, 'channel' => $settings->channel, 'spacing' => $settings->rate->spacingChannels()];
            }
        }
        foreach ($byChannel as $channel => $links) {
            for ($near = $channel; $near < $channel + PacketRate::WIDEST_SPACING; $near++) {
                foreach ($links as $place => $one) {
                    foreach ($byChannel[$near] ?? [] as $otherPlace => $other) {
                        if ($near > $channel || $place < $otherPlace) {
                            yield from $place < $otherPlace ? self::judge($one, $other) : self::judge($other, $one);
                        }
                    }
                }
            }
        }
    }

    /**
     * @param  array{link: Link, channel: int, spacing: int}  $first  in the order of the plan
     * @param  array{link: Link, channel: int, spacing: int}  $second
     * @return iterable<Finding>
     */
    private static function judge(array $first, array $second): iterable
    {
        ['link' => $one, 'channel' => $channel] = $first;
        $other = $second['link'];
        $apart = abs($channel - $second['channel']);
        $wanted = max($first['spacing'], $second['spacing']);
        if ($apart >= $wanted) {
            return [];
        }

        return [Finding::warning(
            $apart === 0 ? "{$one->name} and {$other->name} share channel {$channel}" : "{$one->name} and {$other->name} are {$apart} channel".($apart === 1 ? '' : 's').' apart',
            Spot::of($other, $other->name, 'channel'),
            'A sender on the one drowns a faint sender on the other: these receivers reject a neighbouring channel poorly.',
            "Keep them at least {$wanted} channel".($wanted === 1 ? '' : 's').' apart.',
            numbers: ['apart' => $apart, 'wanted' => $wanted],
            about: [$one->id, $other->id],
        )];
    }
}
