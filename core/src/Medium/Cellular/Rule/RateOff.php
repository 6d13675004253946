<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Electrical\UartDivider;
use Rundfunk\Figures;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Cellular\Modem;
use Rundfunk\Plan\Plan;

/** A serial rate that the board's clock does not divide to. */
final readonly class RateOff extends CellularRule implements LooksNearby
{
    /** Where to warn, and where it fails. Common practice; half a bit in 9½ is the end of it. */
    private const DOUBTFUL = 0.02;

    private const WRONG = 0.04;

    public function key(): string
    {
        return 'cell-rate-off';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (Modem::all($plan, $knowledge->catalogue) as $modem) {
            $board = $knowledge->catalogue->boardOf($modem->node);
            // The others make any rate from a fast clock.
            $error = $board === null || $board->logicV < 4.0 ? 0.0 : UartDivider::error($board->clockMhz, $modem->end->baud);
            if ($board === null || abs($error) < self::DOUBTFUL) {
                continue;
            }
            $percent = sprintf('%+.2f %%', 100 * $error);
            yield new Finding(
                $this->key(),
                abs($error) < self::WRONG ? Severity::Warning : Severity::Fault,
                "{$modem->node->name} cannot make {$modem->end->baud} baud: it is {$percent} off",
                Subject::of($modem->endpoint, $modem->where(), 'baud'),
                ['baud' => $modem->end->baud, 'error_percent' => round(100 * $error, 2)],
                Figures::significant($board->clockMhz).' MHz divided by a whole number comes no nearer. Letters arrive now and then as others.',
                'Take 9600 or 38400: nobody texts faster.',
                self::setEnd($modem->endpoint, 'Set 9600 baud', ['baud' => 9600]),
            );
        }
    }
}
