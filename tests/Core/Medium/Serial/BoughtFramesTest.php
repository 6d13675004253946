<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Serial;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Rundfunk\Medium\Serial\Bought\Escaped;
use Rundfunk\Medium\Serial\Bought\Figure;
use Rundfunk\Medium\Serial\Bought\Forms;
use Rundfunk\Medium\Serial\Bought\Saying;
use Rundfunk\Plan\Protocol;
use Rundfunk\Plan\ProtocolItem;
use Rundfunk\Plan\ProtocolValue;
use Rundfunk\Shape\Problems;
use Rundfunk\Shape\Values;

/** What bought devices speak, written and read. */
final class BoughtFramesTest extends TestCase
{
    /** @param  array<string, mixed>  $values */
    public static function protocol(array $values): Protocol
    {
        $problems = new Problems;
        $accepted = Protocol::shape()->accept(['id' => '01JD0000000000000000000000', 'name' => 'P', ...$values], '', $problems);
        self::assertSame([], $problems->all());

        return Protocol::from(new Values($accepted));
    }

    /** @return iterable<string, array{array<string, mixed>, string, int, int, string}> protocol, item, id, figure, bytes */
    public static function published(): iterable
    {
        $modbus = fn (array $items): array => ['parts' => [['is' => 'id'], ['is' => 'function'], ['is' => 'values'], ['is' => 'check']], 'check' => 'crc-16/modbus', 'checkLowFirst' => true, 'items' => $items];
        yield 'Modbus application protocol V1.1b3, 6.6, write single register 1 = 3; device 17, CRC by crccheck' => [
            $modbus([['name' => 'Register', 'kind' => 'does', 'code' => 6, 'sends' => [['bits' => 16, 'fixed' => '0x0001'], ['bits' => 16, 'given' => true]]]]), 'Register', 17, 3, '110600010003 9a9b',
        ];
        yield 'Modbus, 6.3, read three holding registers from 0x006B; device 17' => [
            $modbus([['name' => 'Read', 'kind' => 'answers', 'code' => 3, 'sends' => [['bits' => 16, 'fixed' => '0x6B'], ['bits' => 16, 'fixed' => '3']]]]), 'Read', 17, 0, '1103006b0003 7687',
        ];
        yield 'Modbus, 6.5, write single coil 0x00AC on; device 17' => [
            $modbus([['name' => 'Coil', 'kind' => 'does', 'code' => 5, 'sends' => [['bits' => 16, 'fixed' => '0xAC'], ['bits' => 16, 'given' => true, 'on' => '0xFF00', 'off' => '0']]]]), 'Coil', 17, 1, '110500acff00 4e8b',
        ];
        $midi = ['parts' => [['is' => 'fixed', 'bits' => 1, 'value' => 1], ['is' => 'function', 'bits' => 3], ['is' => 'id', 'bits' => 4], ['is' => 'values']], 'coding' => 'seven', 'items' => [
            ['name' => 'Note on', 'kind' => 'does', 'code' => 1, 'sends' => [['bits' => 7, 'fixed' => '60'], ['bits' => 7, 'given' => true]]],
            ['name' => 'Program', 'kind' => 'does', 'code' => 4, 'sends' => [['bits' => 7, 'given' => true]]],
        ]];
        yield 'MIDI 1.0, table 1: note on, channel 1, middle C, velocity 64' => [$midi, 'Note on', 0, 64, '903c40'];
        yield 'MIDI 1.0, table 1: program change, channel 16' => [$midi, 'Program', 15, 5, 'cf05'];
        $stuffed = static fn (string $coding): array => ['parts' => [['is' => 'values']], 'coding' => $coding, 'items' => [['name' => 'Bytes', 'kind' => 'does', 'sends' => [['bits' => 32, 'given' => true]]]]];
        yield 'RFC 1055: END and ESC within a packet' => [$stuffed('slip'), 'Bytes', 0, 0xC001DB02, 'dbdc01dbdd02c0'];
        yield 'RFC 1662, 4.2: 0x7E and 0x7D within a frame' => [$stuffed('hdlc'), 'Bytes', 0, 0x7E017D02, '7e7d5e017d5d027e'];
    }

    /** @param  array<string, mixed>  $values */
    #[DataProvider('published')]
    public function test_it_writes_what_is_published(array $values, string $item, int $id, int $wire, string $hex): void
    {
        $protocol = self::protocol($values);
        self::assertSame(str_replace(' ', '', $hex), bin2hex(Forms::of($protocol)->encode(Saying::sent(self::item($protocol, $item)), $id, $wire)));
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, int, int, string}> protocol, item, id, number, text */
    public static function texts(): iterable
    {
        $given = ['given' => true];
        yield 'word, comma, end' => [['separator' => ','], ['word' => 'MOVE', 'sends' => [['fixed' => '2'], $given]], 0, 120, 'MOVE2,120<CR>'];
        yield 'an id in front' => [['lead' => '#', 'idAs' => 'number', 'afterId' => ':', 'between' => ' '], ['word' => 'VOL', 'sends' => [$given]], 12, -5, '#12:VOL -5<CR>'];
        yield 'signs at the edge are written as they can be typed' => [['between' => '\x20', 'separator' => ',\x20'], ['word' => 'MOVE', 'sends' => [$given, ['fixed' => '9']]], 0, 4, 'MOVE 4, 9<CR>'];
        yield 'a letter for an id' => [['idAs' => 'letter', 'ending' => '\r\n'], ['word' => 'STOP'], 3, 0, 'CSTOP<CR><LF>'];
        yield 'an id of two hexadecimal digits' => [['idAs' => 'hex', 'lead' => '\x02', 'ending' => '\x03'], ['word' => '?'], 171, 0, '<STX>AB?<ETX>'];
        yield 'decimals' => [['between' => '='], ['word' => 'T', 'sends' => [['given' => true, 'decimals' => 2]]], 0, -7, 'T=-0.07<CR>'];
        yield 'words for on and off' => [['between' => ','], ['word' => 'PWR', 'sends' => [['given' => true, 'on' => 'ON', 'off' => 'STANDBY']]], 0, 0, 'PWR,STANDBY<CR>'];
    }

