<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Edit\Operation;
use Rundfunk\Knowledge;
use Rundfunk\Medium\PacketRadio\PacketRadio;
use Rundfunk\Medium\PacketRadio\PacketSettings;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

/** One end of a link is known to be set otherwise than the link. */
final readonly class EndsDisagree extends PacketRule implements LooksNearby
{
    private const NAMES = [
        'channel' => 'channel',
        'rateKbps' => 'data rate',
        'addressBytes' => 'address width',
        'payloadBytes' => 'payload length',
        'crcBytes' => 'CRC',
        'acknowledge' => 'acknowledge',
    ];

    public function key(): string
    {
        return 'packet-ends-disagree';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->linksOver(PacketRadio::KEY) as $link) {
            foreach ($plan->endpointsOn($link) as $endpoint) {
                foreach (PacketSettings::SHARED as $setting) {
                    $own = $endpoint->settings[$setting] ?? null;
                    $shared = $link->settings[$setting];
                    if ($own === null || $own === $shared) {
                        continue;
                    }
                    $node = $plan->node($endpoint->nodeId);
                    $ownWords = PacketSettings::words($setting, $own);
                    $sharedWords = PacketSettings::words($setting, $shared);
                    yield new Finding(
                        $this->key(),
                        Severity::Fault,
                        'Two ends disagree on '.self::NAMES[$setting],
                        Subject::of($endpoint, "{$node->name} on {$link->name}", $setting),
                        ['here' => $own, 'link' => $shared],
                        "{$node->name} has {$ownWords}, the rest of {$link->name} has {$sharedWords}. Silence, not an error, is what you would see.",
                        'Set both alike and flash the end that changes.',
                        $shared === null ? null : new Fix("Set both to {$sharedWords}", Operation::change(ThingKind::Endpoint, $endpoint->id, ['settings' => [$setting => null]])),
                    );
                }
            }
        }
    }
}
