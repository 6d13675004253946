<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Dmx;

use Random\Engine\Mt19937;
use Random\Randomizer;
use Rundfunk\Behaviour\MessageNumbers;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Medium\Dmx\BridgeForm;
use Rundfunk\Medium\Dmx\CSender;
use Rundfunk\Medium\Dmx\DmxMessages;
use Rundfunk\Medium\Dmx\Listener;
use Rundfunk\Medium\Dmx\ListenerTables;
use Rundfunk\Medium\Dmx\NetworkPacket;
use Rundfunk\Medium\Dmx\Sender;
use Rundfunk\Medium\Dmx\SenderTables;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Rundfunk\Plan\ThingKind;
use Tests\Core\CoreTestCase;
use Tests\Core\RunsPrograms;

/** Who tells a universe and who obeys one do in C what they do in the core, on the host with sanitizers and on an 8-bit board's simulator. */
final class SlotsInCTest extends CoreTestCase
{
    use RunsPrograms;

    private const HEAD = "#include <stdint.h>\nstruct node_message { uint8_t link; uint8_t node; uint16_t code; int16_t value; };\n";

    /** @param  array<string, mixed>  $universe  settings */
    private static function drawn(int $seed, array $universe, bool $bridges, bool $pulses): Plan
    {
        $chance = new Randomizer(new Mt19937($seed));
        $sketch = self::sketch()->link('l', 'Lamps', 'dmx', $universe)
            ->node('n', 'Desk', NodeKind::Controller, null, '8bit-5v-70io')->module('w', 'n', $bridges ? 'dmx-bridge' : 'dmx-driver-5v', 'Line', FedFrom::Board5V)->join('l', 'n', Role::Sends, 'w', ['bridges' => $bridges, 'priority' => 120])
            ->module('kp', 'n', 'button-pad-8', 'Keys')
            ->fixtureType('t', 'Lamp', ['modes' => [['name' => 'm', 'slots' => [['name' => 'A', 'at' => 1, 'rest' => 30], ['name' => 'B', 'at' => 2, 'fineAt' => 4, 'rest' => 128], ['name' => 'C', 'at' => 3, 'on' => 12], ['name' => 'D', 'at' => 6]]]]]);
        foreach ([1, 2] as $lamp) {
            $sketch->node("f{$lamp}", "Lamp {$lamp}", NodeKind::Fixture, null, null, ['fixtureTypeId' => $sketch->id('t')])->join('l', "f{$lamp}", Role::Receives, null, ['start' => $lamp === 1 ? 3 : 20]);
            foreach (['A' => [0, 255], 'B' => [-90, 90], 'C' => [0, 100], 'D' => [0, 10_000]] as $name => [$lowest, $highest]) {
                $sketch->output("f{$lamp}{$name}", "f{$lamp}", $name, OutputKind::Function, null, $name, more: ['settings' => ['lowest' => $lowest, 'highest' => $highest]]);
            }
        }
        $actions = [Action::On, Action::Off, Action::Toggle, Action::Momentary, Action::Set, Action::Step, ...($pulses ? [Action::Pulse] : [])];
        for ($key = 1; $key <= 8; $key++) {
            // What a stick says comes with the message; what a key sets, the plan says.
            $sketch->control("k{$key}", 'n', "Key {$key}", $key % 2 === 0 ? ControlKind::Axis : ControlKind::Button);
            foreach (['A', 'B', 'C', 'D'] as $name) {
                $action = $actions[$chance->getInt(0, count($actions) - 1)];
                $lamp = $chance->getInt(1, 2);
                $value = $action === Action::Set ? [null, $chance->getInt(0, 90)][$chance->getInt(0, 1)] : ($action === Action::Step ? $chance->getInt(-40, 40) : null);
                $sketch->route("k{$key}", $action, "f{$lamp}{$name}", $action === Action::Pulse ? 400 : null, $value, ['fadeMs' => [0, 0, 60, 1_000, 90_000][$chance->getInt(0, 4)]])->hop("k{$key} f{$lamp}{$name} {$action->value}", 'l', 'n', "f{$lamp}", null);
            }
        }

        return $sketch->plan();
    }

    private static function desk(Plan $plan): Endpoint
    {
        return array_values(array_filter($plan->endpoints(), static fn (Endpoint $end): bool => $end->role === Role::Sends))[0];
    }

