<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Plan;

/** Several of our own emitters in one room, sending when each sees fit. */
final readonly class EmittersTogether extends InfraredRule implements LooksNearby
{
    public function key(): string
    {
        return 'ir-emitters-together';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        $byLink = [];
        foreach (self::emitters($plan, $knowledge) as $one) {
            $byLink[$one['link']->id][] = $one;
        }
        foreach ($byLink as $ones) {
            if (count($ones) < 2) {
                continue;
            }
            $names = array_map(static fn (array $one): string => $one['node']->name, $ones);
            yield new Finding(
                $this->key(),
                Severity::Advice,
                implode(' and ', array_slice($names, 0, 2)).' both send in '.$ones[0]['link']->name,
                Subject::of($ones[1]['endpoint'], "{$names[1]} on {$ones[0]['link']->name}"),
                ['emitters' => count($ones)],
                'One carrier, one room: two frames at once garble each other, and neither sender knows.',
                'Let one of them do all the sending in this room, or make sure that nothing works both at once.',
                null,
                array_map(static fn (array $one): string => $one['endpoint']->id, $ones),
            );
        }
    }
}
