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

/** A phone without a number, or with one that cannot be. */
final readonly class NumberWrong extends CellularRule implements LooksNearby
{
    public function key(): string
    {
        return 'cell-number-wrong';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (self::phones($plan) as ['link' => $link, 'endpoint' => $endpoint, 'node' => $node]) {
            $address = $plan->addressesOf($endpoint)[0] ?? null;
            $number = Commands::number($plan, $endpoint);
            if ($number?->e164 !== null && $number->valid) {
                continue;
            }
            $none = $address?->value === null;
            yield new Finding(
                $this->key(),
                Severity::Fault,
                $none ? "{$node->name} has no number yet" : "{$address->value} is no telephone number",
                Subject::of($endpoint, "{$node->name} on {$link->name}", 'address'),
                ['number' => (string) $address?->value, 'e164' => (string) $number?->e164],
                $none ? 'The modem can neither know its calls nor answer it.' : 'Neither here nor abroad is there a number of that form: no caller will ever match it.',
                'Write it with its country, as +44 20 7946 0123.',
            );
        }
    }
}
