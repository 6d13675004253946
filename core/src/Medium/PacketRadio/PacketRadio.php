<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio;

use Rundfunk\Medium\LineForm;
use Rundfunk\Medium\Medium;
use Rundfunk\Plan\Role;
use Rundfunk\Shape\Shape;

/** 2.4 GHz packet radio: a transceiver of 126 channels with addresses, check sums and acknowledges done in hardware. */
final readonly class PacketRadio implements Medium
{
    public const KEY = 'packet-radio';

    public function key(): string
    {
        return self::KEY;
    }

    public function name(): string
    {
        return '2.4 GHz packet radio';
    }

    public function part(): string
    {
        return 'radio';
    }

    public function usualRole(): Role
    {
        return Role::Receives;
    }

    public function form(): LineForm
    {
        return LineForm::Dashed;
    }

    public function linkSettings(): Shape
    {
        return PacketSettings::linkShape();
    }

    public function endpointSettings(): Shape
    {
        return PacketSettings::endShape();
    }

    public function offers(): array
    {
        return [
            new PacketRules,
            new PacketSteps,
            new PacketCalculators,
            new PacketStops,
            new PacketSayings,
            new PacketHops,
            new PacketBuild,
            new PacketMessages,
            new PacketBroadcast,
            new PacketPanel,
        ];
    }
}
