<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Check\Look;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Serial\Serial;
use Rundfunk\Medium\Serial\SerialLine;
use Rundfunk\Medium\Serial\SerialPairs;
use Rundfunk\Medium\Serial\SerialParts;
use Rundfunk\Medium\Serial\SerialWire;
use Rundfunk\Plan\Plan;

/** What belongs between two ends of different voltage. */
final readonly class LevelStep implements Step
{
    public function stage(): Stage
    {
        return Stage::Part;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        $look = new Look($plan, $knowledge);
        foreach ($plan->linksOver(Serial::KEY) as $link) {
            $line = SerialLine::of($plan, $link);
            $done = [];
            foreach (SerialPairs::of($look, $link) as [$speaker, $listener]) {
                $wire = SerialWire::on($line, $speaker, $listener, $look);
                $place = $wire?->place();
                $at = $place === null ? '' : "{$place[0]->id} {$place[1]}";
                $parts = $wire === null || isset($done[$at]) || (! $wire->isTooHigh() && ! $wire->isTooLow()) ? null : SerialParts::fitting($look, $link, $wire);
                if ($parts !== null) {
                    $done[$at] = true;
                    yield new Proposal(
                        $this->stage(), $listener->at(), "Between {$speaker->node->name} and {$listener->node->name} on {$link->name}",
                        null, $parts->words, 'The one speaks at another voltage than the other stands, or takes for high.', $parts->operations,
                    );
                }
            }
        }
    }
}
