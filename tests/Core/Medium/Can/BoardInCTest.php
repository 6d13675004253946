<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Can;

use Random\Engine\Mt19937;
use Random\Randomizer;
use Rundfunk\Behaviour\EndNumber;
use Rundfunk\Behaviour\MessageNumbers;
use Rundfunk\Medium\Can\Board;
use Rundfunk\Medium\Can\BoardTables;
use Rundfunk\Medium\Can\CanMessages;
use Rundfunk\Medium\Can\CBoard;
use Rundfunk\Medium\Can\OwnFrame;
use Rundfunk\Medium\Can\Recording;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Tests\Core\CoreTestCase;
use Tests\Core\RunsPrograms;

/** A board on a bus does in C what it does in the core: the same frames in, the same readings, messages and frames out; on the host with sanitizers, and on an 8-bit board's simulator. */
final class BoardInCTest extends CoreTestCase
{
    use RunsPrograms;

    /** Signals of every sort on a drive, a second board, and a bought pump that is told. */
    private static function drawn(int $seed, bool $listens): Plan
    {
        $chance = new Randomizer(new Mt19937($seed));
        $sketch = self::sketch()->link('l', 'Line', 'can', ['bitrate' => 250_000, 'foreign' => $listens])
            ->node('n', 'Board', NodeKind::Controller, null, '8bit-5v-70io')->module('w', 'n', 'can-spi-5v', 'Bus')->join('l', 'n', Role::Both, 'w', ['identifier' => 0x210, 'listenOnly' => $listens])
            ->module('ks', 'n', 'button-pad-2', 'Keys')->control('k', 'n', 'Key')->control('x', 'n', 'Stick', ControlKind::Axis)->output('lamp', 'n', 'Lamp', OutputKind::Lamp)
            ->node('d', 'Drive', NodeKind::Fixture, null, null)->join('l', 'd', Role::Both);
        for ($message = 1; $message <= 3; $message++) {
            $signals = [];
            for ($signal = 1; $signal <= 3; $signal++) {
                $bits = $chance->getInt(1, 32);
                $signals[] = [
                    'name' => "S{$message}{$signal}", 'bits' => $bits, 'highFirst' => $high = $chance->getInt(0, 1) === 1, 'start' => $high ? $chance->getInt(0, 3) * 8 + 7 : $chance->getInt(0, 64 - $bits), 'signed' => $chance->getInt(0, 1) === 1,
                    'scale' => [1.0, 0.1, 0.00390625, -2.5, 250.0][$chance->getInt(0, 4)], 'offset' => [0.0, -40.0, 1_000.25][$chance->getInt(0, 2)], 'equals' => $chance->getInt(0, 3) === 0 ? $chance->getInt(-2, 3) : null,
                ];
                $sketch->control("c{$message}{$signal}", 'd', "S{$message}{$signal}", ControlKind::Reading, null, "S{$message}{$signal}", ['threshold' => 1.0])
                    ->route("c{$message}{$signal}", Action::On, 'lamp')->hop("c{$message}{$signal} lamp on", 'l', 'd', 'n', null);
            }
            $sketch->busMessage("m{$message}", 'l', 'd', "Message {$message}", $message === 3 ? 0x1800_0123 : 0x120 + $message, ['extended' => $message === 3, 'periodMs' => [50, 200, 0][$message - 1]], $signals);
        }
        if ($listens) {
            return $sketch->plan();
        }

        return $sketch->node('o', 'Other', NodeKind::Controller, null, '8bit-5v-70io')->module('ow', 'o', 'can-spi-5v', 'Bus')->join('l', 'o', Role::Both, 'ow', ['identifier' => 0x180])
            ->module('ok', 'o', 'button-pad-1', 'Key')->control('oc', 'o', 'Other key')->output('olamp', 'o', 'Other lamp', OutputKind::Lamp)
            ->route('oc', Action::Toggle, 'lamp')->hop('oc lamp toggle', 'l', 'o', 'n', 7)->route('k', Action::Momentary, 'olamp')->hop('k olamp momentary', 'l', 'n', 'o', 9)
            ->node('p', 'Pump', NodeKind::Fixture, null, null)->join('l', 'p', Role::Receives)
            ->busMessage('own', 'l', 'n', 'Pump is told', 0x300, ['bytes' => 6, 'periodMs' => 100], [['name' => 'Run', 'start' => 3], ['name' => 'Rate', 'start' => 15, 'bits' => 12, 'highFirst' => true, 'signed' => true, 'scale' => 0.5, 'offset' => -10.0], ['name' => 'Level', 'start' => 32, 'bits' => 16, 'scale' => -3.0]])
            ->output('run', 'p', 'Run', OutputKind::Function, null, 'Run')->output('rate', 'p', 'Rate', OutputKind::Function, null, 'Rate')->output('level', 'p', 'Level', OutputKind::Function, null, 'Level')
            ->route('k', Action::On, 'run')->hop('k run on', 'l', 'n', 'p', null)->route('x', Action::Set, 'rate')->hop('x rate set', 'l', 'n', 'p', null)->route('x', Action::Set, 'level')->hop('x level set', 'l', 'n', 'p', null)->plan();
    }

