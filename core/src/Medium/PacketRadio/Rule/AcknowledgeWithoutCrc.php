<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\PacketRadio\PacketSettings;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

#[Finds('packet-acknowledge-without-crc', WorkStep::Links)]
final readonly class AcknowledgeWithoutCrc implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $settings = PacketSettings::of($link);
        if ($settings->crcBytes > 0) {
            return [];
        }

        return [Finding::warning(
            $settings->acknowledge ? "{$link->name} acknowledges, yet asks for no check sum" : "{$link->name} has no check sum",
            Spot::of($link, $link->name, 'crcBytes'),
            $settings->acknowledge
                ? 'With acknowledge on, the transceiver turns the check sum on whatever you set: what you measure will not be what you planned.'
                : 'Noise that happens to carry the address is taken for a message.',
            'Use two bytes.',
            Fix::settings('Set a 2-byte CRC', $link, ['crcBytes' => 2]),
            numbers: ['crc_bytes' => 0],
        )];
    }
}
