<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio;

use Rundfunk\Catalogue\Band;
use Rundfunk\Catalogue\Region;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;
use Rundfunk\Shape\Schema;
use Rundfunk\View\DrawsPanel;

/** The figures of the band ruler and of one exchange. */
final readonly class PacketPanel implements DrawsPanel
{
    /** @return array<string, mixed> */
    public function panelSchema(): array
    {
        $stretch = ['from' => Schema::whole(), 'to' => Schema::whole()];

        return Schema::object([
            'channels' => Schema::object($stretch),
            'legal' => Schema::orNull(Schema::object([...$stretch, 'fromMhz' => Schema::number(), 'toMhz' => Schema::number(), 'rule' => Schema::text(), 'asOf' => Schema::text(), 'region' => Schema::text()])),
            'wifi' => Schema::listOf(Schema::object(['channel' => Schema::whole(), ...$stretch])),
            'here' => Schema::orNull(Schema::whole()),
            'freqMhz' => Schema::orNull(Schema::whole()),
            'exchange' => Schema::object([
                'parts' => Schema::listOf(Schema::object(['kind' => Schema::oneOf('turn', 'frame', 'acknowledge'), 'label' => Schema::text(), 'us' => Schema::number()])),
                'totalUs' => Schema::number(), 'leastRetryDelayUs' => Schema::whole(), 'sensitivityDbm' => Schema::number(),
            ]),
            'ends' => Schema::listOf(Schema::object([
                'endpointId' => Schema::text(), 'disagrees' => Schema::listOf(Schema::text()), 'sender' => Schema::orNull(Schema::whole()),
                'sendsTo' => Schema::listOf(Schema::object(['node' => Schema::text(), 'address' => Schema::orNull(Schema::text()), 'pipe' => Schema::orNull(Schema::whole())])),
            ])),
        ]);
    }

    /** @return array<string, mixed> */
    public function panel(Plan $plan, Link $link, Knowledge $knowledge): array
    {
        $settings = PacketSettings::of($link);
        $region = $knowledge->catalogue->regionOf($plan);
        $band = $region->band(PacketRadio::KEY);

        return [
            'channels' => ['from' => 0, 'to' => 125],
            'legal' => $band === null ? null : self::legal($band, $region, new PacketSpectrum($band, $plan->properties->busyWifi, $settings->rate)),
            'wifi' => array_map(self::wifi(...), $plan->properties->busyWifi),
            'here' => $settings->channel,
            'freqMhz' => $settings->channel === null ? null : PacketSpectrum::frequencyMhz($settings->channel),
            'exchange' => self::exchange($settings),
            'ends' => array_map(static fn (Endpoint $end): array => self::end($plan, $link, $end), $plan->endpointsOn($link)),
        ];
    }

    /** @return array<string, float|int|string>|null */
    private static function legal(Band $band, Region $region, PacketSpectrum $spectrum): ?array
    {
        $legal = $spectrum->legalChannels();

        return $legal === [] ? null : [
            'from' => min($legal),
            'to' => max($legal),
            'fromMhz' => $band->fromMhz,
            'toMhz' => $band->toMhz,
            'rule' => $band->rule,
            'asOf' => $region->asOf,
            'region' => $region->name,
        ];
    }

    /** @return array{channel: int, from: int, to: int} */
    private static function wifi(int $channel): array
    {
        [$from, $to] = PacketSpectrum::wifiStretch($channel);

        return ['channel' => $channel, 'from' => $from, 'to' => $to];
    }

    /** @return array<string, mixed> */
    private static function exchange(PacketSettings $settings): array
    {
        $air = $settings->air();
        $parts = [
            ['kind' => 'turn', 'label' => 'turn', 'us' => PacketAir::TURN_NS / 1000],
            ['kind' => 'frame', 'label' => 'frame', 'us' => $air->frameNs($settings->payloadBytes) / 1000],
        ];
        if ($settings->acknowledge) {
            $parts[] = ['kind' => 'turn', 'label' => 'turn', 'us' => PacketAir::TURN_NS / 1000];
            $parts[] = ['kind' => 'acknowledge', 'label' => 'acknowledge', 'us' => $air->acknowledgeNs() / 1000];
        }

        return [
            'parts' => $parts,
            'totalUs' => array_sum(array_column($parts, 'us')),
            'leastRetryDelayUs' => RetryDelay::minimumUs($settings->rate, 0),
            'sensitivityDbm' => $settings->rate->sensitivityDbm(),
        ];
    }

    /** @return array<string, mixed> */
    private static function end(Plan $plan, Link $link, Endpoint $end): array
    {
        $disagrees = [];
        foreach (PacketSettings::SHARED as $setting) {
            $own = $end->settings[$setting] ?? null;
            if ($own !== null && $own !== $link->settings[$setting]) {
                $disagrees[] = PacketSettings::words($setting, $own);
            }
        }
        $targets = [];
        foreach ($end->role->sends() ? $plan->hopsFrom($end) : [] as $hop) {
            if (isset($targets[$hop->toId])) {
                continue;
            }
            $to = $plan->endpoint($hop->toId);
            $address = PacketPipes::addressBetween($plan, $end->id, $to);
            $targets[$to->id] = [
                'node' => $plan->node($to->nodeId)->name,
                'address' => PacketAddress::tryParse($address?->value)?->spaced(),
                'pipe' => $address?->pipe,
            ];
        }

        return [
            'endpointId' => $end->id,
            'disagrees' => $disagrees,
            'sender' => $end->role->sends() ? SenderNumber::of($plan, $end) : null,
            'sendsTo' => array_values($targets),
        ];
    }
}
