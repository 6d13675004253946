<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\HopRule;
use Rundfunk\Check\Leg;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\PacketRadio\PacketFrame;
use Rundfunk\Medium\PacketRadio\PacketSettings;
use Rundfunk\Medium\PacketRadio\Proving;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\RouteNames;

/** What can hurt is asked for by frames that anybody can make, or record and play back. */
#[Finds('packet-unproved', WorkStep::Routes)]
final readonly class Unproved implements HopRule
{
    public function check(Leg $leg, Look $look): iterable
    {
        $hazard = $leg->output->proofHazards()[0] ?? null;
        if ($hazard === null || $leg->route->putsOff() || PacketSettings::of($leg->link)->proven) {
            return [];
        }
        $proven = $leg->link->with(['proven' => true]);
        $settings = PacketSettings::of($proven);
        $bytes = max($settings->payloadBytes, PacketFrame::of($look->plan, $proven)->usedBytes());

        return [Finding::warning(
            "Anybody with such a transceiver can work {$leg->output->name}",
            Spot::of($leg->route, RouteNames::of($look->plan, $leg->route)),
            "Frames of {$leg->link->name} are not secret: one that is recorded counts when it is sent again, one that is made up counts as well, and {$hazard->words()}.",
            "Let each message prove itself: a counter, and a tag that nobody makes without the key of the link. It takes eight bytes more on the air. {$hazard->caution()}",
            new Fix('Let messages prove themselves', ...$look->once(Proving::class, static fn (): Proving => new Proving($look->plan))->of($leg->link, $bytes)),
            numbers: ['hazard' => $hazard->value, 'payload_bytes' => $bytes],
            about: [$leg->route->id, $leg->link->id],
        )];
    }
}
