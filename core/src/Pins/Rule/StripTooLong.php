<?php

declare(strict_types=1);

namespace Rundfunk\Pins\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Spot;

/** A strip whose picture does not fit the board's memory beside the program's own data. */
#[Finds('strip-too-long', WorkStep::Nodes)]
final readonly class StripTooLong implements OutputRule
{
    private const BYTES = 3;

    /** The rest is stack, buffers and what else the program keeps. Common practice. */
    private const SHARE = 0.6;

    public function check(Output $output, Look $look): iterable
    {
        $board = $look->board($look->plan->node($output->nodeId));
        $pixels = $output->kind === OutputKind::Strip ? $output->setting('pixels') : 0;
        $most = $board === null ? PHP_INT_MAX : (int) floor($board->memoryKb * 1024 * self::SHARE / self::BYTES);
        if ($board === null || $pixels <= $most) {
            return [];
        }

        return [Finding::fault(
            "{$pixels} lights of {$output->name} do not fit the memory of the {$board->name}",
            Spot::of($output, $look->plan->node($output->nodeId)->name.", {$output->name}", 'settings.pixels'),
            'Each takes three bytes: '.Figures::significant($pixels * self::BYTES / 1024).' of '.Figures::significant($board->memoryKb).' kB. It compiles, starts, and writes over its own data.',
            "At most {$most} lights on this board, or another board.",
            numbers: ['pixels' => $pixels, 'most' => $most],
        )];
    }
}
