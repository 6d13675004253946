<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

use Rundfunk\Check\End;
use Rundfunk\Check\Look;
use Rundfunk\Plan\Link;

/** Whose wire goes into whose: each speaker of a line with each that hears it. */
final readonly class SerialPairs
{
    /** @return list<array{End, End}> speaker and listener */
    public static function of(Look $look, Link $link): array
    {
        $line = SerialLine::of($look->plan, $link);
        $asker = Askers::likely($look->plan, $line);
        $ends = array_map($look->end(...), $line->ends);
        $pairs = [];
        foreach ($ends as $at => $speaker) {
            foreach ($ends as $listening => $listener) {
                $joined = match ($line->settings->topology) {
                    Topology::Pair => $at !== $listening,
                    Topology::Ring => $listening === ($at + 1) % count($ends) && $at !== $listening,
                    Topology::Polled => ($speaker->endpoint->id === $asker?->id) !== ($listener->endpoint->id === $asker?->id),
                };
                if ($joined && $speaker->endpoint->role->sends() && $listener->endpoint->role->receives()) {
                    $pairs[] = [$speaker, $listener];
                }
            }
        }

        return $pairs;
    }
}
