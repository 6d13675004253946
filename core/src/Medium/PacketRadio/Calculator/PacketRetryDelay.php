<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Calculator;

use Rundfunk\Calculator\Destination;
use Rundfunk\Calculator\FitsPlans;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Medium\PacketRadio\PacketRadio;
use Rundfunk\Medium\PacketRadio\RetryDelay;

final readonly class PacketRetryDelay implements FitsPlans
{
    public function name(): string
    {
        return 'packet-retry-delay';
    }

    public function topic(): string
    {
        return '2.4 GHz packet radio';
    }

    public function title(): string
    {
        return 'Packet retry delay';
    }

    public function plainly(): string
    {
        return 'Shortest retry delay that leaves room for the acknowledge';
    }

    public function formula(): string
    {
        return 'table by rate and acknowledge payload; never less than 130 µs + acknowledge, in steps of 250 µs';
    }

    public function source(): string
    {
        return 'Data sheet of the class, from memory';
    }

    public function inputs(): array
    {
        return PacketInputs::air('ack_payload_bytes');
    }

    public function outputs(): array
    {
        return [Quantity::whole('minimum_us', 'µs', 'The least legal step.')];
    }

    public function calculate(Inputs $inputs): array
    {
        return ['minimum_us' => RetryDelay::minimumUs(PacketInputs::read($inputs)->rate, $inputs->whole('ack_payload_bytes'))];
    }

    public function destination(): Destination
    {
        return Destination::end(PacketRadio::KEY, ['minimum_us' => 'retryDelayUs']);
    }
}
