<?php

declare(strict_types=1);

namespace Tests\Core\Behaviour;

use LogicException;
use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Rundfunk\Behaviour\Message;
use Rundfunk\Behaviour\MessageNumbers;
use Rundfunk\Behaviour\Whole\Hearing;
use Rundfunk\Behaviour\Whole\Saying;
use Rundfunk\Behaviour\Whole\SlotKind;
use Rundfunk\Behaviour\Whole\StateSlot;
use Rundfunk\Behaviour\Whole\WholeFrame;
use Rundfunk\Behaviour\Whole\WholeState;
use Rundfunk\Build\BehaviourFiles;
use Rundfunk\Build\CHeader;
use Rundfunk\Build\Fingerprint;
use Rundfunk\Edit\Editor;
use Rundfunk\Frame\FrameCodec;
use Rundfunk\Medium\PacketRadio\PacketBroadcast;
use Rundfunk\Medium\PacketRadio\PacketFrame;
use Rundfunk\Medium\PacketRadio\PacketMessages;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Rundfunk\Plan\ThingKind;
use Tests\Core\CoreTestCase;
use Tests\Core\RunsPrograms;

/** Frames that say all: what is lost is made up, nothing is made up that was not asked, and C says and hears what the core does. */
final class WholeStateTest extends CoreTestCase
{
    use RunsPrograms;

    /** @param  array<string, mixed>  $settings */
    private static function plan(array $settings = []): Plan
    {
        return self::sketch()
            ->node('hand', 'Hand', NodeKind::Handset, null, '8bit-5v-20io')->module('hand-radio', 'hand', 'packet-radio-plain', 'Radio')
            ->node('boat', 'Boat', NodeKind::Controller, null, '8bit-5v-20io')->module('boat-radio', 'boat', 'packet-radio-plain', 'Radio')
            ->node('pier', 'Pier', NodeKind::Controller, null, '8bit-5v-20io')->module('pier-radio', 'pier', 'packet-radio-plain', 'Radio')
            ->link('air', 'Air', 'packet-radio', ['wholeState' => true, ...$settings])
            ->join('air', 'hand', Role::Sends, 'hand-radio')->join('air', 'boat', Role::Receives, 'boat-radio')->join('air', 'pier', Role::Receives, 'pier-radio')
            ->control('horn', 'hand', 'Horn key')->control('lamp', 'hand', 'Lamp key')->control('more', 'hand', 'More key')->control('way', 'hand', 'Throttle', ControlKind::Axis)->control('all', 'hand', 'All off')
            ->output('horn', 'boat', 'Horn')->output('lamp', 'boat', 'Lamp')->output('screw', 'boat', 'Screw', OutputKind::Motor)->output('light', 'pier', 'Light', OutputKind::Pwm)
            ->route('horn', Action::Momentary, 'horn')->route('lamp', Action::Toggle, 'lamp')->route('more', Action::Step, 'light', null, 10)->route('way', Action::Set, 'screw')
            ->route('all', Action::Off, 'lamp')->route('all', Action::Set, 'light', null, 20)
            ->assigned();
    }

    private static function state(Plan $plan): WholeState
    {
        return WholeState::of($plan, $plan->endpointsOf(self::named($plan, 'Hand'))[0], new PacketBroadcast);
    }

    private static function named(Plan $plan, string $name): Node
    {
        return array_values(array_filter($plan->nodes(), static fn (Node $one): bool => $one->name === $name))[0];
    }

    private static function hearing(Plan $plan, string $node): Hearing
    {
        return new Hearing(self::state($plan)->heardBy($plan->endpointsOf(self::named($plan, $node))[0]), 0, 1);
    }

    /** @return array<string, StateSlot> by name */
    private static function slots(Plan $plan): array
    {
        return array_column(self::state($plan)->slots, null, 'name');
    }

    private static function bytes(Plan $plan, WholeFrame $frame): string
    {
        $link = $plan->links()[0];
        $head = PacketFrame::of($plan, $link);
        $room = $head->room;
        self::assertNotNull($room);
        $state = (new FrameCodec(self::state($plan)->layout($room->bytes)))->encode($frame->values);

        return substr_replace((new FrameCodec($head))->encode(['sender' => 1, 'sequence' => $frame->sequence]), $state, $room->fromByte, $room->bytes);
    }

