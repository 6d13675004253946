<?php

declare(strict_types=1);

namespace Tests\Core\Build;

use Rundfunk\Build\CHeader;
use Rundfunk\Build\FramesMessages;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Frame\FrameCodec;
use Rundfunk\Medium\Infrared\IrCommand;
use Rundfunk\Medium\Infrared\Protocol\Nec;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Symfony\Component\Process\Process;
use Tests\Core\CoreTestCase;

/** The generated headers are compiled and run, on the host and for an 8-bit board, and agree with our own codec byte for byte. */
final class CHeaderTest extends CoreTestCase
{
    private string $folder;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/rundfunk-header-'.bin2hex(random_bytes(6));
        mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        array_map(unlink(...), (array) glob($this->folder.'/*'));
        rmdir($this->folder);
    }

    public function test_neither_coil_of_a_latching_relay_has_current_at_first_whatever_it_is_put_to(): void
    {
        $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->module('m', 'n', 'relay-latching-1', 'Relay', FedFrom::Own)
            ->output('o', 'n', 'Out', channel: 'SET', module: 'm', more: ['atStart' => 'on'])->wire('m', 'SET', 'D4')->wire('m', 'RESET', 'D5');
        $header = (new CHeader(self::knowledge()))->write($sketch->plan(), $sketch->plan()->nodes()[0]);
        self::assertStringContainsString('write(PIN_RELAY_SET, 0); make_output(PIN_RELAY_SET);', $header);
        self::assertStringContainsString('write(PIN_RELAY_RESET, 0); make_output(PIN_RELAY_RESET);', $header);
    }

    public function test_every_header_of_both_demos_compiles_without_a_warning(): void
    {
        $sources = [];
        foreach ([self::linden(), self::assigner()->assign(self::faulty())->plan] as $plan) {
            foreach ($plan->nodes() as $node) {
                $name = 'node'.count($sources);
                file_put_contents("{$this->folder}/{$name}.h", (new CHeader(self::knowledge()))->write($plan, $node));
                file_put_contents("{$this->folder}/{$name}.c", "#include \"{$name}.h\"\nint main(void) { return 0; }\n");
                $sources[] = "{$name}.c";
            }
        }
        // For the host and for an 8-bit board at the same time: most of this test's time is the compilers'.
        $runs = array_map(fn (array $command): Process => new Process([...$command, '-std=c99', '-Wall', '-Wextra', '-Werror', '-c', ...$sources], $this->folder, timeout: 120), [['gcc', '-pedantic'], ['avr-gcc', '-mmcu=atmega644', '-Os']]);
        array_map(static fn (Process $run) => $run->start(), $runs);
        foreach ($runs as $run) {
            self::assertSame(0, $run->wait(), $run->getErrorOutput());
        }
    }

    public function test_a_value_finds_its_timings(): void
    {
        $plan = self::linden();
        file_put_contents($this->folder.'/node.h', (new CHeader(self::knowledge()))->write($plan, self::nodeNamed($plan, 'Stick box')));
        file_put_contents($this->folder.'/table.c', self::C_TABLE);
        $this->execute(['gcc', '-std=c99', '-Wall', '-Wextra', '-Werror', '-o', 'table', 'table.c']);
        $expected = '';
        foreach (range(-3, 3) as $value) {
            // NEC, address of the second channel, its turning from command 8: as the demo lays the set out.
            $expected .= "{$value}: ".(new Nec)->encode(new IrCommand('nec', 0x32, 8 + $value + 3))->text()."\n";
        }
        self::assertSame($expected, $this->execute(['./table']));
    }

    public function test_both_ends_name_the_same_channel_address_and_code(): void
    {
        $plan = self::linden();
        $sender = $this->defines($plan, 'Shed');
        $receiver = $this->defines($plan, 'Hen house');
        foreach (['YARD_CHANNEL', 'YARD_RATE_KBPS', 'YARD_PAYLOAD_BYTES', 'YARD_CRC_BYTES', 'YARD_ADDRESS_BYTES', 'YARD_ACKNOWLEDGE'] as $shared) {
            self::assertArrayHasKey($shared, $receiver);
            self::assertSame($sender[$shared], $receiver[$shared], $shared);
        }
        self::assertSame($sender['YARD_TO_HEN_HOUSE_ADDRESS'], $receiver['YARD_PIPE1_ADDRESS']);
        $codes = array_filter($receiver, static fn (string $name): bool => str_starts_with($name, 'YARD_CODE_'), ARRAY_FILTER_USE_KEY);
        self::assertGreaterThan(2, count($codes));
        // Each lists what it sends before what it hears.
        self::assertEquals($codes, array_intersect_key($sender, $codes));
    }

    public function test_an_output_with_several_masters_says_who_wins(): void
    {
        $plan = self::linden();
        $header = (new CHeader(self::knowledge()))->write($plan, self::nodeNamed($plan, 'Greenhouse'));
        self::assertStringContainsString('#define PRECEDENCE_WORK_LAMP 1 /* a switch that holds it wins */', $header);
        self::assertStringContainsString('Heater remote · Sleep', $header);
        self::assertStringNotContainsString('PRECEDENCE_', (new CHeader(self::knowledge()))->write($plan, self::nodeNamed($plan, 'Pocket B')));
    }

    public function test_c_and_php_agree_on_random_frames_on_host_and_on_an_8_bit_board(): void
    {
        $plan = self::linden();
        $node = self::nodeNamed($plan, 'Pocket A');
        $link = $plan->link($plan->endpointsOf($node)[0]->linkId);
        $medium = self::knowledge()->media->offering(FramesMessages::class, $link->medium);
        self::assertNotNull($medium);
        $layout = $medium->layout($plan, $link);
        self::assertNotNull($layout);
        $codec = new FrameCodec($layout);
        mt_srand(42);
        $rows = [];
        $expected = '';
        for ($frame = 0; $frame < 40; $frame++) {
            $values = ['sender' => mt_rand(0, 255), 'sequence' => mt_rand(0, 255), 'code' => mt_rand(0, 255), 'argument' => mt_rand(-32768, 32767)];
            $rows[] = '{ '.implode(', ', $values).' }';
            $expected .= bin2hex($codec->encode($values))."\n";
        }
        file_put_contents($this->folder.'/node.h', (new CHeader(self::knowledge()))->write($plan, $node));
        file_put_contents($this->folder.'/frames.inc', implode(",\n", $rows));
        file_put_contents($this->folder.'/body.inc', self::C_BODY);
        file_put_contents($this->folder.'/host.c', "#include <stdio.h>\nstatic void put(char c) { putchar(c); }\n#define FINISH return 0\n#include \"body.inc\"\n");
        file_put_contents($this->folder.'/board.c', self::C_BOARD."#include \"body.inc\"\n");
        $this->execute(['gcc', '-std=c99', '-Wall', '-Wextra', '-Werror', '-o', 'host', 'host.c']);
        self::assertSame($expected, $this->execute(['./host']));
        $this->execute(['avr-gcc', '-mmcu=atmega644', '-std=c99', '-Os', '-Wall', '-Wextra', '-Werror', '-DF_CPU=16000000UL', '-o', 'board.elf', 'board.c']);
        $printed = $this->execute(['simavr', '-m', 'atmega644', '-f', '16000000', 'board.elf']);
        preg_match_all('/[0-9a-f]{16}/', (string) preg_replace('/\e\[[0-9;]*m/', '', $printed), $frames);
        self::assertSame($expected, implode("\n", $frames[0])."\n");
    }

    public function test_hostile_names_cannot_break_out_of_a_comment_or_a_name(): void
    {
        $sketch = self::pair()
            ->node('evil', '*/ int x; /* \\ ??/', NodeKind::Controller, null, '8bit-5v-20io')
            ->module('evil-radio', 'evil', 'packet-radio-plain', 'int', FedFrom::Board3V3)
            ->module('evil-relay', 'evil', 'relay-bank-1-low', '2 é*/', FedFrom::Own)
            ->output('evil-lamp', 'evil', "*/\n#error \"no\"")
            ->link('while', 'while', 'packet-radio')
            ->join('while', 'hand', Role::Sends, 'hand-radio')
            ->join('while', 'evil', Role::Receives, 'evil-radio')
            ->control('k', 'hand', '???/')
            ->route('k', Action::On, 'evil-lamp');
        $plan = $sketch->assigned();
        foreach ($plan->nodes() as $node) {
            file_put_contents($this->folder.'/node.h', (new CHeader(self::knowledge()))->write($plan, $node));
            file_put_contents($this->folder.'/node.c', "#include \"node.h\"\nint main(void) { return 0; }\n");
            $this->execute(['gcc', '-std=c99', '-Wall', '-Wextra', '-Werror', '-o', 'node', 'node.c']);
        }
        $this->addToAssertionCount(1);
    }

    private const C_TABLE = <<<'C'
        #include <stdio.h>
        #include "node.h"
        int main(void)
        {
            for (unsigned row = 0; row < sizeof sand_pit_values_toy_diggers_turn_2 / sizeof sand_pit_values_toy_diggers_turn_2[0]; row++) {
                const struct sand_pit_value *value = &sand_pit_values_toy_diggers_turn_2[row];
                printf("%d:", value->value);
                for (uint16_t at = 0; at < value->count; at++) {
                    printf(" %u", (unsigned)value->timings[at]);
                }
                printf("\n");
            }
            return 0;
        }
        C;

    private const C_BODY = <<<'C'
        #include "node.h"
        static const struct handsets_frame frames[] = {
        #include "frames.inc"
        };
        static void hex(uint8_t byte)
        {
            const char *digits = "0123456789abcdef";
            put(digits[byte >> 4]);
            put(digits[byte & 15]);
        }
        int main(void)
        {
            for (uint8_t i = 0; i < sizeof frames / sizeof frames[0]; i++) {
                uint8_t bytes[HANDSETS_FRAME_BYTES];
                struct handsets_frame back;
                handsets_frame_encode(&frames[i], bytes);
                uint8_t sound = handsets_frame_decode(&back, bytes, HANDSETS_FRAME_BYTES);
                sound = sound && !handsets_frame_decode(&back, bytes, HANDSETS_FRAME_BYTES - 1);
                sound = sound && back.sender == frames[i].sender && back.sequence == frames[i].sequence;
                sound = sound && back.code == frames[i].code && back.argument == frames[i].argument;
                for (uint8_t b = 0; sound && b < HANDSETS_FRAME_BYTES; b++) {
                    hex(bytes[b]);
                }
                put('\n');
            }
            FINISH;
        }
        C;

    private const C_BOARD = <<<'C'
        #include <avr/io.h>
        #include <avr/interrupt.h>
        #include <avr/sleep.h>
        static void put(char c)
        {
            UCSR0B = (1 << TXEN0);
            while (!(UCSR0A & (1 << UDRE0))) { }
            UDR0 = (unsigned char)c;
        }
        #define FINISH cli(); sleep_mode(); return 0

        C;

    /** @return array<string, string> */
    private function defines(Plan $plan, string $name): array
    {
        $header = (new CHeader(self::knowledge()))->write($plan, self::nodeNamed($plan, $name));
        preg_match_all('~^#define (\w+) (.*?)\s*(?:/\*.*)?$~m', $header, $found, PREG_SET_ORDER);

        return array_column($found, 2, 1);
    }

    private static function nodeNamed(Plan $plan, string $name): Node
    {
        foreach ($plan->nodes() as $node) {
            if ($node->name === $name) {
                return $node;
            }
        }
        self::fail("no node {$name}");
    }

    /** @param  list<string>  $command */
    private function execute(array $command): string
    {
        $process = new Process($command, $this->folder, timeout: 60);
        $process->mustRun();

        return $process->getOutput().($command[0] === 'simavr' ? $process->getErrorOutput() : '');
    }
}
