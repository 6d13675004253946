<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Medium\PacketRadio\PacketFrame;
use Rundfunk\Medium\PacketRadio\PacketRadio;
use Rundfunk\Medium\PacketRadio\PacketSettings;
use Rundfunk\Plan\Plan;

final readonly class PayloadTooShort extends PacketRule implements LooksNearby
{
    public function key(): string
    {
        return 'packet-payload-too-short';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->linksOver(PacketRadio::KEY) as $link) {
            $layout = PacketFrame::layout(PacketSettings::of($link));
            if ($layout->fits()) {
                continue;
            }
            yield new Finding(
                $this->key(),
                Severity::Fault,
                "A payload of {$layout->lengthBytes} bytes does not hold the frame",
                Subject::of($link, $link->name, 'payloadBytes'),
                ['payload_bytes' => $layout->lengthBytes, 'needed_bytes' => $layout->usedBytes()],
                "The frame of {$link->name} takes {$layout->usedBytes()} bytes; what does not fit would be cut off and read as nought.",
                'Lengthen the payload.',
                self::setLink($link, "Set {$layout->usedBytes()} bytes", ['payloadBytes' => $layout->usedBytes()]),
            );
        }
    }
}
