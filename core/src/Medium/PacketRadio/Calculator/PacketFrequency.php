<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Calculator;

use Rundfunk\Calculator\Destination;
use Rundfunk\Calculator\FitsPlans;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Medium\PacketRadio\PacketRadio;
use Rundfunk\Medium\PacketRadio\PacketSpectrum;

final readonly class PacketFrequency implements FitsPlans
{
    public function name(): string
    {
        return 'packet-frequency';
    }

    public function topic(): string
    {
        return '2.4 GHz packet radio';
    }

    public function title(): string
    {
        return 'Packet radio channel';
    }

    public function plainly(): string
    {
        return 'Frequency of a channel';
    }

    public function formula(): string
    {
        return '2400 + channel MHz';
    }

    public function source(): string
    {
        return 'Data sheet of the class, from memory';
    }

    public function inputs(): array
    {
        return [Quantity::whole('channel', null, 'Channel, 0 to 125.')->example('76')];
    }

    public function outputs(): array
    {
        return [Quantity::whole('freq_mhz', 'MHz', 'Its centre.')];
    }

    public function calculate(Inputs $inputs): array
    {
        return ['freq_mhz' => PacketSpectrum::frequencyMhz($inputs->whole('channel'))];
    }

    public function destination(): Destination
    {
        return Destination::link(PacketRadio::KEY, ['channel' => 'channel']);
    }
}
