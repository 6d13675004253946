<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Knowledge;
use Rundfunk\Medium\PacketRadio\PacketFrame;
use Rundfunk\Medium\PacketRadio\PacketRadio;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;
use Rundfunk\Plan\ThingKind;

/** A payload long enough for the frame. */
final readonly class PayloadStep implements Step
{
    public function stage(): Stage
    {
        return Stage::Frame;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->linksOver(PacketRadio::KEY) as $link) {
            $layout = PacketFrame::of($plan, $link);
            if ($layout->fits() || $link->pins('payloadBytes') || $layout->usedBytes() > PacketFrame::MOST_BYTES) {
                continue;
            }
            yield new Proposal(
                $this->stage(),
                Spot::of($link, $link->name, 'payloadBytes'),
                "Payload of {$link->name}",
                $layout->lengthBytes.' bytes',
                $layout->usedBytes().' bytes',
                'The frame needs that many; more would only lengthen the airtime.',
                [Operation::change(ThingKind::Link, $link->id, ['settings' => ['payloadBytes' => $layout->usedBytes()]])],
            );
        }
    }
}
