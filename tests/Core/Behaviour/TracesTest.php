<?php

declare(strict_types=1);

namespace Tests\Core\Behaviour;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Behaviour\CBehaviour;
use Rundfunk\Behaviour\NodeTables;
use Symfony\Component\Process\Process;
use Tests\Core\CoreTestCase;

/**
 * Equal by proof: whatever happens to a node, the machine, its header on this computer and its header on an 8-bit board (in
 * its simulator) do the same, step for step. 64 random nodes, 40 traces of 30 steps each.
 */
final class TracesTest extends CoreTestCase
{
    private const TRACES = 40;

    private const STEPS = 30;

    private string $folder;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/rundfunk-traces-'.bin2hex(random_bytes(6));
        mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        array_map(unlink(...), (array) glob($this->folder.'/*'));
        rmdir($this->folder);
    }

    /** @return iterable<string, array{int}> */
    public static function batches(): iterable
    {
        foreach (range(0, 56, 8) as $from) {
            yield "nodes {$from} to ".($from + 7) => [$from];
        }
    }

    #[DataProvider('batches')]
    public function test_machine_host_and_8_bit_board_do_the_same(int $from): void
    {
        $nodes = array_combine($numbers = range($from, $from + 7), array_map(RandomTables::of(...), $numbers));
        $expected = [];
        foreach ($nodes as $number => $tables) {
            file_put_contents("{$this->folder}/any.h", '');
            file_put_contents("{$this->folder}/node{$number}.h", CBehaviour::write($tables, 'any.h', ['A random node.']));
            file_put_contents("{$this->folder}/node{$number}.c", "#include \"node{$number}.h\"\n".Trace::inC($tables, self::STEPS)."\n#include \"main.inc\"\n");
            $expected[$number] = '';
            for ($trace = 1; $trace <= self::TRACES; $trace++) {
                $expected[$number] .= Trace::run($tables, self::seed($trace), self::STEPS)[self::STEPS - 1]."\n";
            }
        }
        file_put_contents("{$this->folder}/main.inc", strtr(self::MAIN, ['@traces' => (string) self::TRACES]));
        $flags = ['-std=c99', '-Wall', '-Wextra', '-Werror'];
        $this->all($nodes, static fn (int $number): array => ['gcc', '-pedantic', ...$flags, '-fsanitize=undefined', '-fno-sanitize-recover', '-o', "host{$number}", "node{$number}.c"]);
        $host = $this->all($nodes, static fn (int $number): array => ["./host{$number}"]);
        $this->all($nodes, static fn (int $number): array => ['avr-gcc', '-mmcu=atmega644', ...$flags, '-Os', '-DF_CPU=16000000UL', '-o', "board{$number}.elf", "node{$number}.c"]);
        $board = $this->all($nodes, static fn (int $number): array => ['simavr', '-m', 'atmega644', '-f', '16000000', "board{$number}.elf"]);
        foreach ($nodes as $number => $tables) {
            // Where they part is looked for only where they do: that takes as long as all the rest.
            self::assertSame($expected[$number], $host[$number], "node {$number} on this computer: ".($host[$number] === $expected[$number] ? '' : $this->where($number, $tables)));
            preg_match_all('/\b[0-9a-f]{8}\b/', (string) preg_replace('/\e\[[0-9;]*m/', '', $board[$number]), $sums);
            self::assertSame($expected[$number], implode("\n", $sums[0])."\n", "node {$number} on the board");
        }
    }

    private static function seed(int $trace): int
    {
        return $trace * 0x9E37_79B1 & 0xFFFF_FFFF | 1;
    }

    /** The first trace and step that differ. */
    private function where(int $number, NodeTables $tables): string
    {
        for ($trace = 1; $trace <= self::TRACES; $trace++) {
            $process = new Process(["./host{$number}", (string) $trace], $this->folder);
            $process->run();
            $ours = Trace::run($tables, self::seed($trace), self::STEPS);
            foreach (explode("\n", trim($process->getOutput())) as $step => $sum) {
                if ($sum !== ($ours[$step] ?? '')) {
                    return "trace {$trace} parts at step {$step}";
                }
            }
        }

        return 'nowhere';
    }

    /**
     * Two at a time, as this machine has cores.
     *
     * @param  array<int, NodeTables>  $nodes
     * @param  callable(int): list<string>  $command
     * @return array<int, string> what each said
     */
    private function all(array $nodes, callable $command): array
    {
        $said = [];
        foreach (array_chunk(array_keys($nodes), 2) as $pair) {
            $runs = [];
            foreach ($pair as $number) {
                $runs[$number] = new Process($command($number), $this->folder, timeout: 120);
                $runs[$number]->start();
            }
            foreach ($runs as $number => $run) {
                self::assertSame(0, $run->wait(), "node {$number}: ".$run->getErrorOutput().$run->getOutput());
                $said[$number] = $run->getOutput().(str_starts_with($command($number)[0], './') ? '' : $run->getErrorOutput());
            }
        }

        return $said;
    }

    private const MAIN = <<<'C'
        #ifdef __AVR__
        #include <avr/io.h>
        #include <avr/interrupt.h>
        #include <avr/sleep.h>
        static void put(char c) { while (!(UCSR0A & (1 << UDRE0))) { } UDR0 = (uint8_t)c; }
        #else
        #include <stdio.h>
        #include <stdlib.h>
        static void put(char c) { putchar(c); }
        #endif
        static void hex(uint32_t word) { for (int8_t shift = 28; shift >= 0; shift -= 4) put("0123456789abcdef"[(word >> shift) & 15]); put('\n'); }
        #ifdef __AVR__
        int main(void)
        {
            UCSR0B = 1 << TXEN0;
            UBRR0 = 0;
            for (uint32_t n = 1; n <= @traces; n++) { trace((n * 0x9E3779B1UL) | 1, 0); hex(sum); }
            while (!(UCSR0A & (1 << TXC0))) { }
            cli();
            sleep_mode();
            return 0;
        }
        #else
        int main(int count, char **words)
        {
            if (count > 1) { trace(((uint32_t)atoi(words[1]) * 0x9E3779B1UL) | 1, hex); return 0; }
            for (uint32_t n = 1; n <= @traces; n++) { trace((n * 0x9E3779B1UL) | 1, 0); hex(sum); }
            return 0;
        }
        #endif
        C;
}
