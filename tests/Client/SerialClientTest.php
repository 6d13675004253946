<?php

declare(strict_types=1);

namespace Tests\Client;

use Rundfunk\Build\BehaviourFiles;
use Rundfunk\Build\CHeader;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Role;
use Symfony\Component\Process\Process;
use Tests\Core\CoreTestCase;

/** Two nodes as they are exported, each a program of its own, on a pseudo-terminal that turns bits: of what is told nothing is lost, doubled or done wrongly. */
final class SerialClientTest extends CoreTestCase
{
    private string $folder;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/rundfunk-serial-'.bin2hex(random_bytes(6));
        mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        array_map(unlink(...), (array) glob($this->folder.'/*'));
        rmdir($this->folder);
    }

    public function test_a_thousand_polls_over_a_bad_cable_do_nothing_wrong(): void
    {
        $sketch = self::sketch()->link('l', 'Line', 'serial', ['topology' => 'polled', 'levels' => 'rs-485', 'baud' => 250_000, 'timeoutMs' => 3, 'gapMs' => 0, 'missedMost' => 20, 'check' => 'crc-32']);
        foreach (['asker' => 1, 'box' => 2] as $key => $id) {
            $sketch->node($key, ucfirst($key), NodeKind::Controller, null, '8bit-5v-70io')->module("{$key}-w", $key, 'rs485-5v', 'Pair', FedFrom::Board5V)
                ->join('l', $key, Role::Both, "{$key}-w", ['station' => $id, 'asks' => $key === 'asker']);
        }
        $plan = $sketch->plan();
        foreach ($plan->nodes() as $node) {
            $name = strtolower($node->name);
            file_put_contents("{$this->folder}/{$name}.h", (new CHeader(self::knowledge()))->write($plan, $node));
            file_put_contents("{$this->folder}/{$name}_behaviour.h", BehaviourFiles::of($plan, $node, self::knowledge())[0]->content);
            file_put_contents("{$this->folder}/{$name}.c", '#define ASKER '.($name === 'asker' ? 1 : 0)."\n#include \"{$name}_behaviour.h\"\n".self::PROGRAM);
            (new Process(['gcc', '-std=gnu99', '-Wall', '-Wextra', '-Werror', '-O1', '-fsanitize=undefined', '-o', $name, "{$name}.c"], $this->folder))->mustRun();
        }
        $run = new Process(['/usr/bin/python3', __DIR__.'/serial-pty.py', $this->folder], timeout: 90);
        $run->run();
        self::assertSame(0, $run->getExitCode(), $run->getOutput().$run->getErrorOutput());
        self::assertSame(1, preg_match('/asker: polls (\d+) turned (\d+) heard (\d+) wrong (\d+) told (\d+)/', $run->getOutput(), $asker), $run->getOutput());
        self::assertSame(1, preg_match('/box: polls \d+ turned (\d+) heard (\d+) wrong (\d+) told (\d+)/', $run->getOutput(), $box), $run->getOutput());
        self::assertGreaterThanOrEqual(1_000, (int) $asker[1]);
        self::assertGreaterThan(50, (int) $asker[2], 'Bits were turned.');
        self::assertGreaterThan(50, (int) $box[1]);
        self::assertSame(['0', '0'], [$asker[4], $box[3]], 'None was acted on wrongly.');
        // What waits when the line is pulled may not have arrived.
        self::assertGreaterThan(100, (int) $box[2]);
        self::assertGreaterThan(100, (int) $asker[3]);
        self::assertLessThanOrEqual((int) $asker[5], (int) $box[2]);
        self::assertLessThanOrEqual((int) $box[4], (int) $asker[3]);
    }

    private const PROGRAM = <<<'C'
        #include <errno.h>
        #include <fcntl.h>
        #include <stdio.h>
        #include <stdlib.h>
        #include <time.h>
        #include <unistd.h>
        static uint32_t milliseconds(void) { struct timespec t; clock_gettime(CLOCK_MONOTONIC, &t); return (uint32_t)(t.tv_sec * 1000 + t.tv_nsec / 1000000); }
        int main(void)
        {
            static struct line_line line;
            unsigned polls = 0, turned = 0, heard_count = 0, wrong = 0, told_count = 0, next_told = 1, next_heard = 1, idle = 0;
            fcntl(0, F_SETFL, O_NONBLOCK); errno = 0;
            srand(ASKER ? 11 : 12);
            line_start(&line);
            while (ASKER ? polls < 1200 : idle < 400000) {
                struct node_message message;
                uint8_t bytes[LINE_FRAME_BYTES], byte, length, i;
                ssize_t got;
                while ((got = read(0, &byte, 1)) == 1) {
                    idle = 0;
                    if (line_byte(&line, byte, milliseconds(), &message)) {
                        unsigned number = (unsigned)message.code - 1;
                        /* Each message is the next of its sender, and says so twice. */
                        heard_count++;
                        if (number != (next_heard - 1) % 200 || message.value != (int16_t)(next_heard * 7) || message.node != (ASKER ? 2 : 1)) {
                            wrong++;
                        }
                        next_heard++;
                    }
                }
                /* The asker has gone: the line is dead. */
                if (!ASKER && (got == 0 || errno == EIO)) { break; }
                if (idle++ % 8 == 0) {
                    message.link = 0; message.node = ASKER ? 2 : 1; message.code = (uint16_t)((next_told - 1) % 200 + 1); message.value = (int16_t)(next_told * 7);
                    if (line_tell(&line, &message, milliseconds())) { told_count++; next_told++; }
                }
                length = line_step(&line, milliseconds(), bytes);
                if (length > 0) {
                    polls++;
                    for (i = 0; i < length; i++) {
                        if (rand() % 200 == 0) { bytes[i] ^= (uint8_t)(1 << rand() % 8); turned++; }
                    }
                    if (write(1, bytes, length) != length) { return 2; }
                }
                if (idle > 50) { usleep(20); }
            }
            fprintf(stderr, "%s: polls %u turned %u heard %u wrong %u told %u\n", ASKER ? "asker" : "box", polls, turned, heard_count, wrong, told_count);
            return 0;
        }
        C;
}
