<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\Severity;
use Rundfunk\Check\WorkStep;
use Rundfunk\Electrical\UartDivider;
use Rundfunk\Figures;
use Rundfunk\Medium\Cellular\Modem;
use Rundfunk\Plan\Spot;

/** A serial rate that the board's clock does not divide to. */
#[Finds('cell-rate-off', WorkStep::Links)]
final readonly class RateOff implements EndRule
{
    /** Where to warn, and where it fails. Common practice; half a bit in 9½ is the end of it. */
    private const DOUBTFUL = 0.02;

    private const WRONG = 0.04;

    public function check(End $end, Look $look): iterable
    {
        $modem = Modem::of($look->plan, $end->endpoint, $look->catalogue);
        if ($modem === null) {
            return [];
        }
        $board = $look->catalogue->boardOf($modem->node);
        // The others make any rate from a fast clock.
        $error = $board === null || $board->logicV < 4.0 ? 0.0 : UartDivider::error($board->clockMhz, $modem->end->baud);
        if ($board === null || abs($error) < self::DOUBTFUL) {
            return [];
        }
        $percent = sprintf('%+.2f %%', 100 * $error);

        return [Finding::of(
            abs($error) < self::WRONG ? Severity::Warning : Severity::Fault,
            "{$modem->node->name} cannot make {$modem->end->baud} baud: it is {$percent} off",
            Spot::of($modem->endpoint, $modem->where(), 'baud'),
            Figures::significant($board->clockMhz).' MHz divided by a whole number comes no nearer. Letters arrive now and then as others.',
            'Take 9600 or 38400: nobody texts faster.',
            Fix::settings('Set 9600 baud', $modem->endpoint, ['baud' => 9600]),
            numbers: ['baud' => $modem->end->baud, 'error_percent' => round(100 * $error, 2)],
        )];
    }
}
