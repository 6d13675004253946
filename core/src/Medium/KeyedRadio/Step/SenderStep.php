<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Knowledge;
use Rundfunk\Medium\KeyedRadio\KeyedCode;
use Rundfunk\Medium\KeyedRadio\KeyedCodes;
use Rundfunk\Medium\KeyedRadio\KeyedRadio;
use Rundfunk\Plan\Address;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;
use Rundfunk\Plan\ThingKind;

/** The number that each of our own transmitters signs with: twenty bits, nobody's factory setting, far from each other. */
final readonly class SenderStep implements Step
{
    public function stage(): Stage
    {
        return Stage::Address;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        $taken = [];
        foreach ($plan->linksOver(KeyedRadio::KEY) as $link) {
            foreach ($plan->endpointsOn($link) as $endpoint) {
                $number = KeyedCodes::senderNumber($plan, $endpoint);
                if ($number !== null) {
                    $taken[$number] = true;
                }
            }
        }
        foreach ($plan->linksOver(KeyedRadio::KEY) as $link) {
            foreach ($plan->endpointsOn($link) as $endpoint) {
                $node = $plan->node($endpoint->nodeId);
                if ($node->kind->isBought() || ! $endpoint->role->sends() || KeyedCodes::senderNumber($plan, $endpoint) !== null) {
                    continue;
                }
                $number = self::free($endpoint->id, $taken);
                $taken[$number] = true;
                $value = sprintf('%05X', $number);
                $address = $plan->addressesOf($endpoint)[0] ?? null;
                yield new Proposal(
                    $this->stage(),
                    Spot::of($endpoint, "{$node->name} on {$link->name}", 'address'),
                    "Sender number of {$node->name} on {$link->name}",
                    $address?->value,
                    $value,
                    'Made from the plan itself, so that it is unlikely to be a neighbour\'s, and far from your others.',
                    [$address === null
                        ? Operation::add(new Address($plan->newId('address', $endpoint->id, '0'), $endpoint->id, 0, $value))
                        : Operation::change(ThingKind::Address, $address->id, ['value' => $value])],
                );
            }
        }
    }

    /** @param  array<int, true>  $taken */
    private static function free(string $seed, array $taken): int
    {
        for ($try = 0; ; $try++) {
            $number = (int) hexdec(substr(hash('sha256', "{$seed} {$try}"), 0, 5));
            $far = array_filter(array_keys($taken), static fn (int $other): bool => substr_count(decbin($other ^ $number), '1') < 3) === [];
            if ($far && ! KeyedCode::of($number << 4)->isFactorySet()) {
                return $number;
            }
        }
    }
}
