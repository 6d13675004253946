<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Calculator;

use Rundfunk\Calculator\Destination;
use Rundfunk\Calculator\DrawsCurve;
use Rundfunk\Calculator\FitsPlans;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Calculator\Sweep;
use Rundfunk\Medium\PacketRadio\PacketRadio;

final readonly class PacketAirtime implements DrawsCurve, FitsPlans
{
    public function name(): string
    {
        return 'packet-airtime';
    }

    public function topic(): string
    {
        return '2.4 GHz packet radio';
    }

    public function title(): string
    {
        return 'Packet airtime';
    }

    public function plainly(): string
    {
        return 'How long a packet and its acknowledge are on the air';
    }

    public function formula(): string
    {
        return '(8 · (1 + address + payload + CRC) + 9) / rate';
    }

    public function source(): string
    {
        return 'Data sheet of the class, from memory';
    }

    public function inputs(): array
    {
        return PacketInputs::air('payload_bytes');
    }

    public function outputs(): array
    {
        return [
            Quantity::number('airtime_us', 'µs', 'The packet on the air.'),
            Quantity::number('ack_airtime_us', 'µs', 'The empty acknowledge on the air.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        $air = PacketInputs::read($inputs);

        return [
            'airtime_us' => $air->frameNs($inputs->whole('payload_bytes')) / 1000,
            'ack_airtime_us' => $air->acknowledgeNs() / 1000,
        ];
    }

    public function sweep(): Sweep
    {
        return new Sweep('payload_bytes', 0, 32, 'airtime_us');
    }

    public function destination(): Destination
    {
        return Destination::link(PacketRadio::KEY, ['rate_kbps' => 'rateKbps', 'address_bytes' => 'addressBytes', 'payload_bytes' => 'payloadBytes', 'crc_bytes' => 'crcBytes']);
    }
}
