<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Serial;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Calculator\BadInput;
use Rundfunk\Electrical\UartDivider;
use Rundfunk\Frame\Checksum;
use Rundfunk\Medium\Serial\CChecksum;
use Rundfunk\Medium\Serial\SerialFrame;
use Rundfunk\Medium\Serial\SerialSettings;
use Rundfunk\Medium\Serial\Topology;
use Rundfunk\OutOfRange;
use Rundfunk\Shipped;
use Symfony\Component\Process\Process;
use Tests\Core\CoreTestCase;

/** The figures of serial lines against published ones and against programs of others. */
final class SerialCalculatorsTest extends CoreTestCase
{
    /**
     * @param  array<string, string>  $given
     * @return array<string, mixed>
     */
    private static function calculate(string $name, array $given): array
    {
        return Shipped::calculators()->calculate($name, $given);
    }

    /** @return iterable<string, array{string, array<string, string>, array<string, mixed>}> */
    public static function published(): iterable
    {
        // Check values of the catalogue of parametrised CRC algorithms, over "123456789".
        foreach (['crc-8' => 'F4', 'crc-8/maxim-dow' => 'A1', 'crc-16/arc' => 'BB3D', 'crc-16/modbus' => '4B37', 'crc-16/usb' => 'B4C8', 'crc-16/xmodem' => '31C3', 'crc-16/ccitt-false' => '29B1', 'crc-16/kermit' => '2189', 'crc-16/x-25' => '906E', 'crc-16/dnp' => 'EA82', 'crc-32' => 'CBF43926'] as $algorithm => $crc) {
            yield $algorithm => ['crc', ['algorithm' => $algorithm, 'hex' => '31 32 33 34 35 36 37 38 39'], ['crc' => $crc]];
        }
        // A request to a drive of id 1, as the handbook of that protocol sends it: 01 03 00 00 00 0A C5 CD.
        yield 'a request as it goes over the wire' => ['crc', ['algorithm' => 'MODBUS', 'hex' => '01030000000a'], ['crc' => 'CDC5', 'on_the_wire' => 'C5 CD']];
        yield 'a sum' => ['crc', ['algorithm' => 'sum-8', 'hex' => 'FF 02'], ['crc' => '01']];
        yield 'exclusive or' => ['crc', ['algorithm' => 'xor', 'hex' => '0xFF 0x0F'], ['crc' => 'F0']];
        yield 'nothing' => ['crc', ['algorithm' => 'crc-16/modbus', 'hex' => ''], ['crc' => 'FFFF']];
        // Data sheet of 8-bit boards, from memory: tables of rates.
        foreach ([['16000000', '9600', 104, 0.16, 208, 0.16], ['16000000', '57600', 17, 2.12, 35, -0.79], ['16000000', '115200', 9, -3.55, 17, 2.12], ['8000000', '38400', 13, 0.16, 26, 0.16], ['8000000', '57600', 9, -3.55, 17, 2.12], ['8000000', '115200', 4, 8.51, 9, -3.55]] as [$clock, $baud, $normal, $normalError, $double, $doubleError]) {
            yield "{$baud} of {$clock}" => ['uart-divider', ['clock_hz' => $clock, 'baud' => $baud], ['normal_divisor' => $normal, 'normal_error_percent' => $normalError, 'double_divisor' => $double, 'double_error_percent' => $doubleError]];
        }
        // Half a bit in nine and a half.
        yield 'two clocks that part' => ['baud-mismatch', ['error1_percent' => '2.12', 'error2_percent' => '-3.55', 'bits' => '10'], ['difference_percent' => 5.67, 'ok' => false, 'limit_percent' => 5.263]];
        yield 'two that are off alike' => ['baud-mismatch', ['error1_percent' => '-3.55', 'error2_percent' => '-3.55', 'bits' => '10'], ['difference_percent' => 0.0, 'ok' => true]];
        yield 'with parity sooner' => ['baud-mismatch', ['error1_percent' => '5', 'error2_percent' => '0', 'bits' => '11'], ['ok' => false, 'limit_percent' => 4.762]];
        // Four boxes at 9600 8N1, ten bytes each way: 20.83 + 2 + 5 ms each.
        yield 'a cycle' => ['poll-cycle', ['baud' => '9600', 'bits_per_character' => '10', 'boxes' => '4', 'request_bytes' => '10', 'reply_bytes' => '10', 'turn_round_ms' => '2', 'gap_ms' => '5'], ['cycle_ms' => 111.333333]];
        yield 'a ring' => ['ring-delay', ['baud' => '9600', 'bits_per_character' => '10', 'frame_bytes' => '10', 'hops' => '4', 'processing_ms' => '1'], ['delay_ms' => 45.666667]];
        // TIA/EIA-485-A: 200 mV into two terminators, and with 32 unit loads beside them.
        foreach ([['5', '0', 720.0, 680], ['3.3', '0', 465.0, 430], ['5', '32', 620.69, 620], ['3.3', '32', 400.86, 390]] as [$volts, $loads, $most, $chosen]) {
            yield "bias at {$volts} V, {$loads} loads" => ['rs485-bias', ['supply_v' => $volts, 'unit_loads' => $loads, 'terminators' => '2'], ['maximum_ohm' => $most, 'chosen_ohm' => (float) $chosen]];
        }
    }

