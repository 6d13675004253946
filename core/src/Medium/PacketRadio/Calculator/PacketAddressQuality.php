<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Calculator;

use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Medium\PacketRadio\PacketAddress;

final readonly class PacketAddressQuality implements Calculator
{
    public function name(): string
    {
        return 'packet-address-quality';
    }

    public function topic(): string
    {
        return '2.4 GHz packet radio';
    }

    public function title(): string
    {
        return 'Packet address quality';
    }

    public function plainly(): string
    {
        return 'Whether an address is a poor one';
    }

    public function formula(): string
    {
        return 'poor: all bytes equal, at most one change of level, or bits that alternate as the preamble does';
    }

    public function source(): string
    {
        return 'Data sheet of the class, from memory';
    }

    public function inputs(): array
    {
        return [Quantity::text('address', '3 to 5 bytes in hexadecimal, most significant first.')->example('C2F19A4701')];
    }

    public function outputs(): array
    {
        return [
            Quantity::flag('poor', 'Whether noise or the preamble looks like it.'),
            Quantity::texts('reasons', 'Why.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        $weaknesses = PacketAddress::parse($inputs->text('address'))->weaknesses();

        return ['poor' => $weaknesses !== [], 'reasons' => $weaknesses];
    }
}
