<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Calculator;

use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Medium\Dmx\Multicast;
use Rundfunk\OutOfRange;

final readonly class MulticastOf implements Calculator
{
    public function name(): string
    {
        return 'e131-multicast';
    }

    public function topic(): string
    {
        return 'DMX';
    }

    public function title(): string
    {
        return 'Multicast address of a universe';
    }

    public function plainly(): string
    {
        return 'Where on the network the packets of a universe go';
    }

    public function formula(): string
    {
        return '239.255.(universe ÷ 256).(universe mod 256), UDP 5568';
    }

    public function source(): string
    {
        return 'ANSI E1.31, 9.3';
    }

    public function inputs(): array
    {
        return [Quantity::whole('universe', null, '1 to 63999.')->example('7')];
    }

    public function outputs(): array
    {
        return [Quantity::text('address', 'The group that receivers join.'), Quantity::whole('port', null, 'The UDP port.')];
    }

    public function calculate(Inputs $inputs): array
    {
        $universe = $inputs->whole('universe');
        OutOfRange::unless('universe', $universe, 1, Multicast::MOST_UNIVERSE);

        return ['address' => Multicast::address($universe), 'port' => Multicast::PORT];
    }
}
