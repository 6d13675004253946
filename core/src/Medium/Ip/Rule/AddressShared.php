<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Ip\IpEnds;
use Rundfunk\Plan\Plan;

final readonly class AddressShared extends IpRule implements LooksNearby
{
    public function key(): string
    {
        return 'ip-address-shared';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        $first = [];
        foreach (self::ends($plan) as ['link' => $link, 'endpoint' => $endpoint, 'node' => $node]) {
            $address = IpEnds::address($plan, $endpoint);
            $number = IpEnds::number($plan, $endpoint);
            $other = $number === null ? null : $first["{$link->id} {$number}"] ?? null;
            if ($number !== null) {
                $first["{$link->id} {$number}"] ??= ['node' => $node, 'endpoint' => $endpoint];
            }
            if ($other === null || $address === null) {
                continue;
            }
            yield new Finding(
                $this->key(),
                Severity::Fault,
                "{$other['node']->name} and {$node->name} have one address",
                Subject::of($address, "{$node->name} on {$link->name}", 'value'),
                ['address' => (string) $address->value],
                'Now the one answers and now the other; each looks as if it came and went.',
                'Give each its own.',
                $address->pinned ? null : self::clearAddress($address),
                [$other['endpoint']->id, $endpoint->id],
            );
        }
    }
}
