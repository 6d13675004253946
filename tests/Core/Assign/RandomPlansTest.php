<?php

declare(strict_types=1);

namespace Tests\Core\Assign;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Assign\Proposal;
use Rundfunk\Check\Finding;
use Rundfunk\Plan\Plan;
use Tests\Core\CoreTestCase;
use Tests\Core\RandomEdits;

/** Whatever a plan has come to, Assign mends without breaking, and is done when it is done. */
final class RandomPlansTest extends CoreTestCase
{
    /** What is wrong with the very things that Assign hands out: a proposal of its own must never be found by these. */
    private const OWN = [
        'channel-shared', 'pin-used-twice', 'pin-incapable', 'strap-pin-pulled', 'select-pin-as-input', 'code-shared',
        'packet-channel-outside-band', 'packet-shared-address', 'packet-poor-address', 'packet-address-malformed', 'packet-retry-delay-too-short',
        'ip-address-shared', 'ip-address-outside', 'ip-address-handed-out', 'ip-client-shared', 'keyed-sender-unnumbered',
    ];

    /** @return iterable<string, array{int, string}> seed, plan */
    public static function walks(): iterable
    {
        $seeds = array_map(intval(...), explode(',', getenv('SEEDS') ?: '6,28'));
        foreach ($seeds as $seed) {
            foreach (['linden', 'faulty'] as $plan) {
                yield "{$plan}, seed {$seed}" => [$seed, $plan];
            }
        }
    }

    #[DataProvider('walks')]
    public function test_assign_adds_no_fault_of_its_own_kind_and_has_nothing_more_to_say(int $seed, string $name): void
    {
        $plan = $name === 'linden' ? self::linden() : self::faulty();
        $edits = new RandomEdits($seed, self::knowledge(), true);
        $assigner = self::assigner();
        for ($done = 1; $done <= 30;) {
            $edited = $edits->next($plan);
            if ($edited === null) {
                continue;
            }
            $plan = $edited->plan;
            if ($done++ % 5 !== 0) {
                continue;
            }
            $assigned = $assigner->assign($plan)->plan;
            self::assertSame([], array_diff(self::ownFaults($assigned), self::ownFaults($plan)), "new faults after edit {$done}");
            self::assertSame([], array_map(static fn (Proposal $proposal): string => "{$proposal->what}: {$proposal->before} → {$proposal->after}", $assigner->assign($assigned)->proposals), "said again after edit {$done}");
        }
    }

    /** @return list<string> */
    private static function ownFaults(Plan $plan): array
    {
        $found = array_filter(self::checker()->check($plan)->all(), static fn (Finding $finding): bool => in_array($finding->rule(), self::OWN, true));

        return array_values(array_map(static fn (Finding $finding): string => "{$finding->rule()} at {$finding->at->id}", $found));
    }
}
