<?php

declare(strict_types=1);

namespace Tests\Core\Behaviour;

use Rundfunk\Build\BehaviourFiles;
use Rundfunk\Build\CHeader;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Symfony\Component\Process\Process;
use Tests\Core\CoreTestCase;

/** What comes in is told apart and what goes out is written as the header says: compiled, run, and read. */
final class MessagesTest extends CoreTestCase
{
    private string $folder;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/rundfunk-messages-'.bin2hex(random_bytes(6));
        mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        (new Process(['rm', '-r', $this->folder]))->mustRun();
    }

    public function test_a_message_that_comes_three_times_is_heard_once_and_the_next_again(): void
    {
        $plan = self::sketch()
            ->node('hand', 'Hand', NodeKind::Handset, null, '8bit-5v-20io')->module('hand-radio', 'hand', 'packet-radio-plain', 'Radio')
            ->node('far', 'Far', NodeKind::Controller, null, '8bit-5v-20io')->module('far-radio', 'far', 'packet-radio-plain', 'Radio')
            ->link('air', 'Air', 'packet-radio', ['acknowledge' => false])->join('air', 'hand', Role::Both, 'hand-radio')->join('air', 'far', Role::Both, 'far-radio')
            ->control('k', 'hand', 'Key')->output('lamp', 'far', 'Lamp')->route('k', Action::Toggle, 'lamp')->assigned();
        self::assertSame(['3', '1', '0', '0', '1', '0', '0', '1', '0'], $this->program($plan, 'Far', <<<'C'
            #include <stdio.h>
            int main(void)
            {
                static uint16_t seen[AIR_SENDERS + 1];
                struct node_message heard;
                struct air_frame frame = { 1, 255, 1, 0 };
                uint8_t bytes[AIR_FRAME_BYTES];
                printf("%d\n", AIR_SENDS);
                /* Sequence 255, then 0: it runs round. */
                for (int message = 0; message < 2; message++) {
                    air_frame_encode(&frame, bytes);
                    for (int times = 0; times < AIR_SENDS; times++) printf("%d\n", node_from_air(bytes, AIR_FRAME_BYTES, seen, &heard));
                    frame.sequence++;
                }
                /* Another sender's is another, and a sender that is none is not heard. */
                frame.sender = 2;
                air_frame_encode(&frame, bytes);
                printf("%d\n", node_from_air(bytes, AIR_FRAME_BYTES, seen, &heard));
                frame.sender = 9;
                air_frame_encode(&frame, bytes);
                printf("%d\n", node_from_air(bytes, AIR_FRAME_BYTES, seen, &heard));
                return 0;
            }
            C));
    }

    public function test_a_call_and_a_text_ask_for_what_the_plan_says_and_for_nothing_else(): void
    {
        $told = $this->program(self::linden(), 'Gate post', <<<'C'
            #include <stdio.h>
            static struct node_message heard[NODE_HEARD_MOST];
            static void say(const char *what, uint8_t count)
            {
                printf("%s:", what);
                for (uint8_t n = 0; n < count; n++) printf(" %d/%d/%d", heard[n].node, heard[n].code, heard[n].value);
                printf("\n");
            }
            int main(void)
            {
                say("rowan calls", node_from_mobile_call("+442079460321", 0, heard));
                say("somebody calls", node_from_mobile_call("+442079460322", 0, heard));
                say("nobody calls", node_from_mobile_call("", 0, heard));
                say("open without secret", node_from_mobile_text("+442079460321", "GATE PULSE", heard));
                say("open with another", node_from_mobile_text("+442079460321", "GATE PULSE larch", heard));
                say("open with part of it", node_from_mobile_text("+442079460321", "GATE PULSE alde", heard));
                say("open with it and more", node_from_mobile_text("+442079460321", "GATE PULSE alders", heard));
                say("open", node_from_mobile_text("+442079460321", "  Gate   pulse  alder", heard));
                say("open from afar", node_from_mobile_text("+442079460322", "GATE PULSE alder", heard));
                say("lamp", node_from_mobile_text("+442079460321", "post lamp off please", heard));
                say("lamps", node_from_mobile_text("+442079460321", "POST LAMP OFFICE", heard));
                say("empty", node_from_mobile_text("+442079460321", "", heard));
                return 0;
            }
            C, ['-DMOBILE_SECRET="alder"']);
        self::assertSame([
            'rowan calls: 2/3/0', 'somebody calls:', 'nobody calls:', 'open without secret:', 'open with another:', 'open with part of it:',
            'open with it and more:', 'open: 2/1/0', 'open from afar:', 'lamp: 2/2/0', 'lamps:', 'empty:',
        ], $told);
    }

    public function test_without_a_secret_set_no_text_that_needs_one_is_obeyed(): void
    {
        $told = $this->program(self::linden(), 'Gate post', '#include <stdio.h>'."\n".'int main(void) { struct node_message heard[NODE_HEARD_MOST]; printf("%d\n", node_from_mobile_text("+442079460321", "GATE PULSE ", heard)); return 0; }');
        self::assertSame(['0'], $told);
    }

    public function test_a_key_goes_over_the_air_as_a_frame_and_works_the_relay_at_the_other_end(): void
    {
        $plan = self::linden();
        // Pocket A's fan key: pressed there for fifty milliseconds, its frames printed.
        $frames = $this->program($plan, 'Pocket A', <<<'C'
            #include <stdio.h>
            int main(void)
            {
                static struct node_state me; struct node_inputs in = {0}; struct node_outputs out; struct node_told told; uint8_t sequence = 0;
                node_start(&me, 0);
                for (uint32_t now = 0; now < 200; now += 10) {
                    in.key_2 = now >= 50 && now < 100;
                    node_step(&me, now, -1, &in, 0, 0, &out, &told);
                    for (uint16_t n = 0; n < told.count; n++) {
                        uint8_t bytes[HANDSETS_FRAME_BYTES];
                        node_to_handsets(&told.message[n], sequence++, bytes);
                        printf("%d", told.message[n].node);
                        for (uint8_t b = 0; b < HANDSETS_FRAME_BYTES; b++) printf(",%d", bytes[b]);
                        printf("\n");
                    }
                }
                return 0;
            }
            C);
        self::assertCount(1, $frames);
        [$to, $bytes] = explode(',', $frames[0], 2);
        self::assertSame('3', $to, 'the bench is the third of the link');
        $fan = $this->program($plan, 'Bench', <<<C
            #include <stdio.h>
            int main(void)
            {
                static struct node_state me; struct node_inputs in = {0}; struct node_outputs out; struct node_told told;
                uint8_t bytes[] = { {$bytes} }; struct node_message heard;
                node_start(&me, 0);
                printf("%d ", node_from_handsets(bytes, sizeof bytes - 1, &heard));
                printf("%d ", node_from_handsets(bytes, sizeof bytes, &heard));
                node_step(&me, 0, -1, &in, &heard, 1, &out, &told);
                printf("%d ", out.fan);
                node_step(&me, 10, -1, &in, &heard, 1, &out, &told);
                printf("%d\\n", out.fan);
                return 0;
            }
            C);
        self::assertSame(['0 1 1 0'], $fan);
    }

    public function test_a_page_asks_by_topic_and_the_other_board_does_it(): void
    {
        $plan = self::linden();
        $said = $this->program($plan, 'Shed', <<<'C'
            #include <stdio.h>
            int main(void)
            {
                static struct node_state me; struct node_inputs in = {0}; struct node_outputs out; struct node_told told; char payload[NODE_PAYLOAD_MOST];
                node_start(&me, 0);
                for (uint32_t now = 0; now < 30; now += 10) {
                    in.page_work_lamp_on = now == 10;
                    in.page_work_lamp_off = now == 20;
                    node_step(&me, now, -1, &in, 0, 0, &out, &told);
                    for (uint16_t n = 0; n < told.count; n++) {
                        const char *topic = node_to_house(&told.message[n], payload);
                        if (topic) printf("%s %s\n", topic, payload);
                    }
                }
                return 0;
            }
            C);
        self::assertSame(['linden-hollow/greenhouse/work-lamp/set ON', 'linden-hollow/greenhouse/work-lamp/set OFF'], $said);
        $heard = $this->program($plan, 'Greenhouse', <<<'C'
            #include <stdio.h>
            int main(void)
            {
                const char *topic = "linden-hollow/greenhouse/work-lamp/set"; struct node_message heard[NODE_HEARD_MOST];
                static struct node_state me; struct node_inputs in = {0}; struct node_outputs out; struct node_told told;
                const char *payloads[] = { "ON", "OFF", "ON", "on", "ONE", "", "TOGGLE" };
                in.air_cold = in.air_warm = in.humidity = in.soil_moisture = NODE_FAILED;
                node_start(&me, 0);
                for (unsigned n = 0; n < 7; n++) {
                    uint8_t count = node_from_house(topic, payloads[n], heard);
                    node_step(&me, 10 * n, -1, &in, heard, count, &out, &told);
                    printf("%d%d ", count, out.work_lamp);
                }
                printf("%d\n", node_from_house("linden-hollow/greenhouse/work-lamp", "ON", heard));
                return 0;
            }
            C);
        // What is not asked of this board by the plan it does not understand.
        self::assertSame(['11 10 11 01 01 01 01 0'], $heard);
    }

    public function test_a_fob_is_known_by_its_bits(): void
    {
        $said = $this->program(self::linden(), 'Hen house', <<<'C'
            #include <stdio.h>
            int main(void)
            {
                static struct node_state me; struct node_inputs in = {0}; struct node_outputs out; struct node_told told; struct node_message heard;
                uint32_t codes[] = { 0x3C71E1UL, 0x3C71E4UL, 0x3C71E2UL, 0x3C71E8UL, 0x123456UL };
                node_start(&me, 0);
                for (unsigned n = 0; n < 5; n++) {
                    uint8_t known = node_from_fob(codes[n], &heard);
                    node_step(&me, 10 * n, -1, &in, &heard, known, &out, &told);
                    printf("%d%d%d ", known, out.hen_lamp, out.hen_fan);
                }
                printf("\n");
                return 0;
            }
            C);
        self::assertSame(['110 111 101 100 000'], $said);
    }

    /**
     * @param  list<string>  $flags
     * @return list<string> the lines it printed
     */
    private function program(Plan $plan, string $name, string $main, array $flags = []): array
    {
        $node = array_values(array_filter($plan->nodes(), static fn (Node $one): bool => $one->name === $name))[0];
        $header = new CHeader(self::knowledge());
        file_put_contents("{$this->folder}/{$header->fileName($node)}", $header->write($plan, $node));
        $behaviour = BehaviourFiles::of($plan, $node, self::knowledge())[0];
        file_put_contents("{$this->folder}/{$behaviour->fileName}", $behaviour->content);
        file_put_contents($this->folder.'/main.c', "#include \"{$behaviour->fileName}\"\n{$main}\n");
        (new Process(['gcc', '-std=c99', '-pedantic', '-Wall', '-Wextra', '-Werror', '-fsanitize=address,undefined', ...$flags, '-o', 'main', 'main.c'], $this->folder))->mustRun();

        return explode("\n", trim((new Process(['./main'], $this->folder))->mustRun()->getOutput()));
    }
}
