<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\KeyedRadio\KeyedCoding;
use Rundfunk\Medium\KeyedRadio\KeyedSettings;
use Rundfunk\Plan\NodeKind;

/** More keys on a fob than a pair has buttons. */
#[Finds('keyed-too-many-buttons', WorkStep::Links)]
final readonly class TooManyButtons implements EndRule
{
    private const BUTTONS = 4;

    public function check(End $end, Look $look): iterable
    {
        $settings = KeyedSettings::of($end->link);
        $keys = count($look->plan->controlsOf($end->node));
        if ($settings->coding !== KeyedCoding::Pair || $end->node->kind !== NodeKind::Remote || $keys <= self::BUTTONS) {
            return [];
        }

        return [Finding::fault(
            "{$end->node->name} has {$keys} keys, and a pair has ".self::BUTTONS,
            $end->at(),
            'Each button of the fob works one of the receiver\'s four pins; there is no fifth.',
            'Take a second pair, or a coded fob with a plain receiver.',
            numbers: ['keys' => $keys, 'buttons' => self::BUTTONS],
        )];
    }
}