    /** @return array{list<array{string, int, int, int, int}>, string} what is done, and what the core says to it */
    private static function played(SenderTables $tables, int $seed, ?BridgeForm $form): array
    {
        $chance = new Randomizer(new Mt19937($seed));
        $sender = new Sender($tables, 0xFFFF_F000);
        $steps = [];
        $said = '';
        for ($ms = 0xFFFF_F000, $step = 0; $step < 260; $step++) {
            // Across the round of the milliseconds, and now and then far.
            $ms = ($ms + ($chance->getInt(0, 40) === 0 ? $chance->getInt(1_000, 70_000) : $chance->getInt(0, 90))) & 0xFFFF_FFFF;
            if ($chance->getInt(0, 1) === 0) {
                $tell = $tables->tells[$chance->getInt(0, count($tables->tells) - 1)];
                $value = [0, 1, $chance->getInt(-300, 300), $chance->getInt(-32_768, 32_767)][$chance->getInt(0, 3)];
                $steps[] = ['t', $ms, $tell->node, $tell->code, $value];
                $sender->tell($tell->node, $tell->code, $value, $ms);
            } elseif ($form !== null && $chance->getInt(0, 2) > 0) {
                $steps[] = ['n', $ms, 0, 0, 0];
                $next = $sender->next($ms);
                $said .= 'n '.($next === null ? '-' : $form->text(...$next))."\n";
            } else {
                $steps[] = ['s', $ms, 0, 0, 0];
                $said .= 's '.bin2hex($sender->slots($ms))."\n";
            }
        }

        return [$steps, $said];
    }

    public function test_a_desk_does_in_c_what_it_does_in_the_core(): void
    {
        foreach ([[1, false, true], [2, true, true], [3, false, false], [4, true, false]] as [$seed, $bridges, $pulses]) {
            $plan = self::drawn($seed, [], $bridges, $pulses);
            $numbers = new MessageNumbers($plan, self::knowledge()->media);
            $tables = SenderTables::of($plan, self::desk($plan), $numbers);
            self::assertGreaterThan(6, count($tables->driven));
            self::assertSame($pulses, $tables->pulses());
            $form = $bridges ? BridgeForm::from(BridgeForm::USUAL) : null;
            [$steps, $said] = self::played($tables, $seed, $form);
            self::assertGreaterThan(15, count(array_unique(explode("\n", $said))));
            file_put_contents($this->folder.'/desk.h', self::HEAD.implode("\n", (new DmxMessages)->messageLines($plan, self::desk($plan), 0, 'LINE', $numbers)));
            file_put_contents($this->folder.'/run.c', $this->program($steps, $bridges, CSender::memoryBytes($tables, $bridges)));
            $this->onHostAndBoard($said, "seed {$seed}");
        }
    }

    private function onHostAndBoard(string $said, string $which): void
    {
        $this->execute('gcc', '-std=c99', '-pedantic', '-Wall', '-Wextra', '-Werror', '-Wno-unused-function', '-fsanitize=address,undefined', '-fno-sanitize-recover=all', '-o', 'run', 'run.c');
        self::assertSame($said, $this->execute('./run'), "{$which} on the host");
        $this->execute('avr-gcc', '-mmcu=atmega644', '-DF_CPU=16000000UL', '-DBOARD', '-Os', '-std=gnu99', '-Wall', '-Wextra', '-Werror', '-Wno-unused-function', '-o', 'run.elf', 'run.c');
        $output = $this->execute('simavr', '-m', 'atmega644', '-f', '16000000', 'run.elf');
        preg_match_all('/(?:^|\s)((?:s|n|h) [^\n.\x1b]*)/m', (string) preg_replace('/\x1b\[[0-9;]*m/', '', $output), $lines);
        self::assertSame(array_map(rtrim(...), explode("\n", trim($said))), array_map(rtrim(...), $lines[1]), "{$which} on the board");
    }

    /** @return list<array{int, bool, bool, bool}> seed, whether it tells a bridge, pulses, goes by network */
    private static function programs(): array
    {
        return [[1, false, true, false], [2, true, true, false], [3, false, false, false], [5, false, false, true]];
    }

