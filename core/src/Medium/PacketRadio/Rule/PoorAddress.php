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
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

final readonly class PoorAddress extends PacketRule implements LooksNearby
{
    public function key(): string
    {
        return 'packet-poor-address';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (self::addresses($plan) as ['address' => $address, 'parsed' => $parsed, 'node' => $node, 'link' => $link]) {
            $weaknesses = $parsed->weaknesses();
            if ($weaknesses === []) {
                continue;
            }
            yield new Finding(
                $this->key(),
                Severity::Warning,
                "{$parsed->spaced()} is a poor address",
                Subject::of($address, "{$node->name} on {$link->name}, pipe {$address->pipe}", 'value'),
                ['address' => $parsed->hex],
                ucfirst(implode('; ', $weaknesses)).'. The receiver finds such an address in noise, or misses the real one.',
                'Choose an address with several changes of level.',
                new Fix('Clear it, for Assign to choose', Operation::change(ThingKind::Address, $address->id, ['value' => null, 'pinned' => false])),
            );
        }
    }
}
