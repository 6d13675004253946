<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Medium\PacketRadio\PacketRadio;
use Rundfunk\Medium\PacketRadio\PacketSettings;
use Rundfunk\Medium\PacketRadio\PacketSpectrum;
use Rundfunk\Plan\Plan;

final readonly class ChannelUnderWifi extends PacketRule implements LooksNearby
{
    public function key(): string
    {
        return 'packet-channel-under-wifi';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        $band = $knowledge->catalogue->regionOf($plan)->band(PacketRadio::KEY);
        if ($band === null) {
            return;
        }
        foreach ($plan->linksOver(PacketRadio::KEY) as $link) {
            $settings = PacketSettings::of($link);
            $spectrum = new PacketSpectrum($band, $plan->particulars->busyWifi, $settings->rate);
            $wifi = $settings->channel === null ? null : $spectrum->wifiOver($settings->channel);
            if ($settings->channel === null || $wifi === null) {
                continue;
            }
            [$from, $to] = PacketSpectrum::wifiStretch($wifi);
            $freq = PacketSpectrum::frequencyMhz($settings->channel);
            $clear = $spectrum->roomyChannels()[0] ?? $spectrum->clearChannels()[0] ?? null;
            yield new Finding(
                $this->key(),
                Severity::Warning,
                "Channel {$settings->channel} lies under Wi-Fi {$wifi}",
                Subject::of($link, $link->name, 'channel'),
                ['channel' => $settings->channel, 'freq_mhz' => $freq, 'wifi' => $wifi, 'from_mhz' => 2400 + $from, 'to_mhz' => 2400 + $to],
                "{$freq} MHz is inside ".(2400 + $from).'–'.(2400 + $to).' MHz, which you marked busy at the site. It works at night and fails when someone watches a film.',
                $clear === null ? 'Every legal channel lies under Wi-Fi you marked busy: move one of your own Wi-Fi networks.' : 'Move to a clear channel.',
                $clear === null ? null : self::setLink($link, "Move to {$clear}", ['channel' => $clear]),
            );
        }
    }
}
