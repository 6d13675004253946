<?php

declare(strict_types=1);

namespace Tests\Core\Assign;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Assign\Proposal;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Severity;
use Rundfunk\Demo\FaultyOnPurpose;
use Rundfunk\Edit\Editor;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Address;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\PinUse;
use Rundfunk\Plan\Role;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Routes\RouteNames;
use Tests\Core\CoreTestCase;
use Tests\Core\RandomEdits;

final class AssignerTest extends CoreTestCase
{
    public function test_linden_hollow_has_no_finding_above_advice_and_nothing_left_to_assign(): void
    {
        $grave = array_filter(self::checker()->check(self::linden())->all(), static fn (Finding $finding): bool => $finding->severity !== Severity::Advice);
        self::assertSame([], array_map(static fn (Finding $finding): string => $finding->title, $grave));
        self::assertSame([], self::assigner()->assign(self::linden())->proposals);
    }

    public function test_assigning_twice_changes_nothing_more(): void
    {
        $once = self::assigner()->assign(self::faulty());
        self::assertNotSame([], $once->proposals);
        self::assertSame([], array_map(static fn (Proposal $proposal): string => $proposal->what, self::assigner()->assign($once->plan)->proposals));
    }

    public function test_the_same_plan_gets_the_same_proposals(): void
    {
        self::assertEquals(self::assigner()->assign(self::faulty()), self::assigner()->assign(FaultyOnPurpose::plan(self::assigner())));
    }

    public function test_every_proposal_has_a_reason_and_an_id_of_its_own(): void
    {
        $ids = [];
        foreach (self::assigner()->assign(self::faulty())->proposals as $proposal) {
            self::assertGreaterThan(15, strlen($proposal->reason));
            self::assertNotSame($proposal->before, $proposal->after);
            $ids[] = $proposal->id();
        }
        self::assertSame($ids, array_values(array_unique($ids)));
    }

    /** Random networks of one link: what is assigned is unique and legal, and the checker has nothing grave to say. */
    public function test_what_is_assigned_the_checker_accepts(): void
    {
        mt_srand(3);
        for ($round = 0; $round < 25; $round++) {
            $sketch = self::sketch('eu', array_values(array_filter([1, 6, 11], static fn (): bool => mt_rand(0, 1) === 1)))
                ->link('l', 'Air', 'packet-radio', ['rateKbps' => [250, 1000, 2000][mt_rand(0, 2)], 'addressBytes' => mt_rand(3, 5), 'senderId' => mt_rand(0, 1) === 1]);
            $boards = array_keys(self::knowledge()->catalogue->boards);
            $receivers = mt_rand(1, 6);
            for ($number = 1; $number <= $receivers; $number++) {
                $sketch->node("r{$number}", "R{$number}", NodeKind::Controller, null, $boards[mt_rand(0, 5)])
                    ->module("r{$number}-radio", "r{$number}", 'packet-radio-plain', 'Radio')->module("r{$number}-bank", "r{$number}", 'relay-bank-2-low', 'Relays')
                    ->join('l', "r{$number}", Role::Receives)->output("o{$number}", "r{$number}", 'Lamp');
            }
            $senders = mt_rand(1, 4);
            for ($number = 1; $number <= $senders; $number++) {
                $sketch->node("s{$number}", "S{$number}", NodeKind::Handset, null, $boards[mt_rand(0, 5)])
                    ->module("s{$number}-radio", "s{$number}", 'packet-radio-plain', 'Radio')->module("s{$number}-pad", "s{$number}", 'button-pad-4', 'Keys')
                    ->join('l', "s{$number}", Role::Sends)->control("k{$number}", "s{$number}", 'Key');
                for ($receiver = 1; $receiver <= $receivers; $receiver++) {
                    $sketch->route("k{$number}", Action::Toggle, "o{$receiver}");
                }
            }
            $grave = array_filter(self::checker()->check($sketch->assigned())->all(), static fn (Finding $finding): bool => $finding->severity !== Severity::Advice);
            self::assertSame([], array_map(static fn (Finding $finding): string => $finding->title, array_values($grave)), "round {$round}");
        }
    }