    public function test_its_program_takes_about_what_is_said(): void
    {
        foreach (self::programs() as [$seed, $bridges, $pulses, $isNetwork]) {
            $plan = self::drawn($seed, $isNetwork ? ['form' => 'network', 'universe' => 3] : [], $bridges, $pulses);
            $numbers = new MessageNumbers($plan, self::knowledge()->media);
            file_put_contents($this->folder.'/desk.h', self::HEAD.implode("\n", (new DmxMessages)->messageLines($plan, self::desk($plan), 0, 'LINE', $numbers)));
            $uses = '#include "desk.h"'."\nstruct line_state s; struct node_message m; volatile uint32_t t; volatile uint8_t r; ".($bridges ? 'char text[LINE_LONGEST];' : '').($isNetwork ? 'uint8_t packet[LINE_BYTES];' : '')."\nint main(void) { for (;;) {";
            $sizes = $memory = [];
            $beside = $isNetwork ? NetworkPacket::HEAD + strlen(SenderTables::of($plan, self::desk($plan), $numbers)->rests) : 0;
            foreach (['', ' line_start(&s, t); node_to_line(&s, &m, t); line_refresh(&s, t);'.($bridges ? ' r = line_next(&s, t, text);' : '').($isNetwork ? ' line_packet(&s, t, packet);' : '')] as $calls) {
                file_put_contents($this->folder.'/size.c', "{$uses}{$calls} } }\n");
                $this->execute('avr-gcc', '-mmcu=atmega644', '-Os', '-std=gnu99', '-o', 'size.elf', 'size.c');
                [, $row] = explode("\n", $this->execute('avr-size', 'size.elf'));
                [$text, $data, $bss] = array_map(intval(...), preg_split('/\s+/', trim($row)) ?: []);
                $sizes[] = $text;
                // Less what the test itself keeps: message, clock, answer, and what goes out.
                $memory[] = $data + $bss - 11 - ($bridges ? 9 : 0) - $beside;
            }
            $takes = $sizes[1] - $sizes[0];
            // On that board a table that never changes lies in memory all the same.
            self::assertSame((new DmxMessages)->memoryBytes($plan, self::desk($plan), $numbers), $memory[1] + $beside, "seed {$seed}");
            self::assertEqualsWithDelta(1.0, (new DmxMessages)->programBytes($plan, self::desk($plan), $numbers) / $takes, 0.1, "seed {$seed}: {$takes}, said ".(new DmxMessages)->programBytes($plan, self::desk($plan), $numbers));
        }
    }

    public function test_a_packet_made_in_c_is_the_one_of_the_core(): void
    {
        $plan = self::drawn(6, ['form' => 'network', 'universe' => 7_962], false, false);
        $numbers = new MessageNumbers($plan, self::knowledge()->media);
        $tables = SenderTables::of($plan, self::desk($plan), $numbers);
        $sender = new Sender($tables, 0);
        $packet = new NetworkPacket(DmxMessages::source(self::desk($plan)), 'Desk', 7_962, 120);
        $told = $tables->tells[0];
        $sender->tell($told->node, $told->code, 77, 100);
        file_put_contents($this->folder.'/desk.h', self::HEAD.implode("\n", (new DmxMessages)->messageLines($plan, self::desk($plan), 0, 'LINE', $numbers)));
        file_put_contents($this->folder.'/run.c', <<<C
            #include <stdio.h>
            #include "desk.h"
            int main(void)
            {
                static struct line_state desk;
                uint8_t packet[LINE_BYTES];
                struct node_message message = {0, {$told->node}, {$told->code}, 77};
                unsigned round, at;
                line_start(&desk, 0);
                node_to_line(&desk, &message, 100);
                for (round = 0; round < 3; round++) {
                    line_packet(&desk, 5000, packet);
                    for (at = 0; at < LINE_BYTES; at++) { printf("%02x", packet[at]); }
                    printf("\\n");
                }
                printf("%s\\n", LINE_GROUP);
                return 0;
            }
            C);
        $this->execute('gcc', '-std=c99', '-pedantic', '-Wall', '-Wextra', '-Werror', '-Wno-unused-function', '-fsanitize=address,undefined', '-o', 'run', 'run.c');
        $slots = $sender->slots(5_000);
        self::assertSame(implode("\n", array_map(static fn (int $sequence): string => bin2hex($packet->bytes($slots, $sequence)), [0, 1, 2]))."\n239.255.31.26\n", $this->execute('./run'));
    }