    private static function end(Plan $plan): Endpoint
    {
        return array_values(array_filter($plan->endpoints(), static fn (Endpoint $end): bool => $plan->node($end->nodeId)->name === 'Board'))[0];
    }

    /**
     * Frames that come, messages that are told, looks at what is due and at readings; and what the core's board says to each.
     *
     * @return array{list<array{string, int, int, int, string}>, string}
     */
    private static function played(Plan $plan, BoardTables $tables, int $seed): array
    {
        $chance = new Randomizer(new Mt19937($seed));
        $board = new Board($tables, 0, 0xFFFF_F000);
        $steps = [];
        $said = '';
        // Across the round of the milliseconds.
        for ($ms = 0xFFFF_F000, $step = 0; $step < 220; $step++) {
            $ms = ($ms + $chance->getInt(0, 60)) & 0xFFFF_FFFF;
            $kind = ['f', 'f', 'f', 'c', 't', 'd', 'v'][$chance->getInt(0, 6)];
            $ids = [...array_map(static fn (array $read): int => $read['message']->key(), $tables->reads), 0x121 | Recording::EXTENDED, 0x7FF, 0x123];
            if ($kind === 'f') {
                $id = $ids[$chance->getInt(0, count($ids) - 1)];
                $data = substr($chance->getBytes(8), 0, $chance->getInt(0, 9) === 0 ? $chance->getInt(0, 7) : 8);
            } elseif ($kind === 'c') {
                $id = 0x180;
                $data = (new OwnFrame($chance->getInt(0, 3) === 0 ? 3 : $tables->number, $chance->getInt(0, 3), $chance->getInt(5, 8), $chance->getInt(-32_768, 32_767)))->data();
            }
            if ($kind === 'f' || $kind === 'c') {
                $steps[] = ['f', $ms, $id, strlen($data), bin2hex($data)];
                $heard = $board->take($id, $data, $ms);
                $said .= $heard === null ? '' : "h {$heard->node} {$heard->code} {$heard->value}\n";
            } elseif ($kind === 't' && ! $tables->isMute()) {
                $tells = [...$tables->tells, ['node' => 2, 'code' => 9]];
                $one = $tells[$chance->getInt(0, count($tells) - 1)];
                $value = $chance->getInt(-300, 300);
                $steps[] = ['t', $ms, $one['node'], $one['code'], (string) $value];
                $said .= self::line($board->tell($one['node'], $one['code'], $value));
            } elseif ($kind === 'd' && ! $tables->isMute()) {
                $steps[] = ['d', $ms, 0, 0, ''];
                $said .= self::line($board->due($ms));
            } else {
                $steps[] = ['v', $ms, 0, 0, ''];
                $said .= 'v'.implode('', array_map(static fn (int $at): string => ' '.($board->value($at, $ms) ?? 'none'), array_keys($tables->reads)))."\n";
            }
        }

        return [$steps, $said];
    }