    public function test_pinned_values_stay(): void
    {
        $sketch = self::pair()->link('l', 'Air', 'packet-radio', ['channel' => 5], ['channel'])
            ->join('l', 'hand', Role::Sends, 'hand-radio')->join('l', 'board', Role::Receives, 'board-radio')
            ->address('l', 'board', 1, 'AAAAAAAAAA', true)
            ->control('k', 'hand', 'Key')->output('o', 'board', 'Lamp')->output('p', 'board', 'Fan')
            ->route('k', Action::On, 'o')->hop('k o on', 'l', 'hand', 'board', 0x13, true)
            ->route('k', Action::On, 'p')->hop('k p on', 'l', 'hand', 'board', 0x13)
            ->wire('board-relays', 'IN1', 'D1', true);
        $plan = $sketch->assigned();
        self::assertSame(5, $plan->links()[0]->settings['channel']);
        self::assertSame('AAAAAAAAAA', $plan->addresses()[0]->value);
        $codes = array_map(static fn (Hop $hop): ?int => $hop->code, $plan->hops());
        sort($codes);
        self::assertSame([0x01, 0x13], $codes);
        self::assertContains('D1', array_map(static fn (PinUse $use): string => $use->pin, $plan->pinUses()));
    }

    public function test_only_what_cannot_stay_is_changed(): void
    {
        $plan = self::linden();
        $link = $plan->links()[0];
        $spoiled = (new Editor(self::knowledge()))->apply($plan, [Operation::change(ThingKind::Link, $link->id, ['settings' => ['channel' => 6]])])->plan;
        $proposals = self::assigner()->assign($spoiled)->proposals;
        self::assertSame(['Channel of Handsets'], array_map(static fn (Proposal $proposal): string => $proposal->what, $proposals));
        self::assertSame('6', $proposals[0]->before);
    }

    public function test_a_message_to_another_link_goes_through_the_gateway(): void
    {
        $plan = self::linden();
        $hops = [];
        foreach ($plan->routes() as $route) {
            if (RouteNames::of($plan, $route) === 'Pocket A · Key 3 → Hen house · Hen lamp') {
                $hops = array_map(static fn (Hop $hop): string => $plan->link($hop->linkId)->name, $plan->hopsOf($route));
            }
        }
        self::assertSame(['Handsets', 'Yard'], $hops);
    }

    public function test_without_sender_numbers_each_sender_has_a_pipe_of_its_own_with_the_common_prefix(): void
    {
        $plan = self::assigner()->assign(self::faulty())->plan;
        foreach ($plan->endpoints() as $endpoint) {
            $addresses = $plan->addressesOf($endpoint);
            if (count($addresses) < 6) {
                continue;
            }
            $prefixes = array_unique(array_map(static fn (Address $address): string => substr((string) $address->value, 0, -2), $addresses));
            self::assertCount(1, $prefixes);
            self::assertSame([0, 1, 2, 3, 4, 5], array_map(static fn (Address $address): int => $address->pipe, $addresses));

            return;
        }
        self::fail('no receiver with six pipes');
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        foreach ([7, 21, 63, 70] as $seed) {
            yield "seed {$seed}" => [$seed];
        }
    }

    /** Whatever was done to a plan before: what Assign gave may have been moved, pinned to odd values or half removed. */
    #[DataProvider('seeds')]
    public function test_a_plan_in_any_state_can_be_assigned_once_and_for_all(int $seed): void
    {
        $assigner = self::assigner();
        foreach ([self::linden(), self::faulty(), self::farms()] as $plan) {
            $edits = new RandomEdits($seed, self::knowledge());
            for ($edit = 0; $edit < 60; $edit++) {
                $plan = $edits->next($plan)->plan ?? $plan;
            }
            $assignment = $assigner->assign($plan);
            self::assertNotSame([], $assignment->proposals);
            self::assertSame([], $assigner->assign($assignment->plan)->proposals);
        }
    }
}
