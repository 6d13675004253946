<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio;

use Rundfunk\Build\DescribesEnds;
use Rundfunk\Build\FramesMessages;
use Rundfunk\Frame\FrameLayout;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;

/** What the builder of an end needs: constants, tables, files. */
final readonly class PacketBuild implements DescribesEnds, FramesMessages
{
    public function defines(Plan $plan, Endpoint $endpoint): array
    {
        return PacketDefines::of($plan, $endpoint);
    }

    public function layout(Plan $plan, Link $link): FrameLayout
    {
        return PacketFrame::layout(PacketSettings::of($link));
    }
}
