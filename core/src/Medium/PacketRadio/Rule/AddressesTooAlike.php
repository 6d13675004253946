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
        // The letter keeps an address of digits alone from becoming a number.
        $byHex = [];
        foreach (self::addresses($plan) as $one) {
            $byHex['x'.$one['parsed']->hex] ??= $one;
        }
        foreach ($byHex as $one) {
            foreach (self::neighbours($one['parsed']->hex) as $near) {
                $other = $byHex['x'.$near] ?? null;
                if ($other === null || strcmp($one['parsed']->hex, $near) > 0) {
                    continue;
                }
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

    /** @return iterable<string> every address one bit away: looking these up is quicker than comparing every pair */
    private static function neighbours(string $hex): iterable
    {
        for ($digit = 0; $digit < strlen($hex); $digit++) {
            foreach ([1, 2, 4, 8] as $bit) {
                yield substr_replace($hex, strtoupper(dechex((int) hexdec($hex[$digit]) ^ $bit)), $digit, 1);
            }
        }
    }
}
