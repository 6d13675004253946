<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Infrared;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Medium\Infrared\Holding;
use Rundfunk\Medium\Infrared\IrCommand;
use Rundfunk\Medium\Infrared\Protocol;
use Rundfunk\Medium\Infrared\Protocol\NecFamily;
use Rundfunk\Medium\Infrared\Protocols;
use Rundfunk\Signal\Signal;
use Tests\Core\CoreTestCase;

final class ProtocolTest extends CoreTestCase
{
    /** @return iterable<string, array{Protocol}> */
    public static function protocols(): iterable
    {
        foreach (Protocols::standard()->all() as $protocol) {
            yield $protocol->name() => [$protocol];
        }
    }

    /**
     * Frame lengths as published: NEC 67.5 ms to its stop mark and 68.06 whole, RC-5 fourteen bits of 1778 µs, SIRC's lead
     * and bits. Source: as the Linux kernel's remote-control core has the protocols.
     *
     * @return iterable<string, array{string, int, int, float, int}> protocol, address, command, milliseconds, carrier
     */
    public static function durations(): iterable
    {
        yield 'NEC is always 68.06 ms' => ['nec', 0x04, 0x08, 68.0625, 38_000];
        yield 'whatever it says' => ['nec', 0xFF, 0x00, 68.0625, 38_000];
        yield 'extended, shortest' => ['necx', 0x0000, 0x00, 59.0625, 38_000];
        yield 'extended, longest' => ['necx', 0xFFFE, 0x00, 75.9375, 38_000];
        // Fourteen bits, less the space before the first mark and, after a nought, the one behind the last.
        yield 'RC-5 ending in a one' => ['rc5', 0x05, 0x35, 24.892 - 0.889, 36_000];
        yield 'RC-5 ending in a nought' => ['rc5', 0x05, 0x34, 24.892 - 2 * 0.889, 36_000];
        yield 'SIRC 12: lead, 12 bits, of which two are ones' => ['sirc12', 0x01, 0x01, 2.4 + 12 * 0.6 + 12 * 0.6 + 2 * 0.6, 40_000];
    }

    #[DataProvider('durations')]
    public function test_a_frame_lasts_as_long_as_published(string $key, int $address, int $command, float $ms, int $carrierHz): void
    {
        $signal = Protocols::standard()->named($key)->encode(new IrCommand($key, $address, $command));
        self::assertEqualsWithDelta($ms, $signal->durationNs() / 1e6, 0.0005);
        self::assertSame($carrierHz, $signal->carrierHz);
    }

    #[DataProvider('protocols')]
    public function test_what_is_encoded_decodes_to_itself_and_to_no_other_protocol(Protocol $protocol): void
    {
        mt_srand(7);
        for ($round = 0; $round < 200; $round++) {
            $command = self::random($protocol);
            $said = Protocols::standard()->decode($protocol->encode($command));
            self::assertNotNull($said);
            self::assertTrue($command->sameKeyAs($said), "{$said->protocol} {$said->address} {$said->command}");
            if ($protocol->holding() === Holding::ToggleBit) {
                self::assertSame($command->toggle, $said->toggle);
            }
        }
    }

    /** A receiver's excess of up to 150 µs on top of a tenth of noise. */
    #[DataProvider('protocols')]
    public function test_noise_and_a_receivers_excess_still_decode(Protocol $protocol): void
    {
        mt_srand(11);
        for ($round = 0; $round < 300; $round++) {
            $command = self::random($protocol);
            $noisy = self::noisy($protocol->encode($command), 0.1, mt_rand(-50, 150) * 1000);
            $said = Protocols::standard()->decode($noisy);
            self::assertNotNull($said, $noisy->text());
            self::assertTrue($command->sameKeyAs($said), $noisy->text());
        }
    }

    #[DataProvider('protocols')]
    public function test_noise_of_a_quarter_without_excess_still_decodes(Protocol $protocol): void
    {
        mt_srand(13);
        for ($round = 0; $round < 300; $round++) {
            $command = self::random($protocol);
            $noisy = self::noisy($protocol->encode($command), 0.25, 0);
            $said = Protocols::standard()->decode($noisy);
            self::assertNotNull($said, $noisy->text());
            self::assertTrue($command->sameKeyAs($said), $noisy->text());
        }
    }