    public function test_it_is_laid_out_from_what_is_asked(): void
    {
        $plan = self::plan();
        $slots = self::slots($plan);
        self::assertSame(
            ['horn_key_horn_momentary' => SlotKind::Held, 'lamp_key_lamp_toggle' => SlotKind::Counted, 'throttle_screw_set' => SlotKind::Valued, 'all_off_lamp_off' => SlotKind::Counted, 'more_key_light_step' => SlotKind::Counted, 'all_off_light_set' => SlotKind::Counted],
            array_map(static fn (StateSlot $slot): SlotKind => $slot->kind, $slots),
        );
        // A bit each for "said"; then 1 held, 4 × 2 counted, and a motor's −100 to 100 with "nothing yet" in 8: 23 bits, 3 bytes behind sender and sequence.
        self::assertSame(3, self::state($plan)->usedBytes());
        self::assertSame(5, PacketFrame::of($plan, $plan->links()[0])->usedBytes());
        self::assertSame([2, 3], self::state($plan)->receivers());
        self::assertSame([-100, 100, -101], [$slots['throttle_screw_set']->lowest, $slots['throttle_screw_set']->highest, $slots['throttle_screw_set']->unsaid()]);
    }

    public function test_what_is_lost_is_made_up_by_the_next_frame_that_is_heard(): void
    {
        $plan = self::plan();
        $slots = self::slots($plan);
        [$horn, $lamp, $way] = [$slots['horn_key_horn_momentary']->code, $slots['lamp_key_lamp_toggle']->code, $slots['throttle_screw_set']->code];
        $saying = new Saying(self::state($plan));
        $boat = self::hearing($plan, 'Boat');
        $saying->put(2, $way, 0);
        self::assertEquals([new Message(0, 1, $horn, 0), new Message(0, 1, $way, 0)], $boat->hear(self::frame($saying, 2)), 'a boat that has just begun learns how the hand stands');
        // Three presses and the horn go by unheard.
        foreach ([[$lamp, 0], [$lamp, 0], [$lamp, 0], [$horn, 1]] as [$code, $value]) {
            $saying->put(2, $code, $value);
            self::frame($saying, 2);
        }
        $saying->put(2, $way, 70);
        self::assertEquals([new Message(0, 1, $horn, 1), new Message(0, 1, $lamp, 0), new Message(0, 1, $lamp, 0), new Message(0, 1, $lamp, 0), new Message(0, 1, $way, 70)], $boat->hear(self::frame($saying, 2)));
    }

    public function test_one_that_begins_anew_makes_no_press_up_and_the_press_that_it_says_counts(): void
    {
        $plan = self::plan();
        $lamp = self::slots($plan)['lamp_key_lamp_toggle']->code;
        $presses = static fn (Hearing $boat, WholeFrame $frame): int => count(array_filter($boat->hear($frame), static fn (Message $one): bool => $one->code === $lamp));
        $hand = new Saying(self::state($plan));
        $boat = self::hearing($plan, 'Boat');
        for ($press = 0; $press < 5; $press++) {
            self::assertSame(1, $presses($boat, self::pressed($hand, $lamp)));
        }
        // A new battery: it counts from the beginning again.
        self::assertSame(1, $presses($boat, self::pressed(new Saying(self::state($plan)), $lamp)));
        // A boat that begins anew does not make up for what it was not there for.
        self::pressed($hand, $lamp);
        $boat = self::hearing($plan, 'Boat');
        self::assertSame(1, $presses($boat, self::pressed($hand, $lamp)));
        $again = $hand->frame(2, true);
        self::assertNotNull($again);
        self::assertSame([0, 0], [$presses($boat, $again), $presses($boat, $again)]);
        self::assertNull($hand->frame(2), 'there is nothing left to tell');
    }

    public function test_the_sequence_runs_round_without_looking_like_a_start(): void
    {
        $plan = self::plan();
        $lamp = self::slots($plan)['lamp_key_lamp_toggle']->code;
        $hand = new Saying(self::state($plan));
        $boat = self::hearing($plan, 'Boat');
        $presses = 0;
        for ($frame = 0; $frame < 700; $frame++) {
            $heard = self::pressed($hand, $lamp);
            // Two of three are lost, all the way round.
            $presses += $frame % 3 === 0 ? count(array_filter($boat->hear($heard), static fn (Message $one): bool => $one->code === $lamp)) : 0;
        }
        self::assertSame(700, $presses);
    }

