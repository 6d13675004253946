<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\Serial\Bought\Exchange;
use Rundfunk\Medium\Serial\SerialLine;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Protocol;
use Rundfunk\Plan\ProtocolItem;
use Rundfunk\Plan\ProtocolItemKind;
use Rundfunk\Plan\Spot;

/** So many readings are asked for so often that they come later than asked, and leave no room for a command. */
#[Finds('serial-readings-crowd', WorkStep::Links)]
final readonly class ReadingsCrowd implements LinkRule
{
    /** Of the line's time: beyond that a command waits for its turn. Common practice. */
    private const MOST = 0.8;

    public function check(Link $link, Look $look): iterable
    {
        $line = SerialLine::of($look->plan, $link);
        $asked = array_filter(Exchange::round($look->plan, $line), static fn (Exchange $one): bool => $one->item->kind === ProtocolItemKind::Answers);
        $share = array_sum(array_map(static fn (Exchange $one): float => $one->lastsNs($line) / ($one->item->everyMs * 1e6), $asked));
        if ($share <= self::MOST) {
            return [];
        }
        // So far apart that all of them in one round leave room.
        $slower = (int) ceil(array_sum(array_map(static fn (Exchange $one): int => $one->lastsNs($line), $asked)) / self::MOST / 1e7) * 10;

        return [Finding::warning(
            'Readings ask for '.Figures::significant(100 * $share)." % of {$link->name}'s time",
            Spot::of($link, $link->name, 'baud'),
            'They come later than they are asked for, and a command waits until the one that runs is answered; one device that is dead costs '.Figures::duration($line->missedNs()).' each time.',
            'Ask for them less often; or a higher rate, where the device has one.',
            new Fix("Ask for everything at least {$slower} ms apart", ...array_map(static fn (Protocol $one): Operation => self::slowed($one, $slower), $line->spoken())),
            numbers: ['share_percent' => round(100 * $share, 1)],
            about: [$link->id],
        )];
    }

    private static function slowed(Protocol $protocol, int $everyMs): Operation
    {
        return Operation::change(Protocol::kind(), $protocol->id, ['items' => array_map(static fn (ProtocolItem $one): array => $one->kind === ProtocolItemKind::Answers ? [...$one->values(), 'everyMs' => max($everyMs, $one->everyMs)] : $one->values(), $protocol->items)]);
    }
}