    /**
     * @param  array<string, mixed>  $form
     * @param  array<string, mixed>  $item
     */
    #[DataProvider('texts')]
    public function test_it_writes_words_as_manuals_print_them(array $form, array $item, int $id, int $wire, string $text): void
    {
        $protocol = self::protocol(['form' => 'words', ...$form, 'items' => [['name' => 'Item', 'kind' => 'does', ...$item]]]);
        self::assertSame($text, Escaped::shown(Forms::of($protocol)->encode(Saying::sent($protocol->items[0]), $id, $wire)));
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function protocols(): iterable
    {
        foreach (Devices::protocols() as $name => $protocol) {
            yield $name => [$protocol];
        }
    }

    /** @param  array<string, mixed>  $values */
    #[DataProvider('protocols')]
    public function test_what_is_written_is_read_and_by_nobody_else(array $values): void
    {
        $protocol = self::protocol($values);
        $form = Forms::of($protocol);
        $chance = new Randomizer(new Mt19937(5));
        foreach ($protocol->items as $item) {
            foreach ([Saying::sent($item), Saying::answer($item)] as $saying) {
                for ($round = 0; $round < 60; $round++) {
                    $wire = self::number($chance, $saying->given());
                    $id = $chance->getInt(1, min(15, $protocol->highestId()));
                    $received = Forms::received($protocol, 64);
                    // Half of something stood there before, and does not hurt.
                    $noise = $round % 2 === 0 || isset($values['coding']) || isset($values['form']) ? '' : substr($form->encode($saying, $id, $wire), 0, 2);
                    $sent = $form->encode($saying, $id, $wire);
                    self::assertLessThanOrEqual($form->mostBytes($saying), strlen($sent));
                    foreach (str_split($noise.$sent) as $byte) {
                        $received->push(ord($byte));
                    }
                    $heard = $form->decode($saying, $id, $received);
                    self::assertNotNull($heard, "{$item->name} {$wire} ".bin2hex($sent));
                    self::assertSame($saying->given() === null ? null : $wire, $heard->wire, $item->name);
                    if ($protocol->hasIds() && ! ($saying->isAnswer && $protocol->bare)) {
                        self::assertNull($form->decode($saying, $id % 15 + 1 === $id ? $id + 1 : $id % 15 + 1, $received));
                    }
                    foreach ($protocol->items as $other) {
                        if ($other !== $item) {
                            self::assertNull($form->decode(Saying::sent($other), $id, $received), "{$item->name} read as {$other->name}: ".bin2hex($sent));
                        }
                    }
                }
            }
        }
    }

    /** @param  array<string, mixed>  $values */
    #[DataProvider('protocols')]
    public function test_a_turned_bit_is_not_believed_where_there_is_a_check(array $values): void
    {
        $protocol = self::protocol($values);
        $form = Forms::of($protocol);
        $item = self::item($protocol, 'Go');
        $sent = $form->encode(Saying::sent($item), 3, 217);
        $believed = 0;
        for ($bit = 0; $bit < 8 * strlen($sent); $bit++) {
            $turned = $sent;
            $turned[intdiv($bit, 8)] = chr(ord($turned[intdiv($bit, 8)]) ^ 1 << $bit % 8);
            if (strcasecmp($turned, $sent) === 0) {
                // Check sums in words may be in either case.
                continue;
            }
            $received = Forms::received($protocol, 64);
            foreach (str_split($turned) as $byte) {
                $received->push(ord($byte));
            }
            $believed += $form->decode(Saying::sent($item), 3, $received) === null ? 0 : 1;
        }
        self::assertSame(0, $protocol->check->bytes() === 0 ? 0 : $believed);
    }

    /** @return iterable<string, array{array<string, mixed>, int, int, int}> value, figure, on the line, thousandths back */
    public static function figures(): iterable
    {
        yield 'as it is' => [[], 12, 12, 12_000];
        yield 'tenths' => [['times' => 10], -3, -30, -3_000];
        yield 'sixteenths read finely' => [['times' => 16], 2, 32, 2_000];
        yield 'a half goes away from nothing' => [['divided' => 2], 3, 2, 4_000];
        yield 'and so below it' => [['divided' => 2], -3, -2, -4_000];
        yield 'kept to what it takes' => [['lowest' => -10, 'highest' => 10], 99, 10, 10_000];
    }

    /** @param  array<string, mixed>  $value */
    #[DataProvider('figures')]
    public function test_figures_become_numbers_and_back(array $value, int $figure, int $wire, int $thousandths): void
    {
        $problems = new Problems;
        $made = ProtocolValue::from(new Values(ProtocolValue::shape()->accept($value, '', $problems)));
        self::assertSame($wire, Figure::wire($made, $figure));
        self::assertSame($thousandths, Figure::thousandths($made, $wire));
    }

    public static function item(Protocol $protocol, string $name): ProtocolItem
    {
        $item = $protocol->item($name);
        self::assertNotNull($item);

        return $item;
    }

    private static function number(Randomizer $chance, ?ProtocolValue $value): int
    {
        return match (true) {
            $value === null => 0,
            $value->isSwitch() => $chance->getInt(0, 1),
            $value->signed => $chance->getInt(-(1 << $value->bits - 1), (1 << $value->bits - 1) - 1),
            default => $chance->getInt(0, (1 << min(30, $value->bits)) - 1),
        };
    }
}
