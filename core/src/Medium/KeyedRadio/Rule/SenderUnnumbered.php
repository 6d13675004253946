<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Medium\KeyedRadio\KeyedCodes;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;

/** One of our own transmitters without a number, or with one that is none. */
final readonly class SenderUnnumbered extends KeyedRule implements LooksNearby
{
    public function key(): string
    {
        return 'keyed-sender-unnumbered';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (self::links($plan) as ['link' => $link]) {
            foreach ($plan->endpointsOn($link) as $endpoint) {
                $ours = array_filter($plan->hopsFrom($endpoint), static fn (Hop $hop): bool => KeyedCodes::isOurs($plan, $hop));
                if ($ours === [] || KeyedCodes::senderNumber($plan, $endpoint) !== null) {
                    continue;
                }
                $node = $plan->node($endpoint->nodeId);
                yield new Finding(
                    $this->key(),
                    Severity::Fault,
                    "{$node->name} has no sender number on {$link->name}",
                    Subject::of($endpoint, "{$node->name} on {$link->name}", 'address'),
                    [],
                    'The upper twenty bits say who sends; without them its receiver obeys anyone.',
                    'Assign makes one: five hexadecimal digits.',
                );
            }
        }
    }
}