    public function test_a_board_that_obeys_does_in_c_what_it_does_in_the_core(): void
    {
        $sketch = self::sketch()->link('l', 'Lamps', 'dmx')
            ->node('n', 'Desk', NodeKind::Controller, null, '8bit-5v-70io')->module('w', 'n', 'dmx-driver-5v', 'Line', FedFrom::Board5V)->join('l', 'n', Role::Sends, 'w')->module('kp', 'n', 'button-pad-4', 'Keys')
            ->node('o', 'Dimmer', NodeKind::Controller, null, '8bit-5v-70io')->module('ow', 'o', 'dmx-receiver-5v', 'Line', FedFrom::Board5V)->join('l', 'o', Role::Receives, 'ow', ['start' => 5])
            ->output('p', 'o', 'Level', OutputKind::Pwm, more: ['settings' => ['lowest' => -50, 'highest' => 150]])->output('q', 'o', 'Relay')->output('r', 'o', 'Fan');
        foreach ([['x', Action::Set, 'p', null], ['b', Action::Set, 'p', 75], ['c', Action::On, 'q', null], ['d', Action::Off, 'q', null], ['a', Action::Momentary, 'r', null]] as [$key, $action, $output, $value]) {
            $sketch->plan()->find(ThingKind::Control, $sketch->id($key)) ?? $sketch->control($key, 'n', "Key {$key}", $key === 'x' ? ControlKind::Axis : ControlKind::Button);
            $sketch->route($key, $action, $output, value: $value)->hop("{$key} {$output} {$action->value}", 'l', 'n', 'o', null);
        }
        $plan = $sketch->plan();
        $end = array_values(array_filter($plan->endpoints(), static fn (Endpoint $one): bool => $one->role === Role::Receives))[0];
        $numbers = new MessageNumbers($plan, self::knowledge()->media);
        $tables = ListenerTables::of($plan, $end, $numbers);
        self::assertCount(3, $tables->slots);
        $listener = new Listener($tables, 0);
        $chance = new Randomizer(new Mt19937(9));
        $rows = [];
        $said = '';
        $slots = str_repeat("\0", 10);
        for ($ms = 0xFFFF_FC00, $step = 0; $step < 200; $step++) {
            $ms = ($ms + $chance->getInt(5, 60)) & 0xFFFF_FFFF;
            $slots[$chance->getInt(3, 8)] = chr([0, 255, 127, 128, 159, $chance->getInt(0, 255)][$chance->getInt(0, 5)]);
            $count = $chance->getInt(0, 9) === 0 ? $chance->getInt(0, 6) : 10;
            $rows[] = sprintf('{%uUL, %d, "%s"}', $ms, $count, (string) preg_replace('/../', '\\x$0', bin2hex($slots)));
            foreach ($listener->take(substr($slots, 0, $count), $ms) as $message) {
                $said .= "h {$message->node} {$message->code} {$message->value}\n";
            }
        }
        self::assertGreaterThan(80, substr_count($said, "\n"));
        file_put_contents($this->folder.'/desk.h', self::HEAD.implode("\n", (new DmxMessages)->messageLines($plan, $end, 0, 'LINE', $numbers)));
        $rows = implode(",\n", $rows);
        $bytes = (new DmxMessages)->memoryBytes($plan, $end, $numbers);
        file_put_contents($this->folder.'/run.c', self::frame(<<<C
            struct step { uint32_t ms; uint8_t count; char slots[11]; };
            static const struct step steps[] PROGMEM = {
            {$rows}
            };
            static struct line_ear ear;
            C, "sizeof ear == {$bytes}", <<<'C'
                line_ear_start(&ear);
            C, <<<'C'
                struct node_message message;
                while (node_from_line(&ear, (const uint8_t *)now.slots, now.count, now.ms, &message)) {
                    printf("h %u %u %d\n", message.node, message.code, message.value);
                }
            C));
        $this->onHostAndBoard($said, 'a listener');
    }

    /** @param  list<array{string, int, int, int, int}>  $steps */
    private function program(array $steps, bool $bridges, int $bytes): string
    {
        $rows = implode(",\n", array_map(static fn (array $step): string => sprintf("{'%s', %uUL, %d, %d, %d}", ...$step), $steps));

        return self::frame(<<<C
            struct step { char kind; uint32_t ms; uint8_t node; uint16_t code; int16_t value; };
            static const struct step steps[] PROGMEM = {
            {$rows}
            };
            static struct line_state desk;
            C, "sizeof desk == {$bytes}", <<<'C'
                line_start(&desk, 0xFFFFF000UL);
            C, ($bridges ? <<<'C'
                if (now.kind == 'n') {
                    char text[LINE_LONGEST];
                    printf("n %s\n", line_next(&desk, now.ms, text) ? text : "-");
                } else
            C : '').<<<'C'
                if (now.kind == 't') {
                    struct node_message message;
                    message.link = 0; message.node = now.node; message.code = now.code; message.value = now.value;
                    node_to_line(&desk, &message, now.ms);
                } else {
                    uint16_t slot;
                    line_refresh(&desk, now.ms);
                    printf("s ");
                    for (slot = 0; slot < LINE_SLOTS; slot++) { printf("%02x", desk.slots[slot]); }
                    printf("\n");
                }
            C);
    }

    private static function frame(string $tables, string $size, string $begin, string $each): string
    {
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
            #include "desk.h"
            {$tables}
            #ifdef BOARD
            typedef char as_large_as_it_is_said[{$size} ? 1 : -1] __attribute__((unused));
            static int put(char c, FILE *f) { (void)f; while (!(UCSR0A & (1 << UDRE0))) {} UDR0 = (uint8_t)c; return 0; }
            static FILE out = FDEV_SETUP_STREAM(put, 0, _FDEV_SETUP_WRITE);
            #endif
            int main(void)
            {
                unsigned at;
            #ifdef BOARD
                UBRR0L = 0; UCSR0B = 1 << TXEN0; stdout = &out;
            #endif
            {$begin}
                for (at = 0; at < sizeof steps / sizeof *steps; at++) {
                    struct step now;
            #ifdef BOARD
                    memcpy_P(&now, &steps[at], sizeof now);
            #else
                    now = steps[at];
            #endif
            {$each}
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
