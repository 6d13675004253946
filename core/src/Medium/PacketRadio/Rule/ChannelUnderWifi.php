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

#[Finds('packet-channel-under-wifi', WorkStep::Links)]
final readonly class ChannelUnderWifi implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $band = $look->region()->band(PacketRadio::KEY);
        if ($band === null) {
            return [];
        }
        $settings = PacketSettings::of($link);
        $spectrum = new PacketSpectrum($band, $look->plan->properties->busyWifi, $settings->rate);
        $wifi = $settings->channel === null ? null : $spectrum->wifiOver($settings->channel);
        if ($settings->channel === null || $wifi === null) {
            return [];
        }
        [$from, $to] = PacketSpectrum::wifiStretch($wifi);
        $freq = PacketSpectrum::frequencyMhz($settings->channel);
        $clear = $spectrum->roomyChannels()[0] ?? $spectrum->clearChannels()[0] ?? null;

        return [Finding::warning(
            "Channel {$settings->channel} lies under Wi-Fi {$wifi}",
            Spot::of($link, $link->name, 'channel'),
            "{$freq} MHz is inside ".(2400 + $from).'–'.(2400 + $to).' MHz, which you marked busy at the site. It works at night and fails when someone watches a film.',
            $clear === null ? 'Every legal channel lies under Wi-Fi you marked busy: move one of your own Wi-Fi networks.' : 'Move to a clear channel.',
            $clear === null ? null : Fix::settings("Move to {$clear}", $link, ['channel' => $clear]),
            numbers: ['channel' => $settings->channel, 'freq_mhz' => $freq, 'wifi' => $wifi, 'from_mhz' => 2400 + $from, 'to_mhz' => 2400 + $to],
        )];
    }
}
