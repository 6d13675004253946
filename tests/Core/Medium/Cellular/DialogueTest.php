<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Cellular;

use Random\Engine\Mt19937;
use Random\Randomizer;
use Rundfunk\Build\CHeader;
use Rundfunk\Medium\Cellular\Dialogue;
use Rundfunk\Medium\Cellular\DialogueStep;
use Rundfunk\Medium\Cellular\Modem;
use Rundfunk\Medium\Cellular\ModemStandIn;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Rundfunk\Rehearsal\Event;
use Tests\Core\CoreTestCase;

/** The dialogue that the plan gives, spoken to the modem stand-in. */
final class DialogueTest extends CoreTestCase
{
    /** @return array{Plan, Modem} */
    private static function post(): array
    {
        $plan = self::linden();
        $modem = Modem::all($plan, self::knowledge()->catalogue)[0];

        return [$plan, $modem];
    }

    public function test_every_step_of_the_bring_up_is_answered_as_it_expects(): void
    {
        foreach ([self::linden(), self::faulty()] as $plan) {
            foreach (Modem::all($plan, self::knowledge()->catalogue) as $modem) {
                $standin = new ModemStandIn;
                foreach (Dialogue::bringUp($plan, $modem) as $step) {
                    self::assertStringContainsString($step->expect, $standin->hear($step->send."\r"), "{$modem->node->name}: {$step->send}");
                }
            }
        }
    }

    public function test_a_modem_in_another_network_is_taken_for_what_it_is(): void
    {
        [$plan, $modem] = self::post();
        $abroad = new ModemStandIn(registration: 5);
        $searching = new ModemStandIn(registration: 2);
        $steps = array_values(array_filter(Dialogue::bringUp($plan, $modem), static fn (DialogueStep $step): bool => $step->orExpect !== null));
        self::assertCount(1, $steps);
        self::assertStringContainsString((string) $steps[0]->orExpect, $abroad->hear($steps[0]->send."\r"));
        $said = $searching->hear($steps[0]->send."\r");
        self::assertStringNotContainsString($steps[0]->expect, $said);
        self::assertStringNotContainsString((string) $steps[0]->orExpect, $said);
        self::assertStringContainsString('"+CEREG: 0,1", "+CEREG: 0,5", 2000UL, 60 }', (new CHeader(self::knowledge()))->write($plan, $modem->node));
    }

    public function test_a_board_that_calls_back_hears_the_key(): void
    {
        [$plan] = self::post();
        $draft = $plan->draft();
        foreach ($plan->controls() as $control) {
            if ($control->kind === ControlKind::Call) {
                $draft->change($control, ['settings' => ['callBack' => true]]);
            }
        }
        $plan = $draft->plan();
        $modem = Modem::all($plan, self::knowledge()->catalogue)[0];
        $standin = new ModemStandIn;
        foreach (Dialogue::bringUp($plan, $modem) as $step) {
            self::assertStringContainsString($step->expect, $standin->hear($step->send."\r"), $step->send);
        }
        $sends = array_map(static fn (DialogueStep $step): string => $step->send, Dialogue::service($plan, $modem));
        self::assertContains('ATD<number>;', $sends);
        self::assertStringContainsString('OK', $standin->hear("ATD+442079460321;\r"));
    }

    public function test_a_call_a_text_and_an_answer_go_as_the_dialogue_says(): void
    {
        [$plan, $modem] = self::post();
        $standin = new ModemStandIn;
        foreach (Dialogue::bringUp($plan, $modem) as $step) {
            $standin->hear($step->send."\r");
        }
        self::assertStringContainsString('+CLIP: "+442079460321",', $standin->ring('+442079460321'));
        self::assertStringContainsString('+CLIP: "",', $standin->ring(null));
        self::assertSame("\r\nOK\r\n", $standin->hear("ATH\r"));
        self::assertSame("\r\n+CMT: \"+442079460321\",,\"26/11/24,06:30:00+00\"\r\nGATE PULSE\r\n", $standin->deliver('+442079460321', '26/11/24,06:30:00+00', 'GATE PULSE'));
        self::assertSame("\r\n> ", $standin->hear("AT+CMGS=\"+442079460321\"\r"));
        self::assertStringContainsString('+CMGS: 1', $standin->hear("Gate is open\x1A"));
        self::assertSame([['to' => '+442079460321', 'text' => 'Gate is open']], $standin->sentTexts());
        $standin->hear("AT+CMGS=\"+442079460321\"\r");
        self::assertSame("\r\nOK\r\n", $standin->hear("never mind\x1B"));
        self::assertNotContains('never mind', array_column($standin->sentTexts(), 'text'));
    }

    public function test_an_unknown_command_and_rubbish_are_errors_and_harm_nothing(): void
    {
        $standin = new ModemStandIn;
        $standin->hear("ATE0\r");
        self::assertSame("\r\nERROR\r\n", $standin->hear("AT+MAGIC\r"));
        self::assertSame("\r\nERROR\r\n", $standin->hear("hello\r"));
        self::assertSame('', $standin->hear("\x00\xFF\x1B"));
        self::assertSame("\r\nOK\r\n", $standin->hear("AT\r"));
    }

    public function test_a_report_goes_out_with_every_reading_of_the_node(): void
    {
        [$plan, $modem] = self::post();
        $standin = new ModemStandIn;
        foreach ([...Dialogue::bringUp($plan, $modem), ...Dialogue::report($plan, $modem)] as $step) {
            self::assertStringContainsString($step->expect, $standin->hear($step->send."\r"), $step->send);
        }
        self::assertSame(['https://station.example/gate?frost=<frost>'], $standin->askedAddresses());
    }