    #[DataProvider('protocols')]
    public function test_beyond_the_tolerance_it_says_nothing_rather_than_lie(Protocol $protocol): void
    {
        mt_srand(17);
        $lies = 0;
        for ($round = 0; $round < 300; $round++) {
            $command = self::random($protocol);
            $said = Protocols::standard()->decode(self::noisy($protocol->encode($command), 0.6, 0));
            $lies += $said === null || $command->sameKeyAs($said) ? 0 : 1;
        }
        self::assertSame(0, $lies);
    }

    public function test_of_two_protocols_that_can_read_it_the_likelier_is_believed(): void
    {
        // A lead that a receiver has shortened: it can be read as bi-phase, and is far from that.
        foreach ([2_400, 2_373, 2_250, 2_100, 1_950] as $leadUs) {
            $lengths = Protocols::standard()->named('sirc12')->encode(new IrCommand('sirc12', 31, 127))->microseconds();
            $lengths[0] = $leadUs;
            $said = Protocols::standard()->decode(Signal::ofMicroseconds($lengths));
            self::assertSame(['sirc12', 31, 127], [$said?->protocol, $said?->address, $said?->command], "{$leadUs} µs");
        }
    }

    public function test_a_double_width_toggle_is_read_though_marks_are_short_and_edges_shake(): void
    {
        mt_srand(9);
        $rc6 = Protocols::standard()->named('rc6');
        for ($round = 0; $round < 60; $round++) {
            $command = new IrCommand('rc6', mt_rand(0, 255), mt_rand(0, 255), $round % 2 === 0);
            $lengths = [];
            foreach ($rc6->encode($command)->microseconds() as $at => $us) {
                $lengths[] = $us + ($at % 2 === 0 ? -100 : 100) + mt_rand(-75, 75);
            }
            $said = Protocols::standard()->decode(Signal::ofMicroseconds($lengths));
            self::assertSame(['rc6', $command->address, $command->command, $command->toggle], [$said?->protocol, $said?->address, $said?->command, $said?->toggle]);
        }
    }

    public function test_a_nec_repeat_is_told_from_a_frame(): void
    {
        self::assertTrue(NecFamily::isRepeat(Signal::ofMicroseconds([9000, 2250, 562.5])));
        self::assertTrue(NecFamily::isRepeat(Signal::ofMicroseconds([9100, 2150, 660])));
        self::assertFalse(NecFamily::isRepeat(Signal::ofMicroseconds([9000, 4500, 562.5])));
        self::assertFalse(NecFamily::isRepeat(Protocols::standard()->named('nec')->encode(new IrCommand('nec', 4, 8))));
    }

    public function test_the_toggle_bit_changes_the_frame_and_not_the_key(): void
    {
        foreach (['rc5' => 0x1E, 'rc6' => 0x1E] as $key => $address) {
            $protocol = Protocols::standard()->named($key);
            $one = new IrCommand($key, $address, 1, false);
            $other = new IrCommand($key, $address, 1, true);
            self::assertNotSame($protocol->encode($one)->lengthsNs, $protocol->encode($other)->lengthsNs);
            self::assertTrue($one->sameKeyAs($other));
        }
    }

    private static function random(Protocol $protocol): IrCommand
    {
        do {
            $command = new IrCommand($protocol->key(), mt_rand(0, $protocol->highestAddress()), mt_rand(0, $protocol->highestCommand()), $protocol->holding() === Holding::ToggleBit ? mt_rand(0, 1) === 1 : null);
            // Sixteen bits of address that happen to be complements are plain NEC, and 32 that are complements extended.
            $disguised = ($protocol->key() === 'necx' && (($command->address >> 8) ^ ($command->address & 0xFF)) === 0xFF)
                || ($protocol->key() === 'nec32' && (($command->command >> 8) ^ ($command->command & 0xFF)) === 0xFF);
        } while ($disguised);

        return $command;
    }

    private static function noisy(Signal $signal, float $share, int $excessNs): Signal
    {
        $lengths = [];
        foreach ($signal->lengthsNs as $at => $ns) {
            $lengths[] = max(1000, (int) round($ns * (1 + $share * (mt_rand() / mt_getrandmax() * 2 - 1))) + ($at % 2 === 0 ? $excessNs : -$excessNs));
        }

        return new Signal($lengths);
    }
}
