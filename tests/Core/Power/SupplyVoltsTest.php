<?php

declare(strict_types=1);

namespace Tests\Core\Power;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Demo\Sketch;
use Rundfunk\Plan\FeedsAt;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Power\SupplyTree;
use Tests\Core\CoreTestCase;

/**
 * What each supply gives, least, nominally and most, by hand from what the classes say of themselves: a lead battery 10.5 to 14.4 V of 12; a plug
 * within 5 %; what a board's regulator makes of VIN within 4 %, of a cell 0.2 V below it. Copper: 0.01724 Ω mm²/m (IEC 60028).
 */
final class SupplyVoltsTest extends CoreTestCase
{
    /** @return iterable<string, array{Closure(Sketch): Sketch, string, array{float, float, float}|null}> plan, the supply that is asked for; least, nominal and most volts */
    public static function supplies(): iterable
    {
        $on = static fn (Sketch $s, string $board = '8bit-5v-20io'): Sketch => $s->node('n', 'N', NodeKind::Controller, null, $board);
        $one = static fn (string $class, array $more = []): Closure => static fn (Sketch $s): Sketch => $on($s)->supply('s', 'n', $class, 'S', null, null, $more);
        $pin = static fn (string $pin, string $source, FeedsAt $at, string $board = '8bit-5v-20io', array $more = []): Closure => static fn (Sketch $s): Sketch => $on($s, $board)->supply('f', 'n', $source, 'Feed', null, $at, $more)->supply('s', 'n', $pin, 'Pin');

        yield 'a battery' => [$one('lead-12v'), 's', [10.5, 12.0, 14.4]];
        yield 'one of twice as many cells' => [$one('lead-12v', ['volts' => 24.0]), 's', [21.0, 24.0, 28.8]];
        yield 'one of half as many' => [$one('lead-12v', ['volts' => 6.0]), 's', [5.25, 6.0, 7.2]];
        yield 'a plug' => [$one('plug-5v-1a'), 's', [4.75, 5.0, 5.25]];
        yield 'a plug that was measured' => [$one('plug-5v-1a', ['volts' => 5.2]), 's', [4.94, 5.2, 5.46]];
        yield 'nobody knows what' => [$one('other'), 's', null];
        yield 'nobody knows what, but its volts' => [$one('other', ['volts' => 9.0]), 's', [8.55, 9.0, 9.45]];
        yield 'a line from nowhere' => [$one('line'), 's', null];
        yield 'a line from a plug' => [static fn (Sketch $s): Sketch => $on($s)->supply('p', 'n', 'plug-5v-1a', 'P')->supply('s', 'n', 'line', 'L', 'p'), 's', [4.75, 5.0, 5.25]];
        // 80 mA through 20 m of 0.5 mm², there and back: 1.3792 Ω, 0.110 V.
        yield 'a line behind a cable that loses some' => [static fn (Sketch $s): Sketch => $on($s)->supply('p', 'n', 'plug-5v-1a', 'P', null, null, ['cableM' => 20, 'cableMm2' => 0.5])->supply('s', 'n', 'line', 'L', 'p')->module('r', 'n', 'relay-bank-1-low', 'R', 's'), 's', [4.75 - 1.3792 * 0.08, 5.0, 5.25]];

        yield 'five volts at USB come out at the 5 V pin' => [$pin('board-5v', 'plug-5v-1a', FeedsAt::Usb), 's', [4.75, 5.0, 5.25]];
        yield 'and so where they go in at it' => [$pin('board-5v', 'plug-5v-3a', FeedsAt::FiveVolt), 's', [4.85, 5.0, 5.15]];
        yield 'of twelve at VIN the regulator makes five' => [$pin('board-5v', 'plug-12v-2a', FeedsAt::Vin), 's', [4.8, 5.0, 5.2]];
        yield 'and 3.3 from that' => [$pin('board-3v3', 'plug-12v-2a', FeedsAt::Vin), 's', [3.168, 3.3, 3.432]];
        yield '3.3 from USB' => [$pin('board-3v3', 'plug-5v-1a', FeedsAt::Usb), 's', [3.135, 3.3, 3.465]];
        yield 'a board fed at 3.3 V gives no five' => [$pin('board-5v', 'low-drop-3v3', FeedsAt::ThreeVolt, '32bit-3v3-26io'), 's', [0.0, 0.0, 0.0]];
        yield 'a board fed from a cell gives no five' => [$pin('board-5v', 'li-ion-cell', FeedsAt::Cell, 'wifi-3v3-13io'), 's', [0.0, 0.0, 0.0]];
        yield 'of a cell that is empty 2.8 V are left' => [$pin('board-3v3', 'li-ion-cell', FeedsAt::Cell, 'wifi-3v3-13io'), 's', [2.8, 3.3, 3.366]];
        yield 'of one that never is, what the regulator makes' => [$pin('board-3v3', 'bench', FeedsAt::Cell, 'wifi-3v3-13io', ['volts' => 4.0]), 's', [3.234, 3.3, 3.366]];
        yield '3.3 from USB on another board' => [$pin('board-3v3', 'plug-5v-1a', FeedsAt::Usb, 'wifi-3v3-11io'), 's', [3.135, 3.3, 3.465]];
    }

    /**
     * @param  Closure(Sketch): Sketch  $draw
     * @param  array{float, float, float}|null  $expected
     */
    #[DataProvider('supplies')]
    public function test_what_a_supply_gives(Closure $draw, string $supply, ?array $expected): void
    {
        $sketch = $draw(self::sketch());
        $plan = $sketch->plan();
        $volts = (new SupplyTree($plan, self::knowledge()->catalogue))->volts($plan->supply($sketch->id($supply)));
        self::assertEqualsWithDelta($expected, $volts === null ? null : [$volts->minV, $volts->nominalV, $volts->maxV], 1e-9);
    }

    public function test_a_board_that_is_fed_twice(): void
    {
        $fed = static function (string $board, array ...$feeders): bool {
            $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, $board);
            foreach ($feeders as $number => [$class, $at]) {
                $sketch->supply("f{$number}", 'n', $class, "Feed {$number}", null, $at);
            }
            $plan = $sketch->plan();

            return (new SupplyTree($plan, self::knowledge()->catalogue))->feedsTwice($plan->nodes()[0]);
        };
        $usb = ['plug-5v-1a', FeedsAt::Usb];
        $cell = ['li-ion-cell', FeedsAt::Cell];
        self::assertFalse($fed('wifi-3v3-13io'));
        self::assertFalse($fed('wifi-3v3-13io', $usb));
        self::assertFalse($fed('wifi-3v3-13io', $usb, $cell), 'the one charges the other');
        self::assertTrue($fed('wifi-3v3-13io', $cell, $cell));
        self::assertTrue($fed('wifi-3v3-13io', $usb, ['plug-5v-3a', FeedsAt::FiveVolt]));
        self::assertTrue($fed('wifi-3v3-13io', $usb, $cell, ['plug-5v-3a', FeedsAt::FiveVolt]));
    }
}