    public function test_both_ends_are_flashed_again_when_a_bit_moves(): void
    {
        $plan = self::plan();
        $link = $plan->links()[0];
        $before = Fingerprint::ofLink($plan, $link, self::knowledge());
        $screw = array_values(array_filter($plan->outputs(), static fn (Output $output): bool => $output->name === 'Screw'))[0];
        $wider = (new Editor(self::knowledge()))->apply($plan, [Operation::change(ThingKind::Output, $screw->id, ['settings' => ['lowest' => -500, 'highest' => 500]])])->plan;
        self::assertNotSame($before, Fingerprint::ofLink($wider, $wider->links()[0], self::knowledge()));
    }

    public function test_c_says_and_hears_what_the_core_does_on_host_and_on_an_8_bit_board(): void
    {
        $plan = self::plan(['acknowledge' => false]);
        $slots = self::state($plan)->slots;
        $chance = new Randomizer(new Mt19937(1127));
        $saying = new Saying(self::state($plan));
        $boat = self::hearing($plan, 'Boat');
        $script = $frames = [];
        $said = $heard = '';
        for ($step = 0; $step < 2_500; $step++) {
            [$what, $node, $code, $value] = match (true) {
                $chance->getInt(0, 60) === 0 => ['begin', 0, 0, 0],
                $chance->getInt(0, 2) > 0 => ['put', ($slot = $slots[$chance->getInt(0, count($slots) - 1)])->to, $slot->code, [0, 1, 300, -300, $chance->getInt(-100, 100)][$chance->getInt(0, 4)]],
                default => ['frame', $chance->getInt(2, 3), $chance->getInt(0, 5) === 0 ? 1 : 0, 0],
            };
            $script[] = '{ '.['begin' => 0, 'put' => 1, 'frame' => 2][$what].", {$node}, {$code}, {$value} }";
            if ($what === 'begin') {
                $saying = new Saying(self::state($plan));
            } elseif ($what === 'put') {
                $saying->put($node, $code, $value);
            } else {
                $frame = $saying->frame($node, $code === 1);
                $said .= ($frame === null ? '-' : bin2hex(self::bytes($plan, $frame)))."\n";
                // Half of what goes to the boat is lost, some comes twice; what goes to the pier it does not hear.
                for ($times = $node === 2 ? $chance->getInt(0, 3) - 1 : 0; $frame !== null && $times > 0; $times--) {
                    $frames[] = '{ '.implode(', ', array_map(static fn (string $byte): string => "0x{$byte}", str_split(bin2hex(self::bytes($plan, $frame)), 2))).' }';
                    $heard .= implode(' ', array_map(static fn (Message $one): string => "{$one->node}/{$one->code}/{$one->value}", $boat->hear($frame)))."\n";
                }
            }
        }
        self::assertGreaterThan(150, count($frames));
        self::assertStringContainsString(' ', $heard);
        $this->write($plan, 'Hand', 'static const struct { uint8_t what; uint8_t node; uint16_t code; int16_t value; } script[] = { '.implode(', ', $script)." };\n".<<<'C'
            int main(void)
            {
                static struct air_saying hand;
                air_begin(&hand);
                for (unsigned n = 0; n < sizeof script / sizeof script[0]; n++) {
                    struct node_message told = { 0, script[n].node, script[n].code, script[n].value };
                    uint8_t bytes[AIR_FRAME_BYTES];
                    if (script[n].what == 0) {
                        air_begin(&hand);
                    } else if (script[n].what == 1) {
                        node_put_air(&hand, &told);
                    } else if (node_to_air(&hand, script[n].node, (uint8_t)script[n].code, bytes)) {
                        for (uint8_t b = 0; b < AIR_FRAME_BYTES; b++) { put("0123456789abcdef"[bytes[b] >> 4]); put("0123456789abcdef"[bytes[b] & 15]); }
                        put('\n');
                    } else {
                        put('-'); put('\n');
                    }
                }
                FINISH;
            }
            C);
        self::assertSame($said, $this->host());
        $this->write($plan, 'Boat', 'static const uint8_t frames[]['.PacketFrame::of($plan, $plan->links()[0])->lengthBytes.'] = { '.implode(', ', $frames)." };\n".<<<'C'
            static void number(long value)
            {
                char digits[8]; uint8_t count = 0;
                if (value < 0) { put('-'); value = -value; }
                do { digits[count++] = (char)('0' + value % 10); value /= 10; } while (value);
                while (count) put(digits[--count]);
            }
            int main(void)
            {
                static uint8_t past[AIR_SENDERS + 1][AIR_FRAME_BYTES];
                struct node_message heard[AIR_HEARD_MOST];
                for (unsigned n = 0; n < sizeof frames / sizeof frames[0]; n++) {
                    uint8_t count = node_from_air(frames[n], AIR_FRAME_BYTES, past, heard);
                    for (uint8_t m = 0; m < count; m++) {
                        if (m) put(' ');
                        number(heard[m].node); put('/'); number(heard[m].code); put('/'); number(heard[m].value);
                    }
                    put('\n');
                }
                FINISH;
            }
            C);
        self::assertSame($heard, $this->host());
        $this->execute('avr-gcc', '-mmcu=atmega644', '-std=c99', '-Os', '-Wall', '-Wextra', '-Werror', '-Wno-unused-function', '-DF_CPU=16000000UL', '-o', 'board.elf', 'board.c');
        $printed = (string) preg_replace('/\e\[[0-9;]*m/', '', $this->execute('simavr', '-m', 'atmega644', '-f', '16000000', 'board.elf'));
        preg_match_all('~\d+/\d+/-?\d+~', $printed, $told);
        preg_match_all('~\d+/\d+/-?\d+~', $heard, $wanted);
        self::assertSame($wanted[0], $told[0]);
    }

