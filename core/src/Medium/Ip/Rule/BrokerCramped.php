<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;

/** A broker on a board that has no room for one. */
#[Finds('ip-broker-cramped', WorkStep::Links)]
final readonly class BrokerCramped implements EndRule
{
    /** What a broker with a dozen clients wants, kilobytes. Common practice. */
    private const LEAST_KB = 100;

    public function check(End $end, Look $look): iterable
    {
        $board = $look->board($end->node);
        if ($end->endpoint->settings['broker'] !== true || $board === null || $board->memoryKb >= self::LEAST_KB) {
            return [];
        }

        return [Finding::fault(
            "{$end->node->name} runs the broker on {$board->memoryKb} kB of memory",
            $end->at('broker'),
            'Each client takes some of it; after the third or fourth the board starts again, and everybody with it.',
            'A computer that is always on, or a larger Wi-Fi board for a handful of clients.',
            numbers: ['memory_kb' => $board->memoryKb, 'least_kb' => self::LEAST_KB],
        )];
    }
}
