<?php

declare(strict_types=1);

namespace Tests\Core\Medium\PacketRadio;

use Rundfunk\Behaviour\EndNumber;
use Rundfunk\Build\CHeader;
use Rundfunk\Demo\Sketch;
use Rundfunk\Medium\PacketRadio\PacketPanel;
use Rundfunk\Medium\PacketRadio\PacketStops;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Role;
use Tests\Core\CoreTestCase;

/** Who listens on what, and which address reaches whom. */
final class PacketPipesTest extends CoreTestCase
{
    private static function star(int $senders, bool $senderId): Sketch
    {
        $sketch = self::pair()
            ->link('l', 'Air', 'packet-radio', ['senderId' => $senderId])
            ->join('l', 'board', Role::Receives, 'board-radio')
            ->output('o', 'board', 'Lamp', OutputKind::Relay, 'board-relays', 'IN1');
        for ($sender = 1; $sender <= $senders; $sender++) {
            $sketch->node("s{$sender}", "Sender {$sender}", NodeKind::Handset, null, '8bit-5v-20io')
                ->module("s{$sender}-radio", "s{$sender}", 'packet-radio-plain', 'Radio')
                ->module("s{$sender}-key", "s{$sender}", 'button-pad-1', 'Key')
                ->join('l', "s{$sender}", Role::Sends, "s{$sender}-radio")
                ->control("k{$sender}", "s{$sender}", 'Key')
                ->route("k{$sender}", Action::On, 'o');
        }

        return $sketch;
    }

    public function test_with_sender_numbers_all_share_one_address(): void
    {
        $plan = self::star(9, true)->assigned();
        self::assertCount(1, $plan->addresses());
        self::assertSame(1, $plan->addresses()[0]->pipe);
    }

    public function test_without_them_each_sender_has_a_pipe_and_pipe_nought_comes_last(): void
    {
        $sketch = self::star(6, false);
        $plan = $sketch->assigned();
        $medium = new PacketStops;
        $pipes = [];
        foreach ($plan->hops() as $hop) {
            $pipes[$plan->node($plan->endpoint($hop->fromId)->nodeId)->name] = $medium->addressFor($plan, $hop)?->pipe;
        }
        ksort($pipes);
        self::assertSame([
            'Sender 1' => 1,
            'Sender 2' => 2,
            'Sender 3' => 3,
            'Sender 4' => 4,
            'Sender 5' => 5,
            'Sender 6' => 0,
        ], $pipes);
    }

    public function test_a_seventh_sender_has_no_address_to_send_to(): void
    {
        $plan = self::star(7, false)->assigned();
        $medium = new PacketStops;
        $without = array_filter($plan->hops(), static fn (Hop $hop): bool => $medium->addressFor($plan, $hop) === null);
        self::assertCount(1, $without);
        self::assertCount(1, self::found($plan, 'packet-too-many-senders'));
    }

    public function test_senders_sign_with_numbers_of_their_own(): void
    {
        $plan = self::star(5, true)->assigned();
        $numbers = array_map(static fn (Endpoint $end): int => EndNumber::of($plan, $end), $plan->endpoints());
        self::assertCount(count($numbers), array_unique($numbers));
        self::assertNotContains(0, $numbers);
    }

    public function test_the_panel_shows_the_same_addresses_that_the_headers_carry(): void
    {
        $plan = self::linden();
        $header = new CHeader(self::knowledge());
        foreach ($plan->linksOver('packet-radio') as $link) {
            foreach ((new PacketPanel)->panel($plan, $link, self::knowledge())->ends as $end) {
                $node = $plan->node($plan->endpoint($end->endpointId)->nodeId);
                foreach ($end->sendsTo as $target) {
                    self::assertStringContainsString("{$target->node} listens on {$target->address}", $header->write($plan, $node));
                }
            }
        }
    }

    public function test_the_panels_exchange_is_the_sum_of_its_parts(): void
    {
        $plan = self::linden();
        $exchange = (new PacketPanel)->panel($plan, $plan->links()[0], self::knowledge())->exchange;
        // turn 130 + frame 548 + turn 130 + acknowledge 292 µs
        self::assertSame([130.0, 548.0, 130.0, 292.0], array_column($exchange->parts, 'us'));
        self::assertSame(1100.0, $exchange->totalUs);
    }
}
