<?php

declare(strict_types=1);

namespace Tests\Core\Power;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Supply;
use Rundfunk\Power\BoardFeeding;
use Rundfunk\Power\Island;
use Tests\Core\CoreTestCase;

/**
 * What feeds a board, by hand from what the classes say of themselves: three alkaline cells give 2.7 to 4.8 V, four rechargeable ones 4 to 5.8; boards of
 * 5 V want 4.75 to 5.5 at their pin or at USB, and what stands is plugged in.
 */
final class BoardFeedingTest extends CoreTestCase
{
    /** @return iterable<string, array{NodeKind, string, list<array{string, string, string|null, int}>}> kind, board; of each supply its class, its name, where it feeds the board, its place in the list */
    public static function boards(): iterable
    {
        yield 'what stands is plugged in' => [NodeKind::Controller, '8bit-5v-20io', [['plug-5v-1a', 'Supply of N', 'usb', 50]]];
        yield 'a computer wants more' => [NodeKind::Controller, 'computer-40pin', [['plug-5v-3a', 'Supply of N', 'usb', 50]]];
        yield 'a gateway stands' => [NodeKind::Gateway, '32bit-3v3-26io', [['plug-5v-1a', 'Supply of N', 'usb', 50]]];
    }

    /** @param  list<array{string, string, string|null, int}>  $expected */
    #[DataProvider('boards')]
    public function test_a_board_gets_the_cheapest_that_bears_it(NodeKind $kind, string $board, array $expected): void
    {
        self::assertSame($expected, self::chosen($kind, $board, 'N'));
    }

    public function test_what_is_carried_gets_cells_and_a_name_that_fits(): void
    {
        $long = str_repeat('ä', 79);
        foreach (['8bit-5v-20io', '8bit-5v-70io', 'wifi-3v3-13io', '32bit-3v3-26io'] as $board) {
            $chosen = self::chosen(NodeKind::Handset, $board, $long);
            self::assertNotNull($chosen, $board);
            self::assertContains($chosen[0][0], ['alkaline-3', 'nimh-4', 'li-ion-cell', 'alkaline-4'], $board);
            self::assertSame(mb_substr("Supply of {$long}", 0, 80), $chosen[0][1]);
            self::assertSame(array_slice([50, 51], 0, count($chosen)), array_column($chosen, 3));
            foreach (array_slice($chosen, 1) as [, $name]) {
                self::assertSame(mb_substr("Regulator of {$long}", 0, 80), $name);
            }
        }
    }

    /** Cells of 2,600 mAh, of which 80 % are used and 0.7 are left of worn ones: 61 mA for a day. Boards of 30, 70, 80 and 100 mA, by way of 5 V out of 3.7 at 85 %, the third straight from it. */
    #[TestWith(['8bit-5v-20io', null])]
    #[TestWith(['8bit-5v-70io', 5_200.0])]
    #[TestWith(['wifi-3v3-13io', 5_200.0])]
    #[TestWith(['wifi-3v3-26io', 7_800.0])]
    public function test_what_is_carried_lasts_a_day(string $board, ?float $capacityMah): void
    {
        $plan = self::sketch()->node('n', 'N', NodeKind::Handset, null, $board)->plan();
        $island = Island::around($plan, $plan->nodes()[0]);
        self::assertNotNull($island);
        $choice = BoardFeeding::best($island, self::knowledge()->catalogue, $plan->nodes()[0]);
        self::assertNotNull($choice);
        self::assertSame($capacityMah, $choice->supplies[0]->capacityMah);
        self::assertSame([], self::found($choice->in($plan), 'battery-soon-empty'));
        self::assertSame($capacityMah !== null, str_contains($choice->words(self::knowledge()->catalogue), 'lithium-ion cell, protected ('.(int) $capacityMah.' mAh)'));
    }

    /** Three AA cells of 2,200 mAh are 57 mA for a day: for 150 it is a cell that there is in many sizes, not two sets of those. */
    public function test_cells_of_a_torch_are_not_put_side_by_side(): void
    {
        foreach ([['sensor-motion', 'alkaline-3', null], ['network-ethernet', 'li-ion-cell', 7_800.0]] as [$class, $source, $capacityMah]) {
            $sketch = self::sketch()->node('n', 'N', NodeKind::Handset, null, '32bit-3v3-26io')->module('m', 'n', $class, 'Part', FedFrom::Board3V3);
            $plan = $sketch->plan();
            $island = Island::around($plan, $plan->nodes()[0]);
            self::assertNotNull($island);
            $choice = BoardFeeding::best($island, self::knowledge()->catalogue, $plan->nodes()[0]);
            self::assertNotNull($choice);
            self::assertSame([$source, $capacityMah], [$choice->supplies[0]->class, $choice->supplies[0]->capacityMah], $class);
        }
    }

    public function test_nobody_feeds_what_is_no_board(): void
    {
        self::assertNull(self::chosen(NodeKind::Controller, null, 'N'));
    }

    /** @return list<array{string, string, string|null, int}>|null */
    private static function chosen(NodeKind $kind, ?string $board, string $name): ?array
    {
        $plan = self::sketch()->node('n', $name, $kind, null, $board)->plan();
        $island = Island::around($plan, $plan->nodes()[0]);
        self::assertNotNull($island);
        $choice = BoardFeeding::best($island, self::knowledge()->catalogue, $plan->nodes()[0]);
        if ($choice === null) {
            return null;
        }
        $last = $choice->supplies[count($choice->supplies) - 1];
        self::assertSame([null, ...array_column(array_slice($choice->supplies, 0, -1), 'id')], array_column($choice->supplies, 'parentId'), 'each hangs on the one before it');
        self::assertNotNull($last->feedsAt);

        return array_map(static fn (Supply $supply): array => [$supply->class, $supply->name, $supply->feedsAt?->value, $supply->order], $choice->supplies);
    }
}
