<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Infrared;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Medium\Infrared\Capture\CaptureSession;
use Rundfunk\Medium\Infrared\Capture\Press;
use Rundfunk\Medium\Infrared\IrCodes;
use Rundfunk\Medium\Infrared\IrCommand;
use Rundfunk\Medium\Infrared\Protocols;
use Rundfunk\Medium\Infrared\PulseFormat;
use Rundfunk\Medium\Infrared\Twins;
use Rundfunk\Plan\KeyCode;
use Rundfunk\Signal\CaptureRefused;
use Rundfunk\Signal\CaptureText;
use Rundfunk\Signal\Signal;
use Tests\Core\CoreTestCase;

final class CaptureTest extends CoreTestCase
{
    /** @param  list<string>  $frames texts of marks and spaces, a pause of so many microseconds between them */
    private static function session(array $frames, int $pauseUs = 40_000): CaptureSession
    {
        return CaptureSession::of(CaptureText::read(implode("space {$pauseUs}\n", $frames)), Protocols::standard());
    }

    private static function frame(string $protocol, int $address, int $command, ?bool $toggle = null): string
    {
        return CaptureText::write(Protocols::standard()->named($protocol)->encode(new IrCommand($protocol, $address, $command, $toggle)));
    }

    public function test_a_held_key_is_one_press_however_often_its_frame_comes(): void
    {
        $repeat = "pulse 9000\nspace 2250\npulse 560\n";
        $session = self::session([self::frame('nec', 4, 8), $repeat, $repeat]);
        self::assertCount(1, $session->presses);
        self::assertSame(3, $session->presses[0]->sends);
        $session = self::session([self::frame('sirc12', 1, 21), self::frame('sirc12', 1, 21), self::frame('sirc12', 1, 21)], 20_000);
        self::assertSame([3], array_map(static fn (Press $press): int => $press->sends, $session->presses));
    }

    public function test_a_held_key_of_twenty_bits_is_one_press_though_its_pauses_are_short(): void
    {
        $sirc = Protocols::standard()->named('sirc20');
        // Every number of ones from none to twenty: with fifteen or more the pause is shorter than ten milliseconds.
        foreach ([[0, 0], [0x1FFF, 0x7F], [0x1FFF, 0x3F], [0x0FFF, 0x1F], [0x1ABC, 0x15]] as [$address, $command]) {
            $signal = $sirc->encode(new IrCommand('sirc20', $address, $command));
            $text = '';
            for ($send = 0; $send < 5; $send++) {
                $text .= CaptureText::write(new Signal($signal->lengthsNs)).'space '.intdiv($sirc->periodNs() - $signal->durationNs(), 1_000)."\n";
            }
            $presses = CaptureSession::of(CaptureText::read($text), Protocols::standard())->presses;
            self::assertCount(1, $presses, "{$address} {$command}");
            self::assertSame([$address, $command, 5], [$presses[0]->command?->address, $presses[0]->command?->command, $presses[0]->sends]);
        }
    }

    public function test_the_toggle_bit_parts_two_presses_of_one_key(): void
    {
        $session = self::session([self::frame('rc5', 5, 53, false), self::frame('rc5', 5, 53, false), self::frame('rc5', 5, 53, true)], 89_000);
        self::assertSame([2, 1], array_map(static fn (Press $press): int => $press->sends, $session->presses));
        $rows = $session->rows([], Protocols::standard());
        self::assertSame([null, 1], array_column($rows, 'sameAs'));
        self::assertSame([false, true], array_column($rows, 'toggle'));
    }

    public function test_presses_are_named_by_what_the_remote_knows(): void
    {
        $code = new KeyCode('01ARZ3NDEKTSV4RRFFQ69G5FAV', '01ARZ3NDEKTSV4RRFFQ69G5FAW', 'Power', 'nec', 4, 8);
        $rows = self::session([self::frame('nec', 4, 8), self::frame('nec', 4, 9)], 500_000)->rows([$code], Protocols::standard());
        self::assertSame(['Power', null], array_column($rows, 'known'));
        self::assertSame(['protocol' => 'nec', 'address' => 4, 'command' => 9, 'carrierHz' => 38000, 'timings' => '', 'format' => null], $rows[1]['code']);
    }

    public function test_an_unknown_pulse_distance_remote_is_described_and_its_keys_are_told_apart(): void
    {
        $format = PulseFormat::tryParse('lead=4500/4500 zero=600/500 one=600/1600 stop=600 bits=32 order=msb carrier=38000 gap=40000');
        self::assertNotNull($format);
        $frames = array_map(static fn (int $value): string => CaptureText::write($format->encode($value)), [0xE0E040BF, 0xE0E0807F, 0xE0E040BF]);
        $rows = self::session($frames, 500_000)->rows([], Protocols::standard());
        self::assertSame(['32 bits 0xE0E040BF MSB first', '32 bits 0xE0E0807F MSB first', '32 bits 0xE0E040BF MSB first'], array_column($rows, 'says'));
        self::assertSame([null, null, 1], array_column($rows, 'sameAs'));
    }

