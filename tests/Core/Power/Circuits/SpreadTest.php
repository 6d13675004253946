<?php

declare(strict_types=1);

namespace Tests\Core\Power\Circuits;

use Random\Engine\Mt19937;
use Random\Randomizer;
use Rundfunk\Assign\Proposal;
use Rundfunk\Plan\FeedsAt;
use Rundfunk\Plan\Load;
use Rundfunk\Plan\LoadKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Power\Circuits\Balance;
use Tests\Core\CoreTestCase;

/** Assign on a string of lights over a long fence: 24 channels, three banks, two circuits. */
final class SpreadTest extends CoreTestCase
{
    public function test_it_spreads_24_channels_over_three_banks_and_two_circuits_as_evenly_as_can_be(): void
    {
        $watts = self::watts();
        $plan = self::assigner()->assign(self::fence($watts, []))->plan;
        $banks = $circuits = [];
        foreach ($plan->loads() as $load) {
            $output = $plan->output((string) $load->outputId);
            $banks[(string) $output->moduleId] = ($banks[(string) $output->moduleId] ?? 0) + (int) $load->watts;
            $circuits[(string) $load->circuitId] = ($circuits[(string) $load->circuitId] ?? 0) + (int) $load->watts;
        }
        self::assertCount(3, $banks);
        // BalanceTest holds these to minizinc's optimum.
        self::assertEqualsWithDelta(Balance::of($watts, [1, 1, 1], null, [8, 8, 8])['share'] ?? 0.0, max($banks), 1e-6);
        self::assertEqualsWithDelta(Balance::of($watts, [1, 1])['share'] ?? 0.0, max($circuits), 3.0);
        self::assertSame([], self::found($plan, 'circuit-overloaded'));
        self::assertSame([], self::assigner()->assign($plan)->proposals);
    }

    public function test_what_is_kept_stays(): void
    {
        $plan = self::fence(self::watts(), ['pinned' => true]);
        $assigned = self::assigner()->assign($plan)->plan;
        self::assertSame(self::circuitsOf($plan), self::circuitsOf($assigned));
        self::assertCount(1, self::found($assigned, 'circuit-overloaded'));
    }

    public function test_what_one_contact_switches_goes_together(): void
    {
        $sketch = self::sketch()
            ->circuit('left', 'Left', ['fuseA' => 4.0, 'timeLag' => true])->circuit('right', 'Right', ['fuseA' => 4.0, 'timeLag' => true])
            ->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->supply('plug', 'n', 'plug-5v-3a', 'Plug', null, FeedsAt::FiveVolt)->module('m', 'n', 'relay-bank-2-high', 'Bank', 'plug')
            ->output('one', 'n', 'One')->output('two', 'n', 'Two');
        foreach (['a' => 'one', 'b' => 'one', 'c' => 'two'] as $key => $output) {
            $sketch->load($key, $key, $output, 'left', LoadKind::Resistive, 300.0);
        }
        $assigned = self::assigner()->assign($sketch->plan());
        // By hand: 900 W by 230 V are 98 % of 4 A; two of three are 65 %.
        $moved = array_values(array_filter($assigned->proposals, static fn (Proposal $one): bool => str_starts_with($one->what, 'Circuit of ')));
        self::assertSame([['Left', 'Right', 'The fullest circuit has 65.2 % of its fuse then, and 97.8 % now.']], array_map(static fn (Proposal $one): array => [$one->before, $one->after, $one->reason], $moved));
        $plan = $assigned->plan;
        $of = array_column($plan->loads(), 'circuitId', 'name');
        self::assertSame($of['a'], $of['b']);
        self::assertNotSame($of['a'], $of['c']);
    }

    /** @return list<int> */
    private static function watts(): array
    {
        $random = new Randomizer(new Mt19937(24));

        return array_map(static fn (): int => $random->getInt(20, 120), range(1, 24));
    }

    /** @return array<string, string|null> */
    private static function circuitsOf(Plan $plan): array
    {
        return array_column(array_map(static fn (Load $load): array => ['id' => $load->id, 'circuit' => $load->circuitId], $plan->loads()), 'circuit', 'id');
    }

    /**
     * @param  list<int>  $watts
     * @param  array<string, mixed>  $more
     */
    private static function fence(array $watts, array $more): Plan
    {
        $sketch = self::sketch()
            ->circuit('left', 'Left', ['fuseA' => 6.0, 'timeLag' => true])->circuit('right', 'Right', ['fuseA' => 6.0, 'timeLag' => true])
            ->node('n', 'N', NodeKind::Controller, null, '8bit-5v-70io')->supply('plug', 'n', 'plug-5v-3a', 'Plug', null, FeedsAt::FiveVolt)->supply('coils', 'n', 'plug-5v-3a', 'Coils');
        foreach ([1, 2, 3] as $bank) {
            $sketch->module("m{$bank}", 'n', 'relay-bank-8-high', "Bank {$bank}", 'coils');
        }
        foreach ($watts as $index => $one) {
            $sketch->output("o{$index}", 'n', "Channel {$index}")->load("l{$index}", "String {$index}", "o{$index}", 'left', LoadKind::Resistive, (float) $one, ['fuseA' => 1.25, ...$more]);
        }

        return $sketch->plan();
    }
}
