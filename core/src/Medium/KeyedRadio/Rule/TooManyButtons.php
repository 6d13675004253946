<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Medium\KeyedRadio\KeyedCoding;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Plan;

/** More keys on a fob than a pair has buttons. */
final readonly class TooManyButtons extends KeyedRule implements LooksNearby
{
    private const BUTTONS = 4;

    public function key(): string
    {
        return 'keyed-too-many-buttons';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (self::links($plan) as ['link' => $link, 'settings' => $settings]) {
            foreach ($settings->coding === KeyedCoding::Pair ? $plan->endpointsOn($link) : [] as $endpoint) {
                $node = $plan->node($endpoint->nodeId);
                $keys = count($plan->controlsOf($node));
                if ($node->kind !== NodeKind::Remote || $keys <= self::BUTTONS) {
                    continue;
                }
                yield new Finding(
                    $this->key(),
                    Severity::Fault,
                    "{$node->name} has {$keys} keys, and a pair has ".self::BUTTONS,
                    Subject::of($endpoint, "{$node->name} on {$link->name}"),
                    ['keys' => $keys, 'buttons' => self::BUTTONS],
                    'Each button of the fob works one of the receiver\'s four pins; there is no fifth.',
                    'Take a second pair, or a coded fob with a plain receiver.',
                );
            }
        }
    }
}