    /** @param  array{int, string}|null  $frame */
    private static function line(?array $frame): string
    {
        return $frame === null ? '' : sprintf("o %X %d %s\n", Recording::bare($frame[0]), Recording::isExtended($frame[0]) ? 1 : 0, bin2hex($frame[1]));
    }

    public function test_a_board_does_in_c_what_it_does_in_the_core(): void
    {
        foreach ([[1, false], [2, false], [3, false], [4, true], [5, true]] as [$seed, $listens]) {
            $plan = self::drawn($seed, $listens);
            $numbers = new MessageNumbers($plan, self::knowledge()->media);
            $end = self::end($plan);
            $tables = BoardTables::of($plan, $end, $numbers);
            self::assertCount(9, $tables->reads);
            self::assertSame($listens, $tables->isMute());
            self::assertSame(EndNumber::of($plan, $end), $tables->number);
            [$steps, $said] = self::played($plan, $tables, $seed);
            self::assertGreaterThan(60, substr_count($said, "\n"));
            $c = implode("\n", (new CanMessages)->messageLines($plan, $end, 0, 'LINE', $numbers));
            file_put_contents($this->folder.'/board.h', "#include <stdint.h>\n#define NODE_FAILED (-2147483647L - 1)\nstruct node_message { uint8_t link; uint8_t node; uint16_t code; int16_t value; };\n{$c}\n");
            file_put_contents($this->folder.'/run.c', $this->program($steps, $tables, CBoard::memoryBytes($tables)));
            $this->execute('gcc', '-std=c99', '-pedantic', '-Wall', '-Wextra', '-Werror', '-Wno-unused-function', '-fsanitize=address,undefined', '-fno-sanitize-recover=all', '-o', 'run', 'run.c');
            self::assertSame($said, $this->execute('./run'), "seed {$seed} on the host");
            $this->execute('avr-gcc', '-mmcu=atmega644', '-DF_CPU=16000000UL', '-DBOARD', '-Os', '-std=gnu99', '-Wall', '-Wextra', '-Werror', '-Wno-unused-function', '-o', 'run.elf', 'run.c');
            $output = $this->execute('simavr', '-m', 'atmega644', '-f', '16000000', 'run.elf');
            preg_match_all('/(?:^|\s)((?:h|o|v) [^\n.\x1b]*)/m', (string) preg_replace('/\x1b\[[0-9;]*m/', '', $output), $lines);
            self::assertSame(array_map(rtrim(...), explode("\n", trim($said))), array_map(rtrim(...), $lines[1]), "seed {$seed} on the board");
            if ($listens) {
                self::assertDoesNotMatchRegularExpression('/node_to_|_due/', $c, 'One that only listens has nothing that makes a frame.');
            }
        }
    }

    public function test_its_program_takes_about_what_is_said(): void
    {
        foreach ([[1, false], [2, true], [3, false]] as [$seed, $listens]) {
            $plan = self::drawn($seed, $listens);
            $numbers = new MessageNumbers($plan, self::knowledge()->media);
            $tables = BoardTables::of($plan, self::end($plan), $numbers);
            file_put_contents($this->folder.'/board.h', "#include <stdint.h>\n#define NODE_FAILED (-2147483647L - 1)\nstruct node_message { uint8_t link; uint8_t node; uint16_t code; int16_t value; };\n".implode("\n", (new CanMessages)->messageLines($plan, self::end($plan), 0, 'LINE', $numbers)));
            $uses = '#include "board.h"'."\nstruct line_state s; struct line_frame f; struct node_message m; volatile uint32_t t; volatile int32_t v; volatile uint8_t r;\nint main(void) { for (;;) {";
            $sizes = [];
            foreach (['', ' line_start(&s, t); r = node_from_line(&s, &f, t, &m); v = line_value(&s, r, t);'.($tables->isMute() ? '' : ' r = node_to_line(&s, &m, &f); r = line_due(&s, t, &f);')] as $calls) {
                file_put_contents($this->folder.'/size.c', "{$uses}{$calls} } }\n");
                $this->execute('avr-gcc', '-mmcu=atmega644', '-Os', '-std=gnu99', '-o', 'size.elf', 'size.c');
                [, $row] = explode("\n", $this->execute('avr-size', 'size.elf'));
                $sizes[] = (int) (preg_split('/\s+/', trim($row)) ?: [0])[0];
            }
            self::assertEqualsWithDelta(1.0, CBoard::programBytes($tables) / ($sizes[1] - $sizes[0]), 0.25, "seed {$seed}: ".($sizes[1] - $sizes[0]).', said '.CBoard::programBytes($tables));
        }
    }

