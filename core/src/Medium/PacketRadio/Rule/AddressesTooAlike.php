<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Edit\Operation;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Address;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

/** Two live addresses that differ in one bit: one flipped bit, and a message goes astray. */
final readonly class AddressesTooAlike extends PacketRule
{
    public function key(): string
    {
        return 'packet-addresses-too-alike';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        $byBytes = [];
        foreach (self::addresses($plan) as $one) {
            $byBytes[$one['parsed']->length()][(int) hexdec($one['parsed']->hex)] ??= $one;
        }
        foreach ($byBytes as $bytes => $those) {
            foreach (self::neighbours($those, 8 * $bytes) as [$one, $other]) {
                yield new Finding(
                    $this->key(),
                    Severity::Advice,
                    "{$one['node']->name} and {$other['node']->name} differ in one address bit",
                    Subject::of($other['address'], "{$other['node']->name} on {$other['link']->name}, pipe {$other['address']->pipe}", 'value'),
                    ['distance' => 1],
                    "{$one['parsed']->spaced()} and {$other['parsed']->spaced()}: a single flipped bit takes a message to the wrong node, and the check sum does not cover that.",
                    'Keep addresses at least two bits apart.',
                    $other['address']->pinned ? null : new Fix('Clear the second, for Assign to choose', Operation::change(ThingKind::Address, $other['address']->id, ['value' => null])),
                    [$one['address']->id, $other['address']->id],
                );
            }
        }
    }

    /**
     * Looking up what is one bit away is quicker than comparing every pair.
     *
     * @template T
     *
     * @param  array<int, T>  $those  by address
     * @return iterable<array{T, T}> each pair once, the lower address first
     */
    private static function neighbours(array $those, int $bits): iterable
    {
        foreach ($those as $value => $one) {
            for ($bit = 1; $bit < 1 << $bits; $bit <<= 1) {
                if (($value & $bit) === 0 && isset($those[$value | $bit])) {
                    yield [$one, $those[$value | $bit]];
                }
            }
        }
    }
}