    public function test_a_frame_that_says_all_proves_itself_like_any_other(): void
    {
        $plan = self::plan(['proven' => true]);
        $lamp = self::slots($plan)['lamp_key_lamp_toggle']->code;
        // Two presses, each with its counter, to the boat's address.
        $this->write($plan, 'Hand', <<<C
            int main(void)
            {
                static struct air_saying hand;
                const uint8_t boat[AIR_ADDRESS_BYTES] = AIR_TO_BOAT_ADDRESS;
                air_begin(&hand);
                for (uint32_t counter = 1; counter < 3; counter++) {
                    struct node_message told = { 0, 2, {$lamp}, 0 };
                    uint8_t bytes[AIR_FRAME_BYTES];
                    node_put_air(&hand, &told);
                    if (node_to_air(&hand, 2, 0, counter, boat, bytes)) for (uint8_t b = 0; b < AIR_FRAME_BYTES; b++) printf("%s%d", b ? "," : "", bytes[b]);
                    put('\\n');
                }
                FINISH;
            }
            C);
        [$first, $second] = explode("\n", trim($this->host('-DAIR_KEY={1,2,3}')));
        $forged = implode(',', [...array_slice(explode(',', $second), 0, 2), '255', ...array_slice(explode(',', $second), 3)]);
        $this->write($plan, 'Boat', <<<C
            int main(void)
            {
                static const uint8_t frames[][AIR_FRAME_BYTES] = { { {$first} }, { {$forged} }, { {$second} }, { {$second} }, { {$first} } };
                static uint8_t past[AIR_SENDERS + 1][AIR_FRAME_BYTES]; static uint32_t last[AIR_SENDERS + 1];
                const uint8_t own[AIR_ADDRESS_BYTES] = AIR_PIPE1_ADDRESS;
                struct node_message heard[AIR_HEARD_MOST];
                for (unsigned n = 0; n < 5; n++) {
                    uint8_t presses = 0;
                    for (uint8_t count = node_from_air(frames[n], AIR_FRAME_BYTES, own, last, past, heard); count; count--) presses += heard[count - 1].code == {$lamp};
                    put((char)(presses + 48));
                }
                FINISH;
            }
            C);
        self::assertSame('10100', $this->host('-DAIR_KEY={1,2,3}'), 'each press once; what is forged, and what comes again, not at all');
    }

    public function test_no_two_things_of_a_frame_have_one_name(): void
    {
        // "said" is what the frame calls the bit beside each thing: a key may be called so as well.
        $plan = self::sketch()
            ->node('hand', 'Hand', NodeKind::Handset, null, '8bit-5v-20io')->module('hand-radio', 'hand', 'packet-radio-plain', 'Radio')
            ->node('boat', 'Boat', NodeKind::Controller, null, '8bit-5v-20io')->module('boat-radio', 'boat', 'packet-radio-plain', 'Radio')
            ->link('air', 'Air', 'packet-radio', ['wholeState' => true])->join('air', 'hand', Role::Sends, 'hand-radio')->join('air', 'boat', Role::Receives, 'boat-radio')
            ->control('a', 'hand', 'Key')->control('b', 'hand', 'Said key')->control('c', 'hand', 'Key Lamp on')->output('lamp', 'boat', 'Lamp')->output('said', 'boat', 'Said')
            ->route('a', Action::On, 'lamp')->route('b', Action::On, 'lamp')->route('c', Action::On, 'said')->assigned();
        $this->write($plan, 'Hand', 'int main(void) { put(10); FINISH; }');
        self::assertSame("\n", $this->host());
    }

