<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio;

use Rundfunk\Catalogue\Band;
use Rundfunk\OutOfRange;

/** Which channels are legal, and which lie under Wi-Fi. */
final readonly class PacketSpectrum
{
    public const FIRST_MHZ = 2400;

    /** A Wi-Fi channel of the older, 22 MHz kind reaches this far either side of its centre, MHz. Source: IEEE 802.11, from memory. */
    private const WIFI_HALF_MHZ = 11;

    /** Channels beside a Wi-Fi's stretch that its skirts still reach. */
    private const SHOULDER = 3;

    /** @param  list<int>  $busyWifi */
    public function __construct(private Band $band, private array $busyWifi, public PacketRate $rate)
    {
    }

    public static function frequencyMhz(int $channel): int
    {
        OutOfRange::unless('channel', $channel, 0, 125);

        return self::FIRST_MHZ + $channel;
    }

    /** @return int MHz. Source: IEEE 802.11 */
    public static function wifiCentreMhz(int $wifiChannel): int
    {
        OutOfRange::unless('wifi_channel', $wifiChannel, 1, 14);

        return $wifiChannel === 14 ? 2484 : 2407 + 5 * $wifiChannel;
    }

    /** @return array{int, int} the packet-radio channels a Wi-Fi channel covers */
    public static function wifiStretch(int $wifiChannel): array
    {
        $centre = self::wifiCentreMhz($wifiChannel) - self::FIRST_MHZ;

        return [$centre - self::WIFI_HALF_MHZ, $centre + self::WIFI_HALF_MHZ];
    }

    /** The whole of a transmission lies inside the band. */
    public function legal(int $channel): bool
    {
        $half = $this->rate->widthMhz() / 2;
        $centre = self::frequencyMhz($channel);

        return $centre - $half >= $this->band->fromMhz && $centre + $half <= $this->band->toMhz;
    }

    /** @return list<int> */
    public function legalChannels(): array
    {
        return array_values(array_filter(range(0, 125), $this->legal(...)));
    }

    /** The busy Wi-Fi channel that this one lies under, if any. */
    public function wifiOver(int $channel): ?int
    {
        $more = intdiv($this->rate->widthMhz(), 2);
        foreach ($this->busyWifi as $wifi) {
            [$from, $to] = self::wifiStretch($wifi);
            if ($channel >= $from - $more && $channel <= $to + $more) {
                return $wifi;
            }
        }

        return null;
    }

    /** @return list<int> clear, and not in the shoulder of a busy Wi-Fi either: where to go when there is room. Common practice. */
    public function roomyChannels(): array
    {
        return array_values(array_filter($this->clearChannels(), function (int $channel): bool {
            foreach ($this->busyWifi as $wifi) {
                [$from, $to] = self::wifiStretch($wifi);
                if ($channel > $from - self::SHOULDER && $channel < $to + self::SHOULDER) {
                    return false;
                }
            }

            return true;
        }));
    }

    /** @return list<int> legal and clear of busy Wi-Fi */
    public function clearChannels(): array
    {
        return array_values(array_filter($this->legalChannels(), fn (int $channel): bool => $this->wifiOver($channel) === null));
    }
}
