<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Catalogue\Band;
use Rundfunk\Knowledge;
use Rundfunk\Medium\PacketRadio\ChannelPlan;
use Rundfunk\Medium\PacketRadio\ChannelSearch;
use Rundfunk\Medium\PacketRadio\ChannelWish;
use Rundfunk\Medium\PacketRadio\PacketRadio;
use Rundfunk\Medium\PacketRadio\PacketSettings;
use Rundfunk\Medium\PacketRadio\PacketSpectrum;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;
use Rundfunk\Plan\ThingKind;

/** The channel of each packet-radio link. */
final readonly class LinkChannelStep implements Step
{
    public function stage(): Stage
    {
        return Stage::Link;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        $band = $knowledge->catalogue->regionOf($plan)->band(PacketRadio::KEY);
        if ($band === null) {
            return;
        }
        $fixed = [];
        $unsettled = [];
        foreach (self::pinnedFirst($plan->linksOver(PacketRadio::KEY)) as $link) {
            $settings = PacketSettings::of($link);
            $spectrum = new PacketSpectrum($band, $plan->properties->busyWifi, $settings->rate);
            $channel = $settings->channel;
            $spacing = $settings->rate->spacingChannels();
            $sound = $channel !== null && in_array($channel, $spectrum->clearChannels(), true) && self::apart($channel, $spacing, $fixed);
            if ($channel !== null && ($sound || $link->pins('channel'))) {
                $fixed[] = ['channel' => $channel, 'spacing' => $spacing];
            } else {
                $unsettled[] = ['link' => $link, 'spectrum' => $spectrum, 'spacing' => $spacing];
            }
        }
        $settled = [];
        foreach (self::settle($unsettled, $fixed) as $index => $channel) {
            $settled[$unsettled[$index]['link']->id] = $channel;
        }
        yield from $this->bettered($plan, $band, $settled);
    }

    /**
     * Where not all can be clear and apart, the whole is looked at once more: one that could have stayed may make room by going.
     *
     * @param  array<string, int|null>  $settled  by link, those that had no channel that could stay
     * @return iterable<Proposal>
     */
    private function bettered(Plan $plan, Band $band, array $settled): iterable
    {
        $links = $plan->linksOver(PacketRadio::KEY);
        $wishes = [];
        $start = [];
        foreach ($links as $link) {
            $settings = PacketSettings::of($link);
            $wish = ChannelWish::of(new PacketSpectrum($band, $plan->properties->busyWifi, $settings->rate), $settings->channel, $link->pins('channel') && $settings->channel !== null);
            $channel = array_key_exists($link->id, $settled) ? $settled[$link->id] : $settings->channel;
            $wishes[] = $wish;
            $start[] = $channel ?? $wish->legal[0];
        }
        foreach (ChannelSearch::better($wishes, $start) as $index => $channel) {
            if ($channel !== $wishes[$index]->now) {
                yield $this->proposal($plan, $links[$index], $channel, isset($wishes[$index]->clear[$channel]));
            }
        }
    }

    /**
     * Away from Wi-Fi's skirts when all links find room there; otherwise merely clear of it; otherwise anywhere legal,
     * for under Wi-Fi a link works badly, and outside the band it must not work at all.
     *
     * @param  list<array{link: Link, spectrum: PacketSpectrum, spacing: int}>  $unsettled
     * @param  list<array{channel: int, spacing: int}>  $fixed
     * @return list<int|null>
     */
    private static function settle(array $unsettled, array $fixed): array
    {
        $channels = [];
        foreach (['roomyChannels', 'clearChannels', 'legalChannels'] as $kind) {
            $wanted = array_map(static fn (array $one): array => ['candidates' => match ($kind) {
                'roomyChannels' => $one['spectrum']->roomyChannels(),
                'clearChannels' => $one['spectrum']->clearChannels(),
                'legalChannels' => $one['spectrum']->legalChannels(),
            }, 'spacing' => $one['spacing']], $unsettled);
            $channels = ChannelPlan::settle($wanted, $fixed);
            if (! in_array(null, $channels, true)) {
                break;
            }
        }

        return $channels;
    }

    private function proposal(Plan $plan, Link $link, int $channel, bool $clear): Proposal
    {
        $before = PacketSettings::of($link)->channel;
        $busy = $plan->properties->busyWifi;

        return new Proposal(
            $this->stage(),
            Spot::of($link, $link->name, 'channel'),
            "Channel of {$link->name}",
            $before === null ? null : (string) $before,
            (string) $channel,
            PacketSpectrum::frequencyMhz($channel).' MHz: inside the legal band'.match (true) {
                $busy === [] => ', and apart from the plan\'s other packet links.',
                $clear => ', clear of Wi-Fi '.implode(', ', $busy).', and apart from the plan\'s other packet links.',
                default => '. It lies under Wi-Fi: there are more links than clear channels, and so the fewest suffer.',
            },
            [Operation::change(ThingKind::Link, $link->id, ['settings' => ['channel' => $channel]])],
        );
    }

    /** @param  list<array{channel: int, spacing: int}>  $fixed */
    private static function apart(int $channel, int $spacing, array $fixed): bool
    {
        foreach ($fixed as $other) {
            if (abs($channel - $other['channel']) < max($spacing, $other['spacing'])) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param  list<Link>  $links
     * @return list<Link>
     */
    private static function pinnedFirst(array $links): array
    {
        usort($links, static fn (Link $a, Link $b): int => $b->pins('channel') <=> $a->pins('channel'));

        return $links;
    }
}
