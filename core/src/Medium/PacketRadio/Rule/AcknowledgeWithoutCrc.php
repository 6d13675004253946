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
use Rundfunk\Plan\Plan;

final readonly class AcknowledgeWithoutCrc extends PacketRule implements LooksNearby
{
    public function key(): string
    {
        return 'packet-acknowledge-without-crc';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->linksOver(PacketRadio::KEY) as $link) {
            $settings = PacketSettings::of($link);
            if ($settings->crcBytes > 0) {
                continue;
            }
            yield new Finding(
                $this->key(),
                Severity::Warning,
                $settings->acknowledge ? "{$link->name} acknowledges, yet asks for no check sum" : "{$link->name} has no check sum",
                Subject::of($link, $link->name, 'crcBytes'),
                ['crc_bytes' => 0],
                $settings->acknowledge
                    ? 'With acknowledge on, the transceiver turns the check sum on whatever you set: what you measure will not be what you planned.'
                    : 'Noise that happens to carry the address is taken for a message.',
                'Use two bytes.',
                self::setLink($link, 'Set a 2-byte CRC', ['crcBytes' => 2]),
            );
        }
    }
}
