<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Cellular\Commands;
use Rundfunk\Plan\NodeKind;

/** A phone without a number, or with one that cannot be. */
#[Finds('cell-number-wrong', WorkStep::Links)]
final readonly class NumberWrong implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $address = $look->plan->addressesOf($end->endpoint)[0] ?? null;
        $number = Commands::number($look->plan, $end->endpoint);
        if ($end->node->kind !== NodeKind::Phone || ($number?->e164 !== null && $number->valid)) {
            return [];
        }
        $none = $address?->value === null;

        return [Finding::fault(
            $none ? "{$end->node->name} has no number yet" : "{$address->value} is no telephone number",
            $end->at('address'),
            $none ? 'The modem can neither know its calls nor answer it.' : 'Neither here nor abroad is there a number of that form: no caller will ever match it.',
            'Write it with its country, as +44 20 7946 0123.',
            numbers: ['number' => (string) $address?->value, 'e164' => (string) $number?->e164],
        )];
    }
}
