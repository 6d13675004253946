<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\PacketRadio\PacketEars;
use Rundfunk\Medium\PacketRadio\PacketSettings;
use Rundfunk\Plan\Spot;

/** Two live addresses that differ in one bit: one flipped bit, and a message goes astray. */
#[Finds('packet-addresses-too-alike', WorkStep::Links)]
final readonly class AddressesTooAlike implements PlanRule
{
    public function check(Look $look): iterable
    {
        $byKind = [];
        foreach (PacketEars::all($look->plan) as $one) {
            // At another rate it is not heard at all.
            $byKind[10 * PacketSettings::of($one->link)->rate->value + $one->parsed->length()][(int) hexdec($one->parsed->hex)] ??= $one;
        }
        foreach ($byKind as $kind => $those) {
            foreach (self::neighbours($those, 8 * ($kind % 10)) as [$one, $other]) {
                yield Finding::advice(
                    "{$one->node->name} and {$other->node->name} differ in one address bit",
                    Spot::of($other->address, $other->where(), 'value'),
                    "{$one->parsed->spaced()} and {$other->parsed->spaced()}: a single flipped bit takes a message to the wrong node, and the check sum does not cover that.",
                    'Keep addresses at least two bits apart.',
                    $other->address->pinned ? null : Fix::change('Clear the second, for Assign to choose', $other->address, ['value' => null]),
                    numbers: ['distance' => 1],
                    about: [$one->address->id, $other->address->id],
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