    /** @param  list<array{string, int, int, int, string}>  $steps */
    private function program(array $steps, BoardTables $tables, int $bytes): string
    {
        $rows = implode(",\n", array_map(static fn (array $step): string => sprintf("{'%s', %dUL, 0x%XUL, %d, %d, \"%s\"}", $step[0], $step[1], Recording::bare($step[2]), ($step[3] & 0xFF) | (Recording::isExtended($step[2]) ? 0x100 : 0), $step[0] === 't' ? (int) $step[4] : 0, $step[0] === 't' ? '' : (string) preg_replace('/../', '\\x$0', $step[4])), $steps));
        $reads = count($tables->reads);
        $speaks = $tables->isMute() ? '' : <<<'C'
                    case 't':
                        message.link = 0; message.node = (uint8_t)now.id; message.code = (uint16_t)(now.length & 0xFF); message.value = now.value;
                        if (node_to_line(&bus, &message, &frame)) { show(&frame); }
                        break;
                    case 'd':
                        if (line_due(&bus, now.ms, &frame)) { show(&frame); }
                        break;
            C;

        return <<<C
            #ifdef BOARD
            #include <avr/io.h>
            #include <avr/pgmspace.h>
            #include <avr/sleep.h>
            #include <avr/interrupt.h>
            #else
            #define PROGMEM
            #endif
            #include <stdio.h>
            #include "board.h"
            struct step { char kind; uint32_t ms; uint32_t id; uint16_t length; int16_t value; char data[9]; };
            static const struct step steps[] PROGMEM = {
            {$rows}
            };
            static struct line_state bus;
            #ifdef BOARD
            typedef char as_large_as_it_is_said[sizeof bus == {$bytes} ? 1 : -1] __attribute__((unused));
            static int put(char c, FILE *f) { (void)f; while (!(UCSR0A & (1 << UDRE0))) {} UDR0 = (uint8_t)c; return 0; }
            static FILE out = FDEV_SETUP_STREAM(put, 0, _FDEV_SETUP_WRITE);
            #endif
            static inline void show(const struct line_frame *frame)
            {
                uint8_t i;
                printf("o %lX %u ", (unsigned long)frame->id, frame->extended);
                for (i = 0; i < frame->bytes; i++) { printf("%02x", frame->data[i]); }
                printf("\\n");
            }
            int main(void)
            {
                unsigned at;
            #ifdef BOARD
                UBRR0L = 0; UCSR0B = 1 << TXEN0; stdout = &out;
            #endif
                line_start(&bus, 0xFFFFF000UL);
                for (at = 0; at < sizeof steps / sizeof *steps; at++) {
                    struct node_message message;
                    struct line_frame frame;
                    struct step now;
                    uint8_t i;
            #ifdef BOARD
                    memcpy_P(&now, &steps[at], sizeof now);
            #else
                    now = steps[at];
            #endif
                    switch (now.kind) {
                    case 'f':
                        frame.id = now.id; frame.extended = now.length >> 8; frame.bytes = (uint8_t)now.length;
                        for (i = 0; i < 8; i++) { frame.data[i] = (uint8_t)now.data[i]; }
                        if (node_from_line(&bus, &frame, now.ms, &message)) {
                            printf("h %u %u %d\\n", message.node, message.code, message.value);
                        }
                        break;
            {$speaks}
                    default:
                        printf("v");
                        for (i = 0; i < {$reads}; i++) {
                            int32_t value = line_value(&bus, i, now.ms);
                            if (value == NODE_FAILED) { printf(" none"); } else { printf(" %ld", (long)value); }
                        }
                        printf("\\n");
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
}
