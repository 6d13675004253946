<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\KeyedRadio\KeyedCodes;
use Rundfunk\Plan\Hop;

/** One of our own transmitters without a number, or with one that is none. */
#[Finds('keyed-sender-unnumbered', WorkStep::Links)]
final readonly class SenderUnnumbered implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $ours = array_filter($look->plan->hopsFrom($end->endpoint), static fn (Hop $hop): bool => KeyedCodes::isOurs($look->plan, $hop));
        if ($ours === [] || KeyedCodes::senderNumber($look->plan, $end->endpoint) !== null) {
            return [];
        }

        return [Finding::fault(
            "{$end->node->name} has no sender number on {$end->link->name}",
            $end->at('address'),
            'The upper twenty bits say who sends; without them its receiver obeys anyone.',
            'Assign makes one: five hexadecimal digits.',
        )];
    }
}