    public function test_bits_of_no_known_order_can_be_read_from_either_end_and_stay_the_same_key(): void
    {
        $format = self::format('lead=4500/4500 zero=600/500 one=600/1600 stop=600 bits=32 order=msb carrier=38000 gap=40000');
        // An NEC frame of address 0x04 and command 0x08 is written 0x20DF10EF by those who read the first bit as the
        // highest, and 0xF708FB04 (~command, command, ~address, address) by those who read it as the lowest. Common practice.
        self::assertSame(0xF708FB04, $format->turnedValue(0x20DF10EF));
        $row = self::session([CaptureText::write($format->encode(0x20DF10EF))], 500_000)->rows([], Protocols::standard())[0];
        self::assertIsArray($row['turned']);
        self::assertSame('32 bits 0xF708FB04 LSB first', $row['turned']['says']);
        $lowFirst = self::learned($row['turned']['code']);
        $highFirst = self::learned($row['code']);
        $protocols = Protocols::standard();
        self::assertSame($highFirst->format === null ? null : str_replace('msb', 'lsb', $highFirst->format), $lowFirst->format);
        self::assertSame(IrCodes::signal($highFirst, $protocols)?->lengthsNs, IrCodes::signal($lowFirst, $protocols)?->lengthsNs);
        self::assertTrue(IrCodes::same($highFirst, $lowFirst, $protocols));
        self::assertSame('Power', self::session([CaptureText::write($format->encode(0x20DF10EF))], 500_000)->rows([$lowFirst], $protocols)[0]['known']);
    }

    public function test_where_a_protocol_says_the_order_there_is_nothing_to_turn(): void
    {
        self::assertSame([null, null], array_column(self::session([self::frame('nec', 4, 8), self::frame('rc5', 4, 8)], 500_000)->rows([], Protocols::standard()), 'turned'));
    }

    /** @return iterable<string, array{string, bool}> */
    public static function evenings(): iterable
    {
        $written = static fn (int $zero, int $one): string => "lead=4500/4500 zero=600/{$zero} one=600/{$one} stop=600 bits=32 order=msb carrier=38000 gap=40000";
        yield 'the same evening' => [$written(500, 1_600), true];
        yield 'another evening, measured a tenth longer' => [$written(550, 1_760), true];
        yield 'another remote with twice the length' => [$written(1_000, 3_200), false];
        yield 'fewer bits' => ['lead=4500/4500 zero=600/500 one=600/1600 stop=600 bits=31 order=msb carrier=38000 gap=40000', false];
    }

    #[DataProvider('evenings')]
    public function test_two_captures_of_one_key_are_one_key(string $other, bool $same): void
    {
        $one = self::learned(['protocol' => 'pulse-distance', 'command' => 0x20DF10EE, 'format' => 'lead=4500/4500 zero=600/500 one=600/1600 stop=600 bits=32 order=msb carrier=38000 gap=40000']);
        $two = self::learned(['protocol' => 'pulse-distance', 'command' => 0x20DF10EE, 'format' => $other]);
        self::assertSame($same, IrCodes::same($one, $two, Protocols::standard()));
        self::assertCount((int) $same, Twins::among([$one, $two], Protocols::standard()));
    }

    private static function format(string $text): PulseFormat
    {
        $format = PulseFormat::tryParse($text);
        self::assertNotNull($format);

        return $format;
    }

    /** @param  array<string, int|string|null>  $code */
    private static function learned(array $code): KeyCode
    {
        return new KeyCode('01ARZ3NDEKTSV4RRFFQ69G5FAV', '01ARZ3NDEKTSV4RRFFQ69G5FAW', 'Power', (string) $code['protocol'], null, (int) $code['command'], format: (string) $code['format']);
    }

    public function test_what_fits_nothing_is_kept_as_timings_and_matched_by_distance(): void
    {
        $odd = "pulse 300\nspace 900\npulse 1500\nspace 400\npulse 700\nspace 2500\npulse 1100\nspace 300\npulse 2000\n";
        $again = "pulse 330\nspace 850\npulse 1450\nspace 430\npulse 740\nspace 2400\npulse 1060\nspace 330\npulse 2080\n";
        $other = "pulse 300\nspace 900\npulse 1500\nspace 400\npulse 2100\nspace 2500\npulse 1100\nspace 300\npulse 700\n";
        $rows = self::session([$odd, $again, $other], 500_000)->rows([], Protocols::standard());
        self::assertSame([null, 1, null], array_column($rows, 'sameAs'));
        self::assertSame('raw', $rows[0]['code']['protocol']);
        self::assertSame('300 900 1500 400 700 2500 1100 300 2000', $rows[0]['code']['timings']);
    }

    public function test_one_line_with_signs_reads_as_the_same(): void
    {
        $lines = CaptureText::read("# a remark\ncarrier 36000\npulse 889\nspace 1778\npulse 889\n");
        $signs = CaptureText::read('+889 -1778 +889');
        self::assertSame($lines[0]->signal->lengthsNs, $signs[0]->signal->lengthsNs);
        self::assertSame(36_000, $lines[0]->signal->carrierHz);
    }

    /** @return iterable<string, array{string, string}> */
    public static function broken(): iterable
    {
        yield 'nothing' => ['', 'no pulse'];
        yield 'only a pause' => ["space 100000\n", 'no pulse'];
        yield 'a word' => ["pulse 9000\nspice 4500\n", 'Line 2'];
        yield 'a negative length' => ["pulse -9000\n", 'Line 1'];
        yield 'hostile bytes' => ["\x00\xFF\n", 'Line 1'];
        yield 'two megabytes' => [str_repeat("pulse 1\n", 300_000), 'larger than'];
    }

    #[DataProvider('broken')]
    public function test_a_broken_capture_is_refused_with_its_line(string $text, string $message): void
    {
        $this->expectException(CaptureRefused::class);
        $this->expectExceptionMessage($message);
        CaptureText::read($text);
    }
}
