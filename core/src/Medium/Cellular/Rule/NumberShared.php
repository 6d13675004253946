<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Cellular\Commands;
use Rundfunk\Plan\Plan;

/** Two phones with one number. */
final readonly class NumberShared extends CellularRule implements LooksNearby
{
    public function key(): string
    {
        return 'cell-number-shared';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        $first = [];
        foreach (self::phones($plan) as ['link' => $link, 'endpoint' => $endpoint, 'node' => $node]) {
            $number = Commands::number($plan, $endpoint)?->e164;
            $key = "{$link->id} {$number}";
            $other = $number === null ? null : $first[$key] ?? null;
            if ($number !== null) {
                $first[$key] ??= ['endpoint' => $endpoint, 'node' => $node];
            }
            if ($other === null) {
                continue;
            }
            yield new Finding(
                $this->key(),
                Severity::Fault,
                "{$other['node']->name} and {$node->name} have one number",
                Subject::of($endpoint, "{$node->name} on {$link->name}", 'address'),
                ['number' => $number],
                'The modem knows callers by their number alone; it would take the one for the other.',
                'One of them was typed wrongly, or they are one phone.',
                null,
                [$other['endpoint']->id, $endpoint->id],
            );
        }
    }
}
