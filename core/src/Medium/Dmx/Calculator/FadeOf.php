<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Calculator;

use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Medium\Dmx\DmxFrame;
use Rundfunk\Medium\Dmx\Fade;
use Rundfunk\OutOfRange;

final readonly class FadeOf implements Calculator
{
    public function name(): string
    {
        return 'dmx-fade';
    }

    public function topic(): string
    {
        return 'DMX';
    }

    public function title(): string
    {
        return 'DMX fade';
    }

    public function plainly(): string
    {
        return 'In how many steps a lamp goes from one brightness to another';
    }

    public function formula(): string
    {
        return 'one step a packet at most, and at most one for each value between';
    }

    public function source(): string
    {
        return 'ANSI E1.11 for the packets; common practice';
    }

    public function inputs(): array
    {
        return [
            Quantity::whole('from', null, 'Where it is, 0 to 255.')->example('0'),
            Quantity::whole('to', null, 'Where it goes, 0 to 255.')->example('255'),
            Quantity::whole('ms', 'ms', 'In what time.')->example('400'),
            Quantity::whole('slots', null, 'How many slots are sent, 0 to 512.')->example('512'),
        ];
    }

    public function outputs(): array
    {
        return [
            Quantity::whole('steps', null, 'How often the slot changes.'),
            Quantity::whole('largest', null, 'By how much at most at once: a jump of more than some ten is seen.'),
            Quantity::number('refresh_hz', 'Hz', 'Packets a second.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        [$from, $to, $ms, $slots] = [$inputs->whole('from'), $inputs->whole('to'), $inputs->whole('ms'), $inputs->whole('slots')];
        OutOfRange::unless('from', $from, 0, 255);
        OutOfRange::unless('to', $to, 0, 255);
        OutOfRange::unless('ms', $ms, 0, Fade::LONGEST_MS);
        OutOfRange::unless('slots', $slots, 0, DmxFrame::MOST_SLOTS);
        $frame = new DmxFrame($slots);
        $was = $from;
        $steps = $largest = 0;
        foreach ((new Fade($from * Fade::BYTE, $to * Fade::BYTE, $ms))->steps($frame->periodUs()) as $value) {
            $steps += $value === $was ? 0 : 1;
            $largest = max($largest, abs($value - $was));
            $was = $value;
        }

        return ['steps' => $steps, 'largest' => $largest, 'refresh_hz' => round($frame->refreshHz(), 3)];
    }
}
