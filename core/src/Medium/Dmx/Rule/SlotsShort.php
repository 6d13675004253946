<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Dmx\Universe;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** Somebody listens behind the last slot that is sent. */
#[Finds('dmx-slots-short', WorkStep::Links)]
final readonly class SlotsShort implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $universe = Universe::of($look->plan, $link);
        if ($universe->settings->slots === null || $universe->settings->slots >= $universe->highest) {
            return [];
        }

        return [Finding::fault(
            "{$link->name} sends {$universe->settings->slots} slots, and {$universe->highest} are listened to",
            Spot::of($link, $link->name, 'slots'),
            'What stands behind the last slot is never told.',
            'Send as many as are listened to.',
            Fix::settings('As many as are listened to', $link, ['slots' => null]),
            numbers: ['sent' => $universe->settings->slots, 'highest' => $universe->highest],
            about: [$link->id],
        )];
    }
}
