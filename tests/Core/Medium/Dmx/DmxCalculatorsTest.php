<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Dmx;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Medium\Dmx\DipSwitches;
use Rundfunk\Medium\Dmx\DmxFrame;
use Rundfunk\Medium\Dmx\Fade;
use Rundfunk\Medium\Dmx\Multicast;
use Rundfunk\OutOfRange;
use Rundfunk\Shipped;
use Tests\Core\CoreTestCase;

/** The arithmetic of universes against what their standards print. */
final class DmxCalculatorsTest extends CoreTestCase
{
    /**
     * @param  array<string, string>  $given
     * @return array<string, mixed>
     */
    private static function calculated(string $name, array $given): array
    {
        return Shipped::calculators()->calculate($name, $given);
    }

    /** @return iterable<string, array{string, string, string, int, float}> */
    public static function refreshes(): iterable
    {
        // ANSI E1.11, table of timings: 512 slots 22.7 ms, 44 updates a second; shortest break to break 1204 µs.
        yield '512 slots' => ['512', '92', '12', 22_676, 44.099];
        yield '24 slots are the shortest there is' => ['24', '92', '12', 1_204, 830.565];
        yield 'fewer are sent no sooner' => ['1', '92', '12', 1_204, 830.565];
        yield 'a longer break' => ['512', '176', '20', 22_768, 43.921];
        yield 'none but the start code' => ['0', '2000', '12', 2_056, 486.381];
    }

    #[DataProvider('refreshes')]
    public function test_refresh(string $slots, string $break, string $mark, int $periodUs, float $hz): void
    {
        $figures = self::calculated('dmx-refresh', ['slots' => $slots, 'break_us' => $break, 'mab_us' => $mark]);
        self::assertSame([$periodUs, $hz, true], [$figures['period_us'], $figures['refresh_hz'], $figures['ok']]);
    }

    /** A packet drawn level by level, a character for 4 µs: its length is that of the formula, and what is read out of it what went in. */
    public function test_a_packet_drawn_bit_by_bit_takes_as_long_as_is_said(): void
    {
        mt_srand(13);
        foreach ([24, 25, 100, 511, 512] as $count) {
            $slots = '';
            for ($at = 0; $at < $count; $at++) {
                $slots .= chr(mt_rand(0, 255));
            }
            $wire = str_repeat('0', 23).str_repeat('1', 3);
            foreach (str_split("\0".$slots) as $byte) {
                $wire .= '0'.strrev(sprintf('%08b', ord($byte))).'11';
            }
            self::assertSame(4 * strlen($wire), (new DmxFrame($count))->periodUs(), "{$count} slots");
            self::assertSame(4 * strlen($wire), (new DmxFrame($count))->untilUs($count));
            // A receiver that knows nothing of the formula: past the break, from start bit to start bit.
            $read = '';
            for ($at = (int) strpos($wire, '1'); ($at = strpos($wire, '0', $at)) !== false; $at += 10) {
                $read .= chr((int) bindec(strrev(substr($wire, $at + 1, 8))));
                self::assertSame('11', substr($wire, $at + 9, 2));
            }
            self::assertSame("\0".$slots, $read);
        }
    }

    public function test_switches_say_every_address_that_nine_of_them_reach(): void
    {
        foreach ([false, true] as $plusOne) {
            $switches = new DipSwitches($plusOne);
            for ($address = 1; $address <= 512; $address++) {
                $set = $switches->for($address);
                if ($address === 512 && ! $plusOne) {
                    self::assertNull($set, 'Nine switches reach 511.');

                    continue;
                }
                self::assertNotNull($set);
                self::assertSame($address, $switches->address($set));
                self::assertSame($address - ($plusOne ? 1 : 0), (int) bindec(implode('', array_map(static fn (bool $on): string => $on ? '1' : '0', array_reverse($set)))));
            }
        }
        // Common practice: 37 = 32 + 4 + 1.
        $figures = self::calculated('dmx-dip', ['address' => '37']);
        self::assertSame([true, false, true, false, false, true, false, false, false], $figures['switches']);
        self::assertSame(['1, 3 and 6 on', '3 and 6 on'], [$figures['on'], $figures['on_plus_one']]);
        self::assertSame('all off', self::calculated('dmx-dip', ['address' => '1'])['on_plus_one']);
    }

