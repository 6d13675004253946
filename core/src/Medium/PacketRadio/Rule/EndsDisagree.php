<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\PacketRadio\PacketSettings;

/** One end of a link is known to be set otherwise than the link. */
#[Finds('packet-ends-disagree', WorkStep::Links)]
final readonly class EndsDisagree implements EndRule
{
    private const NAMES = [
        'channel' => 'channel',
        'rateKbps' => 'data rate',
        'addressBytes' => 'address width',
        'payloadBytes' => 'payload length',
        'crcBytes' => 'CRC',
        'acknowledge' => 'acknowledge',
    ];

    public function check(End $end, Look $look): iterable
    {
        foreach ($end->endpoint->unlike($end->link, PacketSettings::SHARED) as $setting => $own) {
            $shared = $end->link->settings[$setting];
            $ownWords = PacketSettings::words($setting, $own);
            $sharedWords = PacketSettings::words($setting, $shared);
            yield Finding::fault(
                'Two ends disagree on '.self::NAMES[$setting],
                $end->at($setting),
                "{$end->node->name} has {$ownWords}, the rest of {$end->link->name} has {$sharedWords}. Silence, not an error, is what you would see.",
                'Set both alike and flash the end that changes.',
                $shared === null ? null : Fix::settings("Set both to {$sharedWords}", $end->endpoint, [$setting => null]),
                numbers: ['here' => $own, 'link' => $shared],
            );
        }
    }
}
