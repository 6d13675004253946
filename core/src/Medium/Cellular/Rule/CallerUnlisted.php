<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Cellular\CellularEnd;
use Rundfunk\Plan\Plan;

/** Somebody is to call or text, and the modem does not obey them. */
final readonly class CallerUnlisted extends CellularRule implements LooksNearby
{
    public function key(): string
    {
        return 'cell-caller-unlisted';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        $seen = [];
        foreach (self::commands($plan, $knowledge) as ['modem' => $modem, 'hop' => $hop]) {
            $endpoint = $plan->endpoint($hop->fromId);
            if ($modem->end->obeysAnyone || CellularEnd::of($endpoint)->listed || isset($seen["{$endpoint->id} {$modem->endpoint->id}"])) {
                continue;
            }
            $seen["{$endpoint->id} {$modem->endpoint->id}"] = true;
            $name = $plan->node($endpoint->nodeId)->name;
            yield new Finding(
                $this->key(),
                Severity::Fault,
                "{$modem->node->name} does not obey {$name}",
                Subject::of($endpoint, "{$name} on {$modem->link->name}", 'listed'),
                [],
                'It obeys those on its list only, and this one is not on it: the call rings out, the text is thrown away.',
                'Put the phone on the list, if that is what you want.',
                self::setEnd($endpoint, "Let it obey {$name}", ['listed' => true]),
                [$endpoint->id, $modem->endpoint->id],
            );
        }
    }
}
