<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Edit\Operation;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Ip\IpEnds;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

/** Two nodes that name themselves alike to the broker. */
final readonly class ClientShared extends IpRule implements LooksNearby
{
    public function key(): string
    {
        return 'ip-client-shared';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        $first = [];
        foreach (self::ends($plan) as ['link' => $link, 'endpoint' => $endpoint, 'node' => $node]) {
            $id = IpEnds::clientId($endpoint);
            $other = $id === null ? null : $first["{$link->id} {$id}"] ?? null;
            if ($id !== null) {
                $first["{$link->id} {$id}"] ??= ['node' => $node, 'endpoint' => $endpoint];
            }
            if ($other === null) {
                continue;
            }
            yield new Finding(
                $this->key(),
                Severity::Fault,
                "{$other['node']->name} and {$node->name} have one client id",
                Subject::of($endpoint, "{$node->name} on {$link->name}", 'clientId'),
                ['client_id' => $id],
                'The broker throws out the first whenever the second comes, and the first comes back and throws out the second: both flap for ever.',
                'Give each its own.',
                new Fix('Clear the second, for Assign to choose', Operation::change(ThingKind::Endpoint, $endpoint->id, ['settings' => ['clientId' => null]])),
                [$other['endpoint']->id, $endpoint->id],
            );
        }
    }
}
