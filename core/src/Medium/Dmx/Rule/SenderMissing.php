<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Dmx\Universe;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** A universe that nobody tells. */
#[Finds('dmx-sender-missing', WorkStep::Links)]
final readonly class SenderMissing implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $universe = Universe::of($look->plan, $link);
        if ($universe->senders !== [] || $universe->patched === []) {
            return [];
        }

        return [Finding::fault(
            "Nobody tells {$link->name} anything",
            Spot::of($link, $link->name),
            'Slots are sent again and again by exactly one; whoever listens cannot ask.',
            'Put the board or desk on it that tells the others, and let its end send.',
            about: [$link->id],
        )];
    }
}
