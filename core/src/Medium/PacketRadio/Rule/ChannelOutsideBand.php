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

final readonly class ChannelOutsideBand extends PacketRule implements LooksNearby
{
    public function key(): string
    {
        return 'packet-channel-outside-band';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        $region = $knowledge->catalogue->regionOf($plan);
        $band = $region->band(PacketRadio::KEY);
        if ($band === null) {
            return;
        }
        foreach ($plan->linksOver(PacketRadio::KEY) as $link) {
            $settings = PacketSettings::of($link);
            $spectrum = new PacketSpectrum($band, $plan->particulars->busyWifi, $settings->rate);
            if ($settings->channel === null || $spectrum->legal($settings->channel)) {
                continue;
            }
            $legal = $spectrum->legalChannels();
            $lowest = $legal[0] ?? 0;
            $highest = $legal[count($legal) - 1] ?? 0;
            $freq = PacketSpectrum::frequencyMhz($settings->channel);
            $free = $spectrum->roomyChannels()[0] ?? $spectrum->clearChannels()[0] ?? null;
            yield new Finding(
                $this->key(),
                Severity::Fault,
                "Channel {$settings->channel} lies outside the band",
                Subject::of($link, $link->name, 'channel'),
                ['channel' => $settings->channel, 'freq_mhz' => $freq, 'lowest' => $lowest, 'highest' => $highest],
                "{$freq} MHz, {$settings->rate->widthMhz()} MHz wide, does not fit {$band->fromMhz}–{$band->toMhz} MHz, the band free to use in {$region->name} ({$band->rule}). Others own what lies beyond. Check your own country's rules.",
                "Use a channel from {$lowest} to {$highest}.",
                $free === null ? null : self::setLink($link, "Move to {$free}", ['channel' => $free]),
            );
        }
    }
}