    /**
     * @param  array<string, string>  $given
     * @param  array<string, mixed>  $expected
     */
    #[DataProvider('published')]
    public function test_published_figures(string $name, array $given, array $expected): void
    {
        $answer = self::calculate($name, $given);
        foreach ($expected as $key => $value) {
            is_float($value) ? self::assertEqualsWithDelta($value, $answer[$key], 0.006, $key) : self::assertSame($value, $answer[$key], $key);
        }
    }

    public function test_bytes_that_are_none_and_names_that_are_none_are_refused(): void
    {
        foreach ([['crc-16/modbus', '123'], ['crc-16/modbus', 'zz'], ['crc-99', '00'], ['none', '00']] as [$algorithm, $hex]) {
            try {
                self::calculate('crc', ['algorithm' => $algorithm, 'hex' => $hex]);
                self::fail("{$algorithm} of {$hex}");
            } catch (BadInput|OutOfRange $refused) {
                self::assertStringContainsString($algorithm === 'crc-16/modbus' ? 'hex' : 'algorithm', $refused->getMessage());
            }
        }
    }

    /** crccheck of Debian, which has every algorithm of the catalogue, over bytes of every length up to forty. */
    public function test_every_crc_is_as_crccheck_has_it(): void
    {
        $of = ['crc-8' => 'Crc8Smbus', 'crc-8/maxim-dow' => 'Crc8MaximDow', 'crc-16/arc' => 'Crc16Arc', 'crc-16/modbus' => 'Crc16Modbus', 'crc-16/usb' => 'Crc16Usb', 'crc-16/xmodem' => 'CrcXmodem', 'crc-16/ccitt-false' => 'Crc16Autosar', 'crc-16/kermit' => 'Crc16Kermit', 'crc-16/x-25' => 'Crc16IbmSdlc', 'crc-16/dnp' => 'Crc16Dnp', 'crc-32' => 'Crc32'];
        $offered = array_values(array_map(static fn (Checksum $one): string => $one->value, array_filter(Checksum::cases(), static fn (Checksum $one): bool => $one->isCrc())));
        self::assertSame($offered, array_keys($of));
        mt_srand(5);
        $samples = array_map(static fn (int $length): string => bin2hex(implode('', array_map(static fn (): string => chr(mt_rand(0, 255)), range(1, $length)))), range(1, 40));
        $script = "import crccheck.crc as c\nfor name in ".json_encode(array_values($of)).":\n  for hex in ".json_encode($samples).":\n    print(getattr(c, name).calc(bytes.fromhex(hex)))\n";
        $process = new Process(['/usr/bin/python3', '-c', $script]);
        $process->mustRun();
        $ours = [];
        foreach (array_keys($of) as $name) {
            foreach ($samples as $hex) {
                $ours[] = (string) Checksum::from($name)->of((string) hex2bin($hex));
            }
        }
        self::assertSame(explode("\n", trim($process->getOutput())), $ours);
    }

