<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Calculator;

use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Medium\Dmx\DmxFrame;
use Rundfunk\OutOfRange;

final readonly class RefreshOf implements Calculator
{
    public function name(): string
    {
        return 'dmx-refresh';
    }

    public function topic(): string
    {
        return 'DMX';
    }

    public function title(): string
    {
        return 'DMX refresh rate';
    }

    public function plainly(): string
    {
        return 'How often lamps are told anew, by how many slots are sent';
    }

    public function formula(): string
    {
        return 'break + mark + 44 µs × (slots + 1), at least 1204 µs';
    }

    public function source(): string
    {
        return 'ANSI E1.11';
    }

    public function inputs(): array
    {
        return [
            Quantity::whole('slots', null, 'How many slots are sent, 0 to 512.')->example('512'),
            Quantity::number('break_us', 'µs', 'How long the break is: 92 at least.')->example('92'),
            Quantity::number('mab_us', 'µs', 'The mark after it: 12 at least.')->example('12'),
        ];
    }

    public function outputs(): array
    {
        return [
            Quantity::whole('period_us', 'µs', 'From one break to the next.'),
            Quantity::number('refresh_hz', 'Hz', 'Packets a second.'),
            Quantity::flag('ok', 'Whether the break and the mark are as long as a sender\'s must be.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        $slots = $inputs->whole('slots');
        OutOfRange::unless('slots', $slots, 0, DmxFrame::MOST_SLOTS);
        $times = [];
        foreach (['break_us', 'mab_us'] as $name) {
            OutOfRange::unless($name, $inputs->number($name), 1, DmxFrame::MOST_MARK_US);
            $times[] = (int) round($inputs->number($name));
        }
        $frame = new DmxFrame($slots, ...$times);

        return ['period_us' => $frame->periodUs(), 'refresh_hz' => round($frame->refreshHz(), 3), 'ok' => $frame->breakUs >= DmxFrame::LEAST_BREAK_US && $frame->markUs >= DmxFrame::LEAST_MARK_US];
    }
}
