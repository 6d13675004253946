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

final readonly class AddressMissing extends IpRule implements LooksNearby
{
    public function key(): string
    {
        return 'ip-address-missing';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (self::ends($plan) as ['link' => $link, 'endpoint' => $endpoint, 'node' => $node]) {
            if (IpEnds::address($plan, $endpoint)?->value === null) {
                yield new Finding(
                    $this->key(),
                    Severity::Warning,
                    "{$node->name} has no fixed address on {$link->name}",
                    Subject::of($endpoint, "{$node->name} on {$link->name}", 'address'),
                    [],
                    'The router gives it another one some day, and whoever has the old one speaks to the wrong node.',
                    'Assign proposes one; enter it in the router too.',
                );
            }
        }
    }
}
