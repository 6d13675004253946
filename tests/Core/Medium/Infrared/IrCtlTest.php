<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Infrared;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Medium\Infrared\IrCommand;
use Rundfunk\Medium\Infrared\Protocols;
use Rundfunk\Signal\Signal;
use Symfony\Component\Process\Process;
use Tests\Core\CoreTestCase;

/**
 * Our encoders against that of the Linux remote-control tools (ir-ctl of v4l-utils), which is asked through a stand-in for
 * the device what it would send. It rounds to whole microseconds.
 */
final class IrCtlTest extends CoreTestCase
{
    private static string $shim;

    public static function setUpBeforeClass(): void
    {
        self::$shim = sys_get_temp_dir().'/rundfunk-lirc-'.bin2hex(random_bytes(6)).'.so';
        (new Process(['gcc', '-shared', '-fPIC', '-Wall', '-o', self::$shim, __DIR__.'/lirc-shim.c', '-ldl']))->mustRun();
    }

    public static function tearDownAfterClass(): void
    {
        unlink(self::$shim);
    }

    /** @return iterable<string, array{string, string, array<int, array{int, int}>}> our protocol, theirs, and scancode → address and command */
    public static function codes(): iterable
    {
        yield 'NEC' => ['nec', 'nec', [0x0408 => [0x04, 0x08], 0x0000 => [0, 0], 0xFFFF => [0xFF, 0xFF], 0xA814 => [0xA8, 0x14]]];
        yield 'NEC extended' => ['necx', 'necx', [0x123408 => [0x1234, 0x08], 0x807040 => [0x8070, 0x40], 0xFFFE00 => [0xFFFE, 0]]];
        yield 'NEC 32 bits' => ['nec32', 'nec32', [0x12345678 => [0x1234, 0x5678], 0x01020304 => [0x0102, 0x0304]]];
        yield 'RC-5' => ['rc5', 'rc5', [0x0000 => [0, 0], 0x1E01 => [0x1E, 1], 0x1E41 => [0x1E, 0x41], 0x1F7F => [0x1F, 0x7F], 0x0535 => [5, 0x35]]];
        yield 'RC-6 mode 0' => ['rc6', 'rc6_0', [0x0000 => [0, 0], 0x010C => [1, 0x0C], 0xFFFF => [0xFF, 0xFF], 0x8001 => [0x80, 1]]];
        yield 'SIRC 12' => ['sirc12', 'sony12', [0x010015 => [1, 0x15], 0x1F007F => [0x1F, 0x7F]]];
        yield 'SIRC 15' => ['sirc15', 'sony15', [0x540015 => [0x54, 0x15], 0xFF0000 => [0xFF, 0]]];
        yield 'SIRC 20' => ['sirc20', 'sony20', [0x1A1215 => [0x1A | 0x12 << 5, 0x15], 0x1FFF7F => [0x1FFF, 0x7F]]];
    }

    /** @param  array<int, array{int, int}>  $codes */
    #[DataProvider('codes')]
    public function test_we_send_what_the_linux_tools_send(string $ours, string $theirs, array $codes): void
    {
        $protocol = Protocols::standard()->named($ours);
        foreach ($codes as $number => [$address, $command]) {
            [$carrierHz, $lengthsUs] = self::asked(sprintf('%s:0x%x', $theirs, $number));
            $signal = $protocol->encode(new IrCommand($ours, $address, $command));
            self::assertSame($carrierHz, $signal->carrierHz);
            self::assertCount(count($lengthsUs), $signal->lengthsNs, sprintf('0x%x', $number));
            foreach ($lengthsUs as $at => $us) {
                self::assertEqualsWithDelta($us, $signal->lengthsNs[$at] / 1000, 1.2, sprintf('0x%x, length %d', $number, $at));
            }
            $said = Protocols::standard()->decode(Signal::ofMicroseconds($lengthsUs));
            self::assertEquals([$ours, $address, $command], [$said?->protocol, $said?->address, $said?->command]);
        }
    }

    /** @return array{int, list<int>} carrier, hertz, and marks and spaces, microseconds */
    private static function asked(string $scancode): array
    {
        $process = new Process(['ir-ctl', '-d', '/dev/lirc-stand-in', '-S', $scancode], null, ['LD_PRELOAD' => self::$shim]);
        $process->mustRun();
        self::assertSame(1, preg_match('/^carrier (\d+)$/m', $process->getOutput(), $carrier));
        preg_match_all('/[+-](\d+)/', $process->getOutput(), $lengths);

        return [(int) $carrier[1], array_map(intval(...), $lengths[1])];
    }
}