    /** util/setbaud.h of avr-libc says which register value and which speed it would take; within its tolerance of 2 % it refuses. */
    public function test_divisors_are_those_of_setbaud(): void
    {
        $folder = sys_get_temp_dir().'/rundfunk-baud-'.bin2hex(random_bytes(6));
        mkdir($folder);
        try {
            $text = '';
            foreach ([1_000_000, 7_372_800, 8_000_000, 12_000_000, 14_745_600, 16_000_000, 20_000_000] as $clock) {
                foreach ([1_200, 2_400, 9_600, 19_200, 38_400, 57_600, 115_200] as $baud) {
                    $text .= "#undef F_CPU\n#undef BAUD\n#define F_CPU {$clock}UL\n#define BAUD {$baud}UL\n#include <util/setbaud.h>\n(set {$clock} {$baud} UBRR_VALUE USE_2X)\n";
                }
            }
            file_put_contents("{$folder}/grid.c", $text);
            $process = new Process(['avr-gcc', '-mmcu=atmega644', '-E', '-P', '-w', 'grid.c'], $folder);
            $process->run();
            preg_match_all('/\(set (\d+) (\d+) (.+) ([01])\)/', $process->getOutput(), $rows, PREG_SET_ORDER);
            self::assertCount(49, $rows, $process->getErrorOutput());
            foreach ($rows as [, $clock, $baud, $register, $double]) {
                $samples = $double === '1' ? 8 : 16;
                // The macro's text, with the integer division of C.
                preg_match_all('/\d+/', (string) preg_replace('/UL/', '', $register), $figures);
                $value = self::evaluated($register);
                self::assertSame($value + 1, UartDivider::divisor((int) $clock / 1e6, (float) $baud, $samples), "{$baud} of {$clock}");
                self::assertSame($double === '1', abs(UartDivider::at((int) $clock / 1e6, (float) $baud, 16)) > 0.02, "{$baud} of {$clock}: speed");
            }
        } finally {
            array_map(unlink(...), (array) glob("{$folder}/*"));
            rmdir($folder);
        }
    }

    /** What setbaud.h writes: whole numbers, brackets, + − × ÷, as C divides. */
    private static function evaluated(string $text): int
    {
        $plain = (string) preg_replace('/(\d+)UL?/', '$1', $text);
        self::assertMatchesRegularExpression('#^[\d\s()+*/-]+$#', $plain);
        while (preg_match('/\(([^()]+)\)/', $plain, $inner) === 1) {
            $plain = str_replace($inner[0], (string) self::flat($inner[1]), $plain);
        }

        return self::flat($plain);
    }

    private static function flat(string $text): int
    {
        preg_match_all('#\d+|[+*/-]#', $text, $tokens);
        foreach ([['*', '/'], ['+', '-']] as $operators) {
            $list = $tokens[0];
            for ($at = 1; $at < count($list) - 1;) {
                if (in_array($list[$at], $operators, true)) {
                    [$one, $other] = [(int) $list[$at - 1], (int) $list[$at + 1]];
                    array_splice($list, $at - 1, 3, [(string) match ($list[$at]) {
                        '*' => $one * $other, '/' => intdiv($one, $other), '+' => $one + $other, default => $one - $other,
                    }]);
                } else {
                    $at += 2;
                }
            }
            $tokens[0] = $list;
        }

        return (int) $tokens[0][0];
    }

