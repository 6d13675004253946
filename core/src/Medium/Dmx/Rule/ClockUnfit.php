<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Electrical\UartDivider;
use Rundfunk\Figures;
use Rundfunk\Medium\Dmx\DmxEnd;
use Rundfunk\Medium\Dmx\DmxFrame;
use Rundfunk\Medium\Dmx\DmxSettings;

/** A board whose clock does not make 250 000 baud. */
#[Finds('dmx-clock-unfit', WorkStep::Links)]
final readonly class ClockUnfit implements EndRule
{
    /** Of what a receiver of eight bits bears. Source: ANSI E1.11 */
    private const MOST_PERCENT = 2.0;

    public function check(End $end, Look $look): iterable
    {
        $board = $look->board($end->node);
        // Boards of 3.3 V make any rate from a fast clock.
        if ($board === null || $board->logicV < 4.0 || DmxSettings::of($end->link)->isNetwork || DmxEnd::of($end->endpoint)->bridges || $end->class === null) {
            return [];
        }
        $percent = 100 * UartDivider::error($board->clockMhz, DmxFrame::BAUD);
        if (abs($percent) <= self::MOST_PERCENT) {
            return [];
        }

        return [Finding::fault(
            "{$end->node->name} cannot make 250 000 baud: it is ".Figures::significant(abs($percent)).' % off',
            $end->at(),
            'Slots are asynchronous: beyond 2 % the last bit is read as its neighbour.',
            'A board with a clock that is a multiple of 2 or 4 MHz.',
            numbers: ['percent' => round($percent, 2)],
            about: [$end->endpoint->id],
        )];
    }
}
