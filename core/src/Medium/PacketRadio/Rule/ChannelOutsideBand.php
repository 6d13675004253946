<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\PacketRadio\PacketRadio;
use Rundfunk\Medium\PacketRadio\PacketSettings;
use Rundfunk\Medium\PacketRadio\PacketSpectrum;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

#[Finds('packet-channel-outside-band', WorkStep::Links)]
final readonly class ChannelOutsideBand implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $region = $look->region();
        $band = $region->band(PacketRadio::KEY);
        if ($band === null) {
            return [];
        }
        $settings = PacketSettings::of($link);
        $spectrum = new PacketSpectrum($band, $look->plan->properties->busyWifi, $settings->rate);
        if ($settings->channel === null || $spectrum->legal($settings->channel)) {
            return [];
        }
        $legal = $spectrum->legalChannels();
        $lowest = $legal[0] ?? 0;
        $highest = $legal[count($legal) - 1] ?? 0;
        $freq = PacketSpectrum::frequencyMhz($settings->channel);
        $free = $spectrum->roomyChannels()[0] ?? $spectrum->clearChannels()[0] ?? null;

        return [Finding::fault(
            "Channel {$settings->channel} lies outside the band",
            Spot::of($link, $link->name, 'channel'),
            "{$freq} MHz, {$settings->rate->widthMhz()} MHz wide, does not fit {$band->fromMhz}–{$band->toMhz} MHz, the band free to use in {$region->name} ({$band->rule}). Others own what lies beyond. Check your own country's rules.",
            "Use a channel from {$lowest} to {$highest}.",
            $free === null ? null : Fix::settings("Move to {$free}", $link, ['channel' => $free]),
            numbers: ['channel' => $settings->channel, 'freq_mhz' => $freq, 'lowest' => $lowest, 'highest' => $highest],
        )];
    }
}
