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
use Rundfunk\Medium\Can\Can;
use Rundfunk\Medium\Can\CanBus;
use Rundfunk\Medium\Can\CanEnd;
use Rundfunk\Medium\Can\CanFrame;
use Rundfunk\Medium\Can\CanMessage;
use Rundfunk\Medium\Can\Traffic;
use Rundfunk\Medium\Can\Trial;
use Rundfunk\Plan\Spot;

/** An identifier of more than eleven bits that is said to be a short one. */
#[Finds('can-identifier-impossible', WorkStep::Links)]
final readonly class IdentifierImpossible implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        foreach ($end->link->medium === Can::KEY ? CanEnd::of($look->plan, $end->endpoint)->messages : [] as $message) {
            if ($message->of->extended || $message->of->identifier <= CanFrame::STANDARD_MOST) {
                continue;
            }
            $hex = sprintf('%X', $message->of->identifier);
            yield Finding::fault(
                "{$hex} of {$message->of->name} has more than eleven bits",
                Spot::of($message->of, "{$message->of->name} of {$end->node->name}", 'identifier'),
                'A short identifier goes to 7FF. A long one of the same digits is another message, and wins or loses otherwise.',
                'Say that it has 29 bits, or look again at its digits: they are hexadecimal.',
                self::fix($look, $end, $message),
                numbers: ['identifier' => $hex],
                about: [$message->of->id],
            );
        }
    }

    /** Where nobody else sends those digits, and it is in time as such. */
    private static function fix(Look $look, End $end, CanMessage $message): ?Fix
    {
        $draft = $look->plan->draft();
        $draft->change($message->of, ['extended' => true]);
        [$before, $after] = [CanBus::of($look->plan, $end->link), CanBus::of($draft->plan(), $end->link)];
        $isAlone = count(array_filter($before->traffic(), static fn (Traffic $one): bool => $one->sent->id === $message->of->identifier)) === 1;

        return $isAlone && Trial::keepsTime($before, $after) ? Fix::change('It has 29 bits', $message->of, ['extended' => true]) : null;
    }
}
