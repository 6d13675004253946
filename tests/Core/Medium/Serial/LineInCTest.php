<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Serial;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Build\BehaviourFiles;
use Rundfunk\Build\CHeader;
use Rundfunk\Medium\Serial\Line\LineEnd;
use Rundfunk\Medium\Serial\Line\LineMessage;
use Rundfunk\Medium\Serial\Line\Programs;
use Rundfunk\Medium\Serial\SerialEnd;
use Rundfunk\Medium\Serial\SerialMessages;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Symfony\Component\Process\Process;
use Tests\Core\CoreTestCase;

/** The C of each kind of end does what its twin does, byte for byte: on the host under a sanitizer, and on an 8-bit board's simulator. */
final class LineInCTest extends CoreTestCase
{
    private string $folder;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/rundfunk-line-'.bin2hex(random_bytes(6));
        mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        array_map(unlink(...), (array) glob($this->folder.'/*'));
        rmdir($this->folder);
    }

    /** @param  array<string, bool|float|int|string|null>  $settings */
    public static function plan(string $topology, int $count, array $settings): Plan
    {
        $sketch = self::sketch()->link('l', 'Line', 'serial', ['topology' => $topology, 'timeoutMs' => 25, ...$settings]);
        for ($number = 1; $number <= $count; $number++) {
            $sketch->node("n{$number}", "Node {$number}", NodeKind::Controller, null, '8bit-5v-70io')->module("w{$number}", "n{$number}", 'serial-wire', 'Line')
                ->join('l', "n{$number}", Role::Both, "w{$number}", ['station' => 10 * $number, 'asks' => $topology === 'polled' && $number === 1, 'restMs' => $number === 2 ? 400 : 0], $number === 3 ? ['broadcast'] : []);
        }

        return $sketch->plan();
    }

    /** @return iterable<string, array{string, int, int, array<string, bool|float|int|string|null>}> topology, ends, which of them, settings */
    public static function ends(): iterable
    {
        yield 'who asks, CRC-16/MODBUS' => ['polled', 4, 0, []];
        yield 'who asks, no check' => ['polled', 3, 0, ['check' => 'none', 'missedMost' => 2]];
        yield 'a box, CRC-16/XMODEM' => ['polled', 3, 1, ['check' => 'crc-16/xmodem']];
        yield 'a box, a sum' => ['polled', 3, 2, ['check' => 'sum-8']];
        yield 'one of two, CRC-8' => ['pair', 2, 0, ['check' => 'crc-8']];
        yield 'the other of two, CRC-32' => ['pair', 2, 1, ['check' => 'crc-32']];
        yield 'one of a ring, X-25' => ['ring', 4, 2, ['check' => 'crc-16/x-25']];
        yield 'another of a ring, exclusive or' => ['ring', 3, 0, ['check' => 'xor-8', 'missedMost' => 3]];
    }

    /** @param  array<string, bool|float|int|string|null>  $settings */
    #[DataProvider('ends')]
    public function test_it_does_as_its_twin(string $topology, int $count, int $which, array $settings): void
    {
        $plan = self::plan($topology, $count, $settings);
        $link = $plan->links()[0];
        $node = $plan->nodes()[$which];
        file_put_contents("{$this->folder}/node.h", (new CHeader(self::knowledge()))->write($plan, $node));
        $behaviour = BehaviourFiles::of($plan, $node, self::knowledge())[0]->content;
        file_put_contents("{$this->folder}/behaviour.h", (string) preg_replace('/#include "[^"]+"/', '#include "node.h"', $behaviour));
        [$steps, $expected] = $this->recorded($plan, $which, 2_500, 11);
        file_put_contents("{$this->folder}/main.c", $this->program($steps, ''));
        $this->execute('gcc', '-std=c99', '-pedantic', '-Wall', '-Wextra', '-Werror', '-fsanitize=address,undefined', '-fno-sanitize-recover', '-o', 'main', 'main.c');
        self::assertSame($expected, trim($this->execute('./main')), $link->name);
        self::assertGreaterThan(40, substr_count($expected, "\n"));

        [$steps, $expected] = $this->recorded($plan, $which, 260, 12);
        file_put_contents("{$this->folder}/board.c", $this->program($steps, 'BOARD', (new SerialMessages)->memoryBytes($plan, $plan->endpointsOn($link)[$which])));
        $this->execute('avr-gcc', '-mmcu=atmega644', '-std=c99', '-Os', '-Wall', '-Wextra', '-Werror', '-DBOARD', '-DF_CPU=16000000UL', '-o', 'board.elf', 'board.c');
        preg_match_all('/o [0-9a-f]+|t [01]|g \d+|h \d+ \d+ -?\d+/', (string) preg_replace('/\e\[[0-9;]*m/', '', $this->execute('simavr', '-m', 'atmega644', '-f', '16000000', 'board.elf')), $said);
        self::assertSame($expected, implode("\n", $said[0]));
    }

    /**
     * A run of all ends on a bad cable, as one of them lives it.
     *
     * @return array{list<array{string, int, int, int, int}>, string} what happens to it, and what it says
     */
    private function recorded(Plan $plan, int $which, int $most, int $seed): array
    {
        $programs = array_map(static fn (Endpoint $end): ?LineEnd => Programs::of($plan, $end), $plan->endpointsOn($plan->links()[0]));
        $ends = array_values(array_filter($programs));
        self::assertCount(count($programs), $ends);
        $watched = new Watched($ends[$which]);
        $ends[$which] = $watched;
        $wires = new Wires($ends, $plan->links()[0]->settings['topology'] === 'polled' ? 'bus' : 'ring', 0.01, $seed);
        mt_srand($seed);
        while (count($watched->steps) < $most) {
            $wires->run(mt_rand(1, 8), mt_rand(1, 9));
            $from = mt_rand(0, 2) === 0 ? mt_rand(0, count($ends) - 1) : $which;
            $to = mt_rand(0, count($ends) - 1);
            if ($which === 0 || $plan->links()[0]->settings['topology'] !== 'polled') {
                $watched->gone();
            }
            if ($to !== $from) {
                // The third is told together with others, by the id that goes to all.
                $ends[$from]->tell(new LineMessage($to === 2 ? SerialEnd::EVERYBODY : 10 * ($to + 1), mt_rand(1, 5), mt_rand(-300, 300)), $wires->nowMs());
            }
        }

        return [$watched->steps, implode("\n", $watched->said)];
    }

    /** @param  list<array{string, int, int, int, int}>  $steps */
    private function program(array $steps, string $for, int $bytes = 0): string
    {
        $rows = implode(",\n", array_map(static fn (array $step): string => sprintf("{'%s', %d, %d, %d, %d}", ...$step), $steps));
        // A box that is asked notices nobody.
        $gone = in_array('g', array_column($steps, 0), true) ? '#define GONE line_gone' : '#define GONE(line, heard) 0';
        $flash = $for === 'BOARD' ? 'PROGMEM' : '';

        return <<<C
            #ifdef BOARD
            #include <avr/io.h>
            #include <avr/pgmspace.h>
            #include <avr/sleep.h>
            #include <avr/interrupt.h>
            #endif
            #include <stdio.h>
            #include "behaviour.h"
            struct step { char kind; int32_t ms; int16_t a, b, c; };
            static const struct step steps[] {$flash} = {
            {$rows}
            };
            static struct line_line line;
            #ifdef BOARD
            typedef char as_large_as_it_is_said[sizeof line == {$bytes} ? 1 : -1] __attribute__((unused));
            #endif
            {$gone}
            #ifdef BOARD
            static int put(char c, FILE *f) { (void)f; while (!(UCSR0A & (1 << UDRE0))) {} UDR0 = (uint8_t)c; return 0; }
            static FILE out = FDEV_SETUP_STREAM(put, 0, _FDEV_SETUP_WRITE);
            #endif
            int main(void)
            {
                unsigned at;
            #ifdef BOARD
                UBRR0L = 0; UCSR0B = 1 << TXEN0; stdout = &out;
            #endif
                line_start(&line);
                for (at = 0; at < sizeof steps / sizeof *steps; at++) {
                    struct node_message message;
                    uint8_t bytes[LINE_FRAME_BYTES], length, i;
                    struct step now;
            #ifdef BOARD
                    memcpy_P(&now, &steps[at], sizeof now);
            #else
                    now = steps[at];
            #endif
                    switch (now.kind) {
                    case 'b':
                        if (line_byte(&line, (uint8_t)now.a, (uint32_t)now.ms, &message)) {
                            printf("h %u %u %d\\n", message.node, message.code, message.value);
                        }
                        break;
                    case 't':
                        message.link = 0; message.node = (uint8_t)now.a; message.code = (uint16_t)now.b; message.value = now.c;
                        printf("t %u\\n", line_tell(&line, &message, (uint32_t)now.ms));
                        break;
                    case 'g':
                        if (GONE(&line, &message)) {
                            printf("g %u\\n", message.node);
                        }
                        break;
                    default:
                        length = line_step(&line, (uint32_t)now.ms, bytes);
                        if (length > 0) {
                            printf("o ");
                            for (i = 0; i < length; i++) { printf("%02x", bytes[i]); }
                            printf("\\n");
                        }
                    }
                }
            #ifdef BOARD
                for (at = 0; at < 80; at++) { printf(" "); }
                printf("\\n");
                cli(); sleep_mode();
            #endif
                return 0;
            }
            C;
    }

    private function execute(string ...$command): string
    {
        $process = new Process(array_values($command), $this->folder, timeout: 120);
        $process->run();
        self::assertTrue($process->isSuccessful() || $command[0] === 'simavr', $process->getOutput().$process->getErrorOutput());

        return $process->getOutput().($command[0] === 'simavr' ? $process->getErrorOutput() : '');
    }
}
