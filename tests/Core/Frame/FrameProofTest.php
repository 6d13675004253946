<?php

declare(strict_types=1);

namespace Tests\Core\Frame;

use Rundfunk\Build\CHeader;
use Rundfunk\Frame\FrameLayout;
use Rundfunk\Frame\FrameProof;
use Rundfunk\Medium\PacketRadio\PacketFrame;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Symfony\Component\Process\Process;
use Tests\Core\CoreTestCase;

final class FrameProofTest extends CoreTestCase
{
    private const KEY = 'sixteen bytes ok';

    private const ADDRESS = "\x01\x47\x9A\xF1\xC2";

    private static function plan(): Plan
    {
        return self::sketch()
            ->node('hand', 'Hand', NodeKind::Handset, null, '8bit-5v-20io')->module('hand-radio', 'hand', 'packet-radio-plain', 'Radio')
            ->node('far', 'Far', NodeKind::Controller, null, '8bit-5v-20io')->module('far-radio', 'far', 'packet-radio-plain', 'Radio')
            ->link('air', 'Air', 'packet-radio', ['proven' => true])->join('air', 'hand', Role::Sends, 'hand-radio')->join('air', 'far', Role::Receives, 'far-radio')
            ->control('k', 'hand', 'Key')->output('gate', 'far', 'Gate', more: ['hazards' => ['access']])->route('k', Action::Pulse, 'gate', 1_000)->assigned();
    }

    private static function layout(): FrameLayout
    {
        return PacketFrame::of(self::plan(), self::plan()->links()[0]);
    }

    private static function proof(): FrameProof
    {
        return FrameProof::of(self::layout()) ?? self::fail('its frames bear no proof');
    }

    private static function sealed(int $counter, int $code = 7): string
    {
        return self::proof()->seal(['sender' => 1, 'sequence' => 3, 'code' => $code, 'argument' => -5, 'counter' => $counter], self::ADDRESS, self::KEY);
    }

    public function test_assign_makes_room_for_it_and_it_costs_eight_bytes(): void
    {
        self::assertSame(13, self::layout()->lengthBytes);
        self::assertTrue(self::layout()->fits());
    }

    public function test_what_was_sealed_is_believed_once(): void
    {
        $frame = self::sealed(41);
        $values = self::proof()->open($frame, self::ADDRESS, self::KEY, 40);
        self::assertSame([1, 3, 7, -5, 41], array_slice(array_values($values ?? []), 0, 5));
        self::assertNull(self::proof()->open($frame, self::ADDRESS, self::KEY, 41), 'the same again');
        self::assertNull(self::proof()->open($frame, self::ADDRESS, self::KEY, 1_000), 'an old one');
    }

    public function test_no_bit_of_it_can_be_changed(): void
    {
        $frame = self::sealed(41);
        for ($bit = 0; $bit < 8 * strlen($frame); $bit++) {
            $changed = $frame;
            $changed[$bit >> 3] = chr(ord($changed[$bit >> 3]) ^ 1 << ($bit & 7));
            self::assertNull(self::proof()->open($changed, self::ADDRESS, self::KEY, 0), "bit {$bit}");
        }
    }

    public function test_it_counts_at_no_other_receiver_and_under_no_other_key(): void
    {
        self::assertNull(self::proof()->open(self::sealed(1), "\x02\x47\x9A\xF1\xC2", self::KEY, 0));
        self::assertNull(self::proof()->open(self::sealed(1), self::ADDRESS, 'sixteen bytes no', 0));
    }

    public function test_the_header_seals_and_believes_as_the_core_does(): void
    {
        $folder = sys_get_temp_dir().'/rundfunk-proof-'.bin2hex(random_bytes(6));
        mkdir($folder);
        file_put_contents("{$folder}/hand.h", (new CHeader(self::knowledge()))->write(self::plan(), self::plan()->nodes()[0]));
        file_put_contents("{$folder}/secrets.h", '#define AIR_KEY { '.implode(', ', array_map(static fn (string $byte): string => (string) ord($byte), str_split(self::KEY)))." }\n");
        file_put_contents("{$folder}/main.c", self::C);
        $run = static function (string ...$command) use ($folder): string {
            $process = new Process($command, $folder);
            self::assertSame(0, $process->run(), $process->getErrorOutput().$process->getOutput());

            return $process->getOutput();
        };
        $run('gcc', '-std=c99', '-pedantic', '-Wall', '-Wextra', '-Werror', '-fsanitize=undefined', '-fno-sanitize-recover', '-o', 'main', 'main.c');
        $expected = '';
        foreach ([1, 2, 255, 256, 70_000, 0xFFFF_FFFF] as $counter) {
            $expected .= bin2hex(self::sealed($counter, $counter & 0xFF))." 1 0\n";
        }
        self::assertSame($expected."0 0\n", $run('./main'));
        // On an 8-bit board it takes less than an eighth of its program memory.
        $run('avr-gcc', '-mmcu=avr5', '-std=c99', '-Wall', '-Wextra', '-Werror', '-Os', '-DBOARD', '-c', '-o', 'board.o', 'main.c');
        self::assertSame(1, preg_match('/^\s*(\d+)/m', (string) preg_replace('/^.*\n/', '', $run('avr-size', 'board.o')), $size));
        self::assertLessThan(4_096, (int) $size[1]);
        array_map(unlink(...), glob("{$folder}/*") ?: []);
        rmdir($folder);
    }

    private const C = <<<'C'
        #include <stdint.h>
        #include "hand.h"
        static const uint8_t address[AIR_ADDRESS_BYTES] = { 0x01, 0x47, 0x9A, 0xF1, 0xC2 };
        static uint32_t last[AIR_SENDERS + 1];
        #ifdef BOARD
        volatile uint8_t bytes[AIR_FRAME_BYTES];
        int main(void)
        {
            struct air_frame frame;
            air_frame_seal((uint8_t *)bytes, address);
            return air_frame_open(&frame, (const uint8_t *)bytes, AIR_FRAME_BYTES, address, last);
        }
        #else
        #include <stdio.h>
        int main(void)
        {
            static const uint32_t counters[] = { 1, 2, 255, 256, 70000, 0xFFFFFFFFUL };
            uint8_t bytes[AIR_FRAME_BYTES];
            struct air_frame frame, read;
            for (int n = 0; n < 6; n++) {
                frame.sender = 1; frame.sequence = 3; frame.code = (uint8_t)counters[n]; frame.argument = -5; frame.counter = counters[n]; frame.tag = 0;
                air_frame_encode(&frame, bytes);
                air_frame_seal(bytes, address);
                for (int byte = 0; byte < AIR_FRAME_BYTES; byte++) printf("%02x", bytes[byte]);
                printf(" %d", air_frame_open(&read, bytes, AIR_FRAME_BYTES, address, last));
                printf(" %d\n", air_frame_open(&read, bytes, AIR_FRAME_BYTES, address, last));
            }
            /* A bit turned, and a sender that is none. */
            last[1] = 0;
            bytes[4] ^= 1;
            printf("%d", air_frame_open(&read, bytes, AIR_FRAME_BYTES, address, last));
            bytes[4] ^= 1;
            bytes[0] = 200;
            printf(" %d\n", air_frame_open(&read, bytes, AIR_FRAME_BYTES, address, last));
            return 0;
        }
        #endif
        C;
}