    public function test_without_a_way_onto_the_network_the_modem_says_so(): void
    {
        $standin = new ModemStandIn;
        $standin->hear("ATE0\r");
        self::assertSame("\r\nERROR\r\n", $standin->hear("AT+HTTPACTION=0\r"), 'nothing was begun');
        self::assertSame("\r\nOK\r\n", $standin->hear("AT+HTTPINIT\r"));
        self::assertSame("\r\nERROR\r\n", $standin->hear("AT+HTTPINIT\r"), 'it is open already');
        self::assertSame("\r\nERROR\r\n", $standin->hear("AT+HTTPACTION=0\r"), 'no address yet');
        $standin->hear("AT+HTTPPARA=\"URL\",\"http://station.example/\"\r");
        self::assertSame("\r\nOK\r\n\r\n+HTTPACTION: 0,601,0\r\n", $standin->hear("AT+HTTPACTION=0\r"));
        self::assertSame("\r\nERROR\r\n", $standin->hear("AT+HTTPREAD\r"));
        $standin->hear("AT+CGACT=1,1\r");
        self::assertSame("\r\nOK\r\n\r\n+HTTPACTION: 0,200,2\r\n", $standin->hear("AT+HTTPACTION=0\r"));
        self::assertSame("\r\n+HTTPREAD: 2\r\nok\r\n\r\nOK\r\n", $standin->hear("AT+HTTPREAD\r"));
        self::assertSame("\r\nOK\r\n", $standin->hear("AT+HTTPTERM\r"));
        self::assertSame("\r\nERROR\r\n", $standin->hear("AT+HTTPTERM\r"));
    }

    public function test_nothing_is_reported_where_no_address_is_given(): void
    {
        $plan = self::sketch()->link('m', 'Mobile', 'cellular')->node('post', 'Post', NodeKind::Controller, null, '32bit-3v3-26io')->module('x', 'post', 'modem-lte-eu', 'Modem')->join('m', 'post', Role::Both, 'x')->plan();
        self::assertSame([], Dialogue::report($plan, Modem::all($plan, self::knowledge()->catalogue)[0]));
    }

    public function test_the_plan_decides_what_is_asked_for(): void
    {
        [$plan, $modem] = self::post();
        $sends = array_map(static fn (DialogueStep $step): string => $step->send, Dialogue::bringUp($plan, $modem));
        self::assertContains('AT+IPR=38400', $sends);
        self::assertContains('AT+CLIP=1', $sends, 'somebody is to call');
        self::assertContains('AT+CEREG?', $sends, 'it is an LTE modem');
        $without = self::sketch()->link('m', 'M', 'cellular')->node('n', 'N', NodeKind::Controller, null, '32bit-3v3-26io')->module('x', 'n', 'modem-2g', 'X')->join('m', 'n', Role::Both, 'x')->plan();
        $sends = array_map(static fn (DialogueStep $step): string => $step->send, Dialogue::bringUp($without, Modem::all($without, self::knowledge()->catalogue)[0]));
        self::assertNotContains('AT+CLIP=1', $sends);
        self::assertContains('AT+CREG?', $sends);
    }

    public function test_the_secret_is_asked_for_and_never_written(): void
    {
        [$plan, $modem] = self::post();
        $header = (new CHeader(self::knowledge()))->write($plan, $modem->node);
        self::assertStringContainsString('#ifndef MOBILE_SECRET', $header);
        self::assertStringContainsString('{ "GATE PULSE", 1, 1,', $header);
        self::assertStringContainsString('"+442079460321", /* Rowan\'s phone */', $header);
    }

    public function test_the_stand_in_reacts_after_a_while_and_in_order(): void
    {
        $standin = new ModemStandIn(chance: new Randomizer(new Mt19937(5)));
        [$first] = $standin->react(1_000, Event::bytes("AT\r"));
        [$second] = $standin->react(2_000, Event::bytes("AT+CSQ\r"));
        self::assertStringContainsString('OK', $first->event->bytes);
        self::assertStringContainsString('+CSQ: 18', $second->event->bytes);
        self::assertGreaterThan(1_000_000, $first->atNs);
        self::assertGreaterThan($first->atNs, $second->atNs, 'The one is answered before the other.');
        [$prompt] = $standin->react($second->atNs, Event::bytes("AT+CMGF=1\rAT+CMGS=\"+441632960001\"\r"));
        self::assertStringEndsWith('> ', $prompt->event->bytes);
        [$sent] = $standin->react($prompt->atNs, Event::bytes("frost\x1A"));
        self::assertGreaterThan(2_000_000_000, $sent->atNs - $prompt->atNs, 'The network takes seconds.');
        self::assertSame([], $standin->react($sent->atNs, Event::bytes("\n")));
        self::assertStringContainsString('+CLIP: "+441632960002",145', [...$standin->react($sent->atNs, Event::bytes("AT+CLIP=1\r")), ...$standin->react($sent->atNs, Event::call('+441632960002'))][1]->event->bytes);
        self::assertStringContainsString('LAMP ON', $standin->react($sent->atNs, Event::text('+441632960002', '26/11/26,12:00:00+00', 'LAMP ON'))[0]->event->bytes);
    }
}