    /** @return iterable<string, array{string, string}> */
    public static function ends(): iterable
    {
        yield 'who says' => ['Hand', 'static struct air_saying hand; int main(void) { air_begin(&hand); for (;;) { struct node_message told = { GPIOR0, GPIOR1, GPIOR2, GPIOR0 }; uint8_t bytes[AIR_FRAME_BYTES]; node_put_air(&hand, &told); if (node_to_air(&hand, GPIOR0, 0, bytes)) for (uint8_t n = 0; n < AIR_FRAME_BYTES; n++) GPIOR1 = bytes[n]; } }'];
        yield 'who hears' => ['Boat', 'static uint8_t past[AIR_SENDERS + 1][AIR_FRAME_BYTES]; static struct node_message heard[AIR_HEARD_MOST]; int main(void) { for (;;) { uint8_t bytes[AIR_FRAME_BYTES]; for (uint8_t n = 0; n < AIR_FRAME_BYTES; n++) bytes[n] = GPIOR0; GPIOR1 = node_from_air(bytes, AIR_FRAME_BYTES, past, heard); GPIOR2 = heard[GPIOR0].code; } }'];
    }

    #[DataProvider('ends')]
    public function test_it_takes_of_a_board_what_is_said(string $name, string $main): void
    {
        $plan = self::plan();
        $end = $plan->endpointsOf(self::named($plan, $name))[0];
        $numbers = new MessageNumbers($plan, self::knowledge()->media);
        $with = $this->taken($plan, $name, $main);
        $without = $this->taken($plan, $name, 'int main(void) { for (;;) { GPIOR0++; } }');
        self::assertSame((new PacketMessages)->memoryBytes($plan, $end, $numbers), $with['memory'] - $without['memory']);
        self::assertEqualsWithDelta($with['program'] - $without['program'], (new PacketMessages)->programBytes($plan, $end, $numbers), 0.25 * ($with['program'] - $without['program']));
    }

    /** @return array{program: int, memory: int} bytes */
    private function taken(Plan $plan, string $name, string $main): array
    {
        $this->write($plan, $name, '');
        file_put_contents("{$this->folder}/board.c", (string) preg_replace('/static void put.*$/s', $main."\n", (string) file_get_contents("{$this->folder}/board.c")));
        $this->execute('avr-gcc', '-mmcu=atmega644', '-std=c99', '-Os', '-Wall', '-Wno-unused-function', '-o', 'board.elf', 'board.c');
        preg_match_all('/^\.(text|data|bss)\s+(\d+)/m', $this->execute('avr-size', '-A', 'board.elf'), $found);
        $bytes = array_map(intval(...), array_combine($found[1], $found[2]));

        return ['program' => $bytes['text'], 'memory' => ($bytes['data'] ?? 0) + ($bytes['bss'] ?? 0)];
    }

    private function write(Plan $plan, string $name, string $main): void
    {
        $header = new CHeader(self::knowledge());
        $node = self::named($plan, $name);
        file_put_contents("{$this->folder}/{$header->fileName($node)}", $header->write($plan, $node));
        $behaviour = BehaviourFiles::of($plan, $node, self::knowledge())[0];
        file_put_contents("{$this->folder}/{$behaviour->fileName}", $behaviour->content);
        file_put_contents("{$this->folder}/host.c", "#include <stdio.h>\n#include \"{$behaviour->fileName}\"\nstatic void put(char c) { putchar(c); }\n#define FINISH return 0\n{$main}\n");
        file_put_contents("{$this->folder}/board.c", "#include <avr/io.h>\n#include <avr/interrupt.h>\n#include <avr/sleep.h>\n#include \"{$behaviour->fileName}\"\nstatic void put(char c) { UCSR0B = (1 << TXEN0); while (!(UCSR0A & (1 << UDRE0))) { } UDR0 = (unsigned char)c; }\n#define FINISH cli(); sleep_mode(); return 0\n{$main}\n");
    }

    private function host(string ...$flags): string
    {
        $this->execute('gcc', '-std=c99', '-pedantic', '-Wall', '-Wextra', '-Werror', '-fsanitize=address,undefined', ...array_values($flags), ...['-o', 'host', 'host.c']);

        return $this->execute('./host');
    }

    private static function frame(Saying $saying, int $to): WholeFrame
    {
        return $saying->frame($to) ?? throw new LogicException('There is something to tell.');
    }

    private static function pressed(Saying $hand, int $code): WholeFrame
    {
        $hand->put(2, $code, 0);

        return self::frame($hand, 2);
    }
}
