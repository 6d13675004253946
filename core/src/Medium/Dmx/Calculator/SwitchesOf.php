<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Calculator;

use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Medium\Dmx\DipSwitches;
use Rundfunk\Medium\Dmx\DmxFrame;
use Rundfunk\OutOfRange;

final readonly class SwitchesOf implements Calculator
{
    public function name(): string
    {
        return 'dmx-dip';
    }

    public function topic(): string
    {
        return 'DMX';
    }

    public function title(): string
    {
        return 'DMX address switches';
    }

    public function plainly(): string
    {
        return 'Which of a lamp\'s nine switches are on for a start address';
    }

    public function formula(): string
    {
        return 'Σ 2^(switch − 1) = address, or address − 1';
    }

    public function source(): string
    {
        return 'common practice';
    }

    public function inputs(): array
    {
        return [Quantity::whole('address', null, 'The start address, 1 to 512.')->example('37')];
    }

    public function outputs(): array
    {
        return [
            Quantity::flags('switches', 'From the first to the ninth, where the switches say the address itself; none where nine do not reach it.'),
            Quantity::text('on', 'The same in words.'),
            Quantity::flags('switches_plus_one', 'The same where all off is address 1.'),
            Quantity::text('on_plus_one', 'The same in words.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        $address = $inputs->whole('address');
        OutOfRange::unless('address', $address, 1, DmxFrame::MOST_SLOTS);
        $figures = [];
        foreach (['' => false, '_plus_one' => true] as $name => $plusOne) {
            $switches = (new DipSwitches($plusOne))->for($address);
            $figures["switches{$name}"] = $switches ?? [];
            $figures["on{$name}"] = $switches === null ? 'nine switches do not reach it' : DipSwitches::words(...$switches);
        }

        return $figures;
    }
}
