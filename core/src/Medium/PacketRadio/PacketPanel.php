<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio;

use Rundfunk\Behaviour\EndNumber;
use Rundfunk\Catalogue\Band;
use Rundfunk\Catalogue\Region;
use Rundfunk\Knowledge;
use Rundfunk\Medium\PacketRadio\Shown\PacketChannels;
use Rundfunk\Medium\PacketRadio\Shown\PacketEndFigures;
use Rundfunk\Medium\PacketRadio\Shown\PacketExchange;
use Rundfunk\Medium\PacketRadio\Shown\PacketFigures;
use Rundfunk\Medium\PacketRadio\Shown\PacketLegal;
use Rundfunk\Medium\PacketRadio\Shown\PacketSpan;
use Rundfunk\Medium\PacketRadio\Shown\PacketSpanKind;
use Rundfunk\Medium\PacketRadio\Shown\PacketTarget;
use Rundfunk\Medium\PacketRadio\Shown\PacketWifi;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;
use Rundfunk\View\DrawsPanel;

/** The figures of the band ruler and of one exchange. */
final readonly class PacketPanel implements DrawsPanel
{
    public function shape(): string
    {
        return PacketFigures::class;
    }

    public function panel(Plan $plan, Link $link, Knowledge $knowledge): PacketFigures
    {
        $settings = PacketSettings::of($link);
        $region = $knowledge->catalogue->regionOf($plan);
        $band = $region->band(PacketRadio::KEY);

        return new PacketFigures(
            new PacketChannels(0, 125),
            $band === null ? null : self::legal($band, $region, new PacketSpectrum($band, $plan->properties->busyWifi, $settings->rate)),
            array_map(self::wifi(...), $plan->properties->busyWifi),
            $settings->channel,
            $settings->channel === null ? null : PacketSpectrum::frequencyMhz($settings->channel),
            self::exchange($settings),
            array_map(static fn (Endpoint $end): PacketEndFigures => self::end($plan, $link, $end), $plan->endpointsOn($link)),
            PacketFrames::of($plan, $link),
        );
    }

    private static function legal(Band $band, Region $region, PacketSpectrum $spectrum): ?PacketLegal
    {
        $legal = $spectrum->legalChannels();

        return $legal === [] ? null : new PacketLegal(min($legal), max($legal), $band->fromMhz, $band->toMhz, $band->rule, $region->asOf, $region->name);
    }

    private static function wifi(int $channel): PacketWifi
    {
        [$from, $to] = PacketSpectrum::wifiStretch($channel);

        return new PacketWifi($channel, $from, $to);
    }

    private static function exchange(PacketSettings $settings): PacketExchange
    {
        $air = $settings->air();
        $turn = new PacketSpan(PacketSpanKind::Turn, 'turn', PacketAir::TURN_NS / 1000);
        $parts = [$turn, new PacketSpan(PacketSpanKind::Frame, 'frame', $air->frameNs($settings->payloadBytes) / 1000)];
        if ($settings->acknowledge) {
            $parts = [...$parts, $turn, new PacketSpan(PacketSpanKind::Acknowledge, 'acknowledge', $air->acknowledgeNs() / 1000)];
        }

        return new PacketExchange(
            $parts,
            array_sum(array_map(static fn (PacketSpan $span): float => $span->us, $parts)),
            RetryDelay::minimumUs($settings->rate, 0),
            $settings->rate->sensitivityDbm(),
        );
    }

    private static function end(Plan $plan, Link $link, Endpoint $end): PacketEndFigures
    {
        $unlike = $end->unlike($link, PacketSettings::SHARED);
        $disagrees = array_map(PacketSettings::words(...), array_keys($unlike), $unlike);
        $targets = [];
        foreach ($end->role->sends() ? $plan->hopsFrom($end) : [] as $hop) {
            if (isset($targets[$hop->toId])) {
                continue;
            }
            $to = $plan->endpoint($hop->toId);
            $address = PacketPipes::addressBetween($plan, $end->id, $to);
            $targets[$to->id] = new PacketTarget($plan->node($to->nodeId)->name, PacketAddress::tryParse($address?->value)?->spaced(), $address?->pipe);
        }

        return new PacketEndFigures($end->id, $disagrees, $end->role->sends() ? EndNumber::of($plan, $end) : null, array_values($targets));
    }
}