    public function test_every_check_is_the_same_in_c(): void
    {
        $folder = sys_get_temp_dir().'/rundfunk-check-'.bin2hex(random_bytes(6));
        mkdir($folder);
        try {
            $lines = ['#include <stdint.h>', '#include <stdio.h>'];
            $main = [];
            $expected = [];
            mt_srand(9);
            $bytes = implode('', array_map(static fn (): string => chr(mt_rand(0, 255)), range(1, 60)));
            $lines[] = 'static const uint8_t bytes[] = {'.implode(', ', array_map(ord(...), str_split($bytes))).'};';
            foreach (Checksum::cases() as $at => $check) {
                $lines = [...$lines, ...CChecksum::lines($check, "check{$at}")];
                foreach ($check === Checksum::None ? [] : [0, 1, 9, 60] as $length) {
                    $main[] = "printf(\"%lu\\n\", (unsigned long)check{$at}(bytes, {$length}));";
                    $expected[] = (string) $check->of(substr($bytes, 0, $length));
                }
            }
            file_put_contents("{$folder}/main.c", implode("\n", [...$lines, 'int main(void)', '{', ...$main, 'return 0;', '}', '']));
            (new Process(['gcc', '-std=c99', '-pedantic', '-Wall', '-Wextra', '-Werror', '-fsanitize=undefined', '-o', 'main', 'main.c'], $folder))->mustRun();
            self::assertSame($expected, explode("\n", trim((new Process(['./main'], $folder))->mustRun()->getOutput())));
        } finally {
            array_map(unlink(...), (array) glob("{$folder}/*"));
            rmdir($folder);
        }
    }

    /** Frames built and their bits counted, character by character, against the formula. */
    public function test_cycles_and_rings_are_the_sum_of_frames_that_are_built(): void
    {
        foreach ([9_600, 38_400] as $baud) {
            foreach ([[0, 1, 10], [1, 1, 11], [1, 2, 12]] as [$parity, $stops, $perCharacter]) {
                $settings = LineTest::settings(Topology::Polled, 3, Checksum::Crc16Modbus);
                $bytes = (new SerialFrame(2, 1, 3, 0, 4, -5))->bytes($settings);
                $bits = 0;
                foreach (str_split($bytes) as $byte) {
                    $bits += count(self::character($byte, $parity === 1, $stops));
                }
                self::assertSame($perCharacter * strlen($bytes), $bits);
                $cycle = self::calculate('poll-cycle', ['baud' => (string) $baud, 'bits_per_character' => (string) $perCharacter, 'boxes' => '3', 'request_bytes' => (string) strlen($bytes), 'reply_bytes' => (string) strlen($bytes), 'turn_round_ms' => '1.5', 'gap_ms' => '4']);
                self::assertEqualsWithDelta(3 * (2 * 1_000 * $bits / $baud + 5.5), $cycle['cycle_ms'], 1e-5);
                $ring = self::calculate('ring-delay', ['baud' => (string) $baud, 'bits_per_character' => (string) $perCharacter, 'frame_bytes' => (string) strlen($bytes), 'hops' => '5', 'processing_ms' => '2']);
                self::assertEqualsWithDelta(5 * (1_000 * $bits / $baud + 2), $ring['delay_ms'], 1e-5);
            }
        }
    }

    /** @return list<int> the line's levels, one a bit */
    private static function character(string $byte, bool $parity, int $stops): array
    {
        $data = array_map(static fn (int $bit): int => ord($byte) >> $bit & 1, range(0, 7));

        return [0, ...$data, ...($parity ? [array_sum($data) % 2] : []), ...array_fill(0, $stops, 1)];
    }

    public function test_a_frame_read_is_the_frame_that_was_built(): void
    {
        mt_srand(3);
        foreach (Checksum::cases() as $check) {
            $settings = new SerialSettings(...[...get_object_vars(LineTest::settings(Topology::Pair)), 'check' => $check]);
            for ($round = 0; $round < 50; $round++) {
                $frame = new SerialFrame(mt_rand(0, 255), mt_rand(0, 255), mt_rand(0, 255), mt_rand(0, 255), mt_rand(0, 255), mt_rand(-32_768, 32_767));
                $bytes = $frame->bytes($settings);
                self::assertEquals($frame, SerialFrame::read($bytes, $settings));
                if ($check->isCrc()) {
                    $bit = mt_rand(0, 8 * strlen($bytes) - 1);
                    $bytes[$bit >> 3] = chr(ord($bytes[$bit >> 3]) ^ 1 << ($bit & 7));
                    self::assertNull(SerialFrame::read($bytes, $settings), 'One turned bit is always seen.');
                }
            }
        }
    }
}