    /** @return iterable<string, array{int, string}> */
    public static function universes(): iterable
    {
        // ANSI E1.31, 9.3.1: the two bytes of the number behind 239.255.
        yield 'the first' => [1, '239.255.0.1'];
        yield 'the last of a byte' => [255, '239.255.0.255'];
        yield 'the next' => [256, '239.255.1.0'];
        yield 'the last' => [63_999, '239.255.249.255'];
    }

    #[DataProvider('universes')]
    public function test_multicast(int $universe, string $address): void
    {
        self::assertSame(['address' => $address, 'port' => 5568], self::calculated('e131-multicast', ['universe' => (string) $universe]));
        self::assertSame($universe, (ip2long($address) ?: 0) - (ip2long('239.255.0.0') ?: 0), 'Multicast addresses in turn.');
        self::assertSame($address, Multicast::address($universe));
    }

    public function test_fades(): void
    {
        // Common practice: 400 ms at 44 packets a second are about 17 steps.
        self::assertSame(['steps' => 17, 'largest' => 15, 'refresh_hz' => 44.099], self::calculated('dmx-fade', ['from' => '0', 'to' => '255', 'ms' => '400', 'slots' => '512']));
        self::assertSame(1, self::calculated('dmx-fade', ['from' => '0', 'to' => '255', 'ms' => '0', 'slots' => '512'])['steps']);
        self::assertSame(0, self::calculated('dmx-fade', ['from' => '9', 'to' => '9', 'ms' => '400', 'slots' => '512'])['steps']);
        self::assertSame(10, self::calculated('dmx-fade', ['from' => '20', 'to' => '10', 'ms' => '60000', 'slots' => '512'])['steps'], 'No more than there are values.');
    }

    public function test_a_fade_goes_one_way_and_arrives(): void
    {
        mt_srand(5);
        for ($draw = 0; $draw < 400; $draw++) {
            [$from, $to, $ms] = [mt_rand(0, 65_535), mt_rand(0, 65_535), mt_rand(1, 600_000)];
            $fade = new Fade($from, $to, $ms);
            $was = $from;
            foreach ([0, 0.1, 0.25, 0.5, 0.9, 0.999, 1.0, 3.0] as $share) {
                $level = $fade->at((int) ($ms * $share));
                self::assertTrue($to < $from ? $level <= $was && $level >= $to : $level >= $was && $level <= $to);
                // Straight: no farther from the line than the halving of long times may put it.
                self::assertEqualsWithDelta($from + ($to - $from) * min(1.0, (int) ($ms * $share) / $ms), $level, 4);
                $was = $level;
            }
            self::assertSame($to, $was);
        }
    }

    /** @return iterable<string, array{string, array<string, string>, string}> */
    public static function refusals(): iterable
    {
        yield 'too many slots' => ['dmx-refresh', ['slots' => '513', 'break_us' => '92', 'mab_us' => '12'], 'slots'];
        yield 'no break' => ['dmx-refresh', ['slots' => '512', 'break_us' => '0', 'mab_us' => '12'], 'break_us'];
        yield 'address 0' => ['dmx-dip', ['address' => '0'], 'address'];
        yield 'universe 0' => ['e131-multicast', ['universe' => '0'], 'universe'];
        yield 'a universe that is kept for others' => ['e131-multicast', ['universe' => '64000'], 'universe'];
        yield 'more than a byte' => ['dmx-fade', ['from' => '0', 'to' => '256', 'ms' => '10', 'slots' => '24'], 'to'];
    }

    /** @param  array<string, string>  $given */
    #[DataProvider('refusals')]
    public function test_what_cannot_be_is_refused(string $name, array $given, string $field): void
    {
        try {
            self::calculated($name, $given);
            self::fail('It was taken.');
        } catch (OutOfRange $refused) {
            self::assertSame($field, $refused->field);
        }
    }
}
