<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Edit\Operation;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Address;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

/** Pipes 1 to 5 of a receiver share all of the address but its last byte. */
final readonly class PipePrefixBroken extends PacketRule implements LooksNearby
{
    public function key(): string
    {
        return 'packet-pipe-prefix-broken';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        $first = [];
        foreach (self::addresses($plan) as $one) {
            if ($one['address']->pipe === 0) {
                continue;
            }
            $lead = $first[$one['endpoint']->id] ??= $one;
            if ($lead['parsed']->prefix() === $one['parsed']->prefix()) {
                continue;
            }
            $fixed = $lead['parsed']->endingIn($one['parsed']->last());
            yield new Finding(
                $this->key(),
                Severity::Fault,
                "Pipe {$one['address']->pipe} of {$one['node']->name} cannot have that address",
                Subject::of($one['address'], "{$one['node']->name} on {$one['link']->name}, pipe {$one['address']->pipe}", 'value'),
                ['pipe' => $one['address']->pipe, 'address' => $one['parsed']->hex, 'prefix' => $lead['parsed']->prefix()],
                "The part stores only the last byte of pipes 2 to 5 and takes the rest from pipe 1: it would listen on {$fixed->spaced()}, not on {$one['parsed']->spaced()}.",
                'Let it begin as pipe 1 does.',
                new Fix("Set {$fixed->spaced()}", Operation::change(ThingKind::Address, $one['address']->id, ['value' => $fixed->hex])),
            );
        }
    }
}
