<?php

declare(strict_types=1);

namespace Tests\Core\Medium\KeyedRadio;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Check\Finding;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Demo\Sketch;
use Rundfunk\Edit\Editor;
use Rundfunk\Medium\KeyedRadio\KeyedCodes;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Tests\Core\CoreTestCase;

/** Everyone on keyed radio hears everyone: a sender signs, and needs a code for each of its commands, whoever they are for. */
final class SignedCodesTest extends CoreTestCase
{
    /** Senders with so many keys each, every key on one lamp of one of the boards in turn. */
    private static function senders(int $senders, int $keys, int $boards = 2): Sketch
    {
        $sketch = self::sketch()->link('l', 'Air', 'keyed-radio');
        for ($board = 0; $board < $boards; $board++) {
            $sketch->node("b{$board}", "Board {$board}", NodeKind::Controller, null, '8bit-5v-70io')
                ->module("b{$board}-ear", "b{$board}", 'keyed-receiver', 'Ear', FedFrom::Board5V)
                ->module("b{$board}-bank", "b{$board}", 'relay-bank-8-low', 'Relays', FedFrom::Own)
                ->join('l', "b{$board}", Role::Receives, "b{$board}-ear");
            for ($lamp = 1; $lamp <= 8; $lamp++) {
                $sketch->output("b{$board}-{$lamp}", "b{$board}", "Lamp {$lamp}", OutputKind::Relay, "b{$board}-bank", "IN{$lamp}");
            }
        }
        for ($sender = 0; $sender < $senders; $sender++) {
            $sketch->node("s{$sender}", "Sender {$sender}", NodeKind::Handset, null, '8bit-5v-70io')
                ->module("s{$sender}-tx", "s{$sender}", 'keyed-transmitter', 'Tx', FedFrom::Board5V)
                ->join('l', "s{$sender}", Role::Sends, "s{$sender}-tx");
            for ($key = 0; $key < $keys; $key++) {
                $sketch->control("s{$sender}-{$key}", "s{$sender}", "Key {$key}")
                    ->route("s{$sender}-{$key}", Action::On, 'b'.($key % $boards).'-'.(intdiv($key, $boards) % 8 + 1));
            }
        }

        return $sketch;
    }

    /** @return list<string> */
    private static function titles(Plan $plan, string ...$rules): array
    {
        return array_merge(...array_map(static fn (string $rule): array => array_map(static fn (Finding $finding): string => $finding->title, self::found($plan, $rule)), $rules));
    }

    /** @return iterable<string, array{int, int, int}> senders, keys, boards */
    public static function crowds(): iterable
    {
        yield 'one sender with all its fifteen codes' => [1, 15, 2];
        yield 'two, which together have more commands than there are codes' => [2, 15, 2];
        yield 'five round four boards' => [5, 15, 4];
    }

    #[DataProvider('crowds')]
    public function test_every_command_of_a_sender_gets_a_code_of_its_own(int $senders, int $keys, int $boards): void
    {
        $plan = self::senders($senders, $keys, $boards)->assigned();
        $sent = array_map(static fn (Hop $hop): ?int => KeyedCodes::of($plan, $hop)?->bits, $plan->hops());
        self::assertCount($senders * $keys, array_filter($sent));
        self::assertCount($senders * $keys, array_unique($sent));
        self::assertSame([], self::titles($plan, 'code-missing', 'code-shared', 'keyed-codes-collide'));
    }

    public function test_the_sixteenth_command_of_a_sender_stays_without(): void
    {
        $plan = self::senders(1, 16)->assigned();
        self::assertSame(['Sender 0 · Key 15 → Board 1 · Lamp 8 has no command code yet'], self::titles($plan, 'code-missing'));
    }

    public function test_one_code_for_two_boards_is_two_meanings_of_one_frame(): void
    {
        $sketch = self::senders(1, 2)->hop('s0-0 b0-1 on', 'l', 's0', 'b0', 5)->hop('s0-1 b1-1 on', 'l', 's0', 'b1', 5)->address('l', 's0', 0, '3C71E');
        $found = self::found($sketch->plan(), 'code-shared');
        self::assertSame(['Two commands of Sender 0 have the code 0x05'], array_map(static fn (Finding $finding): string => $finding->title, $found));
        self::assertSame([], self::titles($sketch->plan(), 'keyed-codes-collide'), 'said once');
        $fix = $found[0]->fix;
        self::assertNotNull($fix);
        self::assertSame([], self::titles((new Editor(self::knowledge()))->apply($sketch->plan(), $fix->operations)->plan, 'code-shared'));
    }

    public function test_two_senders_may_use_one_code_for_one_board(): void
    {
        $sketch = self::senders(2, 1)->hop('s0-0 b0-1 on', 'l', 's0', 'b0', 5)->hop('s1-0 b0-1 on', 'l', 's1', 'b0', 5)
            ->route('s1-0', Action::Off, 'b0-2')->hop('s1-0 b0-2 off', 'l', 's1', 'b0', 6)
            ->route('s0-0', Action::Off, 'b0-3')->hop('s0-0 b0-3 off', 'l', 's0', 'b0', 6)
            ->address('l', 's0', 0, '3C71E')->address('l', 's1', 0, '91B04');
        self::assertSame([], self::titles($sketch->plan(), 'code-shared', 'keyed-codes-collide'));
    }

    public function test_one_key_may_do_two_things_by_one_frame(): void
    {
        $sketch = self::senders(1, 1)->hop('s0-0 b0-1 on', 'l', 's0', 'b0', 5)
            ->route('s0-0', Action::Off, 'b1-1')->hop('s0-0 b1-1 off', 'l', 's0', 'b1', 5)->address('l', 's0', 0, '3C71E');
        self::assertSame([], self::titles($sketch->plan(), 'code-shared', 'keyed-codes-collide'));
    }
}
