<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Line;

use Rundfunk\Behaviour\MessageNumbers;
use Rundfunk\Medium\Media;
use Rundfunk\Medium\Serial\Bought\Commanding;
use Rundfunk\Medium\Serial\Bought\Tables;
use Rundfunk\Medium\Serial\SerialEnd;
use Rundfunk\Medium\Serial\SerialLine;
use Rundfunk\Medium\Serial\Topology;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;

/** What the program of an end does on its line, from the plan: the twin of the C in its header. */
final readonly class Programs
{
    /** @return LineEnd|null null while its line has no ids yet, one id twice, or nobody who asks; and for what was bought */
    public static function of(Plan $plan, Endpoint $endpoint, Media $media): ?LineEnd
    {
        $line = SerialLine::of($plan, $plan->link($endpoint->linkId));
        if (! $line->isComplete()) {
            return null;
        }
        if ($line->isBought()) {
            $tables = $line->asker()?->id === $endpoint->id ? Tables::of($plan, $line, new MessageNumbers($plan, $media)) : null;

            return $tables === null ? null : new Commanding($tables, $line);
        }
        $own = SerialEnd::of($endpoint);
        $rests = [];
        foreach ($line->ends as $end) {
            if ($end->id !== $endpoint->id) {
                $rests[(int) SerialEnd::of($end)->station] = SerialEnd::of($end)->restMs;
            }
        }

        return match (true) {
            $line->settings->topology !== Topology::Polled => new Telling($line->settings, (int) $own->station, $rests, $line->programTimeoutMs(), $line->isToldTogether($endpoint)),
            $line->asker()?->id === $endpoint->id => new Asking($line->settings, (int) $own->station, $rests, $line->programTimeoutMs(), $line->frameMs()),
            default => new Answering($line->settings, (int) $own->station, $line->isToldTogether($endpoint), array_keys($rests), $line->silentMs()),
        };
    }
}
