<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\Can\Can;
use Rundfunk\Medium\Can\CanBus;
use Rundfunk\Medium\Can\CanEnd;
use Rundfunk\Medium\Can\CanFrame;
use Rundfunk\Medium\Can\CanMessage;
use Rundfunk\Medium\Can\Trial;
use Rundfunk\Plan\Spot;

/** A signal that does not fit into its message. */
#[Finds('can-signal-outside', WorkStep::Links)]
final readonly class SignalOutside implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        foreach ($end->link->medium === Can::KEY ? CanEnd::of($look->plan, $end->endpoint)->messages : [] as $message) {
            foreach ($message->signals as $signal) {
                if ($signal->fits($message->of->bytes)) {
                    continue;
                }
                $bytes = $signal->fits(CanFrame::BYTES_MOST) ? $signal->bytes() : null;
                yield Finding::fault(
                    "{$signal->name} begins at bit {$signal->of->start} and is {$signal->of->bits} long: {$message->of->name} has ".Figures::counted($message->of->bytes, 'byte'),
                    Spot::of($message->of, "{$message->of->name} of {$end->node->name}", 'signals'),
                    'What lies behind the last byte is never sent. With the high byte first the place counts from the highest bit and runs down, byte by byte.',
                    'Look again at its place, its length and which byte comes first.',
                    $bytes === null ? null : self::fix($look, $end, $message, $bytes),
                    numbers: ['signal' => $signal->name],
                    about: [$message->of->id, $signal->name, "{$signal->of->bits} from {$signal->of->start}"],
                );
            }
        }
    }

    /** As many bytes as it wants, where the bus has the time. */
    private static function fix(Look $look, End $end, CanMessage $message, int $bytes): ?Fix
    {
        $draft = $look->plan->draft();
        $draft->change($message->of, ['bytes' => $bytes]);
        $keepsTime = Trial::keepsTime(CanBus::of($look->plan, $end->link), CanBus::of($draft->plan(), $end->link));

        return $keepsTime ? Fix::change("{$message->of->name} has {$bytes} bytes", $message->of, ['bytes' => $bytes]) : null;
    }
}
