<?php

declare(strict_types=1);

namespace Tests\Core\SafeState;

use Rundfunk\Behaviour\CFieldNames;
use Rundfunk\Behaviour\Heard;
use Rundfunk\Behaviour\NodeTables;
use Rundfunk\Behaviour\Tabulation;
use Rundfunk\Build\Artefacts;
use Rundfunk\Build\CHeader;
use Rundfunk\Check\Look;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\FeedsAt;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\PartKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Rundfunk\SafeState\Judgement;
use Rundfunk\SafeState\Phase;
use Tests\Core\CoreTestCase;
use Tests\Core\RunsPrograms;

/** What a board is exported to do, run on the 8-bit simulator through reset, first levels, link loss and a second start: the pins are what the matrix says. */
final class OnTheBoardTest extends CoreTestCase
{
    use RunsPrograms;

    /** By hand: the levels of its pin at which each output's load is on, of F (floating), H and L. */
    private const ON_AT = ['Heat' => 'H', 'Light' => 'H', 'Kept' => 'H', 'Drain' => 'HF', 'Turned' => 'H', 'Rush' => 'L', 'Left' => 'H', 'Right' => 'H'];

    private const MAIN = <<<'C'
        #include <avr/interrupt.h>
        #include <avr/io.h>
        #include <avr/sleep.h>
        #include <stdio.h>
        #include "@header"
        #include "@behaviour"
        static int put(char c, FILE *f) { (void)f; while (!(UCSR0A & (1 << UDRE0))) {} UDR0 = (uint8_t)c; return 0; }
        static FILE console = FDEV_SETUP_STREAM(put, NULL, _FDEV_SETUP_WRITE);
        static volatile uint8_t *port(uint8_t pin) { return pin < 8 ? &PORTD : &PORTB; }
        static volatile uint8_t *ddr(uint8_t pin) { return pin < 8 ? &DDRD : &DDRB; }
        static void to(uint8_t pin, uint8_t level) { if (level) *port(pin) |= (uint8_t)(1 << (pin & 7)); else *port(pin) &= (uint8_t)~(1 << (pin & 7)); }
        static char stands(uint8_t pin) { uint8_t bit = (uint8_t)(1 << (pin & 7)); return *ddr(pin) & bit ? (*port(pin) & bit ? 'H' : 'L') : (*port(pin) & bit ? 'U' : 'F'); }
        static void output(uint8_t pin) { *ddr(pin) |= (uint8_t)(1 << (pin & 7)); printf("first %u %c\n", pin, stands(pin)); }
        static const uint8_t pins[] = { @pins };
        static void say(const char *when) { uint8_t n; for (n = 0; n < sizeof pins; n++) { printf("%s %u %c\n", when, pins[n], stands(pins[n])); } }
        static struct node_state me; static struct node_inputs in; static struct node_outputs out; static struct node_told told;
        static void round_of(uint32_t ms, const struct node_message *heard, uint8_t count)
        {
            node_step(&me, ms, -1, &in, heard, count, &out, &told);
        @writes
        }
        int main(void)
        {
            static const struct node_message on[] = { @on };
            uint8_t n;
            char at_reset[sizeof pins];
            for (n = 0; n < sizeof pins; n++) { at_reset[n] = stands(pins[n]); }
            UBRR0 = 51; UCSR0B = 1 << TXEN0; stdout = &console;
            for (n = 0; n < sizeof pins; n++) { printf("reset %u %c\n", pins[n], at_reset[n]); }
            BEGIN_OUTPUTS(to, output);
            node_start(&me, 1000);
            round_of(1000, on, 0);
            say("initial");
            for (n = 0; n < sizeof on / sizeof on[0]; n++) { round_of(1100 + n, &on[n], 1); }
            say("running");
            round_of(1100UL + 1800000UL + 60000UL, on, 0);
            say("link-lost");
            node_start(&me, 5000);
            node_restore(&me, @kept, 1);
            round_of(5000, on, 0);
            say("restored");
            printf("end\n");
            cli();
            sleep_mode();
            return 0;
        }
        C;

    public function test_the_exported_program_does_what_the_matrix_says(): void
    {
        $plan = self::plan();
        $node = array_values(array_filter($plan->nodes(), static fn (Node $node): bool => $node->name === 'Works'))[0];
        $tables = Tabulation::of($plan, $node, self::knowledge());
        $seen = $this->ran($plan, $node, $tables);
        $look = new Look($plan, self::knowledge());
        foreach ($plan->outputsOf($node) as $output) {
            $judgement = Judgement::of($look, $output);
            self::assertNotNull($judgement);
            $pin = (int) substr($judgement->setup->pin, 1);
            $is = static fn (string $when): bool => str_contains(self::ON_AT[$output->name], $seen[$when][$pin]);
            foreach (['reset' => Phase::Reset, 'first' => Phase::Initial, 'initial' => Phase::Initial, 'link-lost' => Phase::LinkLost] as $when => $phase) {
                $standing = $judgement->in($phase);
                // "As told" is no promise: nobody on another node works it.
                $may = $standing->mayBeOn || $standing->mayBeOff ? ($is($when) ? $standing->mayBeOn : $standing->mayBeOff) : true;
                self::assertTrue($may, "{$output->name} at {$when}: pin {$seen[$when][$pin]}, and the matrix says {$standing->word}");
            }
        }
        $shown = static fn (string $when, string $name): string => $seen[$when][self::pin($plan, $node, $name)];
        // The glitch that "level before direction" is there for: a low-active relay draws current between direction and level.
        self::assertSame('L', $shown('first', 'Rush'));
        self::assertSame('H', $shown('initial', 'Rush'));
        self::assertSame(['H', 'L'], [$shown('running', 'Heat'), $shown('link-lost', 'Heat')], 'what another node put on ends by itself');
        self::assertSame(['L', 'H'], [$shown('running', 'Drain'), $shown('link-lost', 'Drain')], 'told off, and unheard of it comes on by itself');
        self::assertSame(['H', 'H'], [$shown('running', 'Light'), $shown('link-lost', 'Light')]);
        self::assertSame(['L', 'H'], [$shown('initial', 'Kept'), $shown('restored', 'Kept')]);
        self::assertEqualsCanonicalizing(['H', 'L'], [$shown('running', 'Left'), $shown('running', 'Right')], 'never together, and whoever came second was refused');
    }

    private static function pin(Plan $plan, Node $node, string $name): int
    {
        $output = array_values(array_filter($plan->outputsOf($node), static fn (Output $one): bool => $one->name === $name))[0];

        return (int) substr((string) Judgement::of(new Look($plan, self::knowledge()), $output)?->setup->pin, 1);
    }

    /** @return array<string, array<int, string>> when, then by pin */
    private function ran(Plan $plan, Node $node, NodeTables $tables): array
    {
        $header = new CHeader(self::knowledge());
        $behaviour = Artefacts::named($plan, $node, self::knowledge(), 'c-behaviour');
        file_put_contents("{$this->folder}/{$header->fileName($node)}", $header->write($plan, $node));
        file_put_contents("{$this->folder}/{$behaviour->fileName}", $behaviour->content);
        // How its preface says that pins are written, line by line.
        preg_match_all('/^ \*   (write\(.*\);)$/m', $behaviour->content, $writes);
        $writes = array_map(static fn (string $line): string => '    '.str_replace('write(', 'to(', $line), array_values(array_filter($writes[1], static fn (string $line): bool => str_contains($line, 'out.'))));
        $on = array_map(static fn (Heard $heard): string => "{ {$heard->link}, ".($heard->from ?: 1).", {$heard->code}, 1 }", $tables->heard);
        $kept = array_search('Kept', array_column($tables->outputs, 'name'), true);
        $pins = array_map(static fn (Output $output): int => self::pin($plan, $node, $output->name), $plan->outputsOf($node));
        self::assertCount(count($tables->outputs), $writes);
        self::assertCount(count(CFieldNames::of($tables)->outputs), $pins);
        file_put_contents("{$this->folder}/run.c", strtr(self::MAIN, ['@header' => $header->fileName($node), '@behaviour' => $behaviour->fileName, '@pins' => implode(', ', $pins), '@writes' => implode("\n", $writes), '@on' => implode(', ', $on), '@kept' => (string) $kept]));
        $this->execute('avr-gcc', '-mmcu=atmega644', '-DF_CPU=16000000UL', '-Os', '-std=gnu99', '-Wall', '-Wno-unused-function', '-o', 'run.elf', 'run.c');
        $output = $this->execute('simavr', '-m', 'atmega644', '-f', '16000000', 'run.elf');
        preg_match_all('/(first|reset|initial|running|link-lost|restored) (\d+) ([FHLU])/', $output, $lines, PREG_SET_ORDER);
        $seen = [];
        foreach ($lines as [, $when, $pin, $level]) {
            $seen[$when][(int) $pin] ??= $level;
        }
        self::assertCount(6, $seen, $output);

        return $seen;
    }

    private static function plan(): Plan
    {
        $sketch = self::sketch();
        $sketch
            ->node('hand', 'Hand', NodeKind::Handset, null, '8bit-5v-70io')->module('hand-radio', 'hand', 'packet-radio-plain', 'Radio', FedFrom::Board3V3)->module('keys', 'hand', 'button-pad-8', 'Keys')
            ->node('works', 'Works', NodeKind::Controller, null, '8bit-5v-20io')->supply('plug', 'works', 'plug-5v-3a', 'Plug', null, FeedsAt::FiveVolt)->supply('coils', 'works', 'plug-5v-3a', 'Coils')
            ->module('radio', 'works', 'packet-radio-plain', 'Radio', FedFrom::Board3V3)
            ->module('high', 'works', 'relay-bank-4-high', 'High', 'coils')->module('low', 'works', 'relay-bank-2-low', 'Low', 'coils')->module('more', 'works', 'relay-bank-2-high', 'More', 'coils')
            ->link('air', 'Air', 'packet-radio', ['channel' => 76])->join('air', 'hand', Role::Sends, 'hand-radio')->join('air', 'works', Role::Receives, 'radio')
            ->output('heat', 'works', 'Heat', OutputKind::Relay, 'high', 'IN1', more: ['hazards' => ['heat'], 'safe' => 'off', 'settings' => ['silenceMs' => 1_800_000]])
            ->output('light', 'works', 'Light', OutputKind::Relay, 'high', 'IN2', more: ['safe' => 'on', 'atStart' => 'on'])
            ->output('kept', 'works', 'Kept', OutputKind::Relay, 'high', 'IN3', more: ['atStart' => 'last'])
            ->output('turned', 'works', 'Turned', OutputKind::Relay, 'low', 'IN1', more: ['safe' => 'off', 'settings' => ['silenceMs' => 1_000]])->part('low', 'IN1', PartKind::Driver, ['ohms' => 6_800.0])
            ->output('rush', 'works', 'Rush', OutputKind::Relay, 'low', 'IN2', more: ['levelFirst' => false])
            // On the normally closed contact of a low-active relay: on while its pin is high or floats.
            ->module('drains', 'works', 'relay-bank-1-low', 'Drains', 'coils')->output('drain', 'works', 'Drain', OutputKind::Relay, 'drains', 'IN1', more: ['contact' => 'normally-closed', 'safe' => 'on', 'settings' => ['silenceMs' => 1_000, 'silenceOn' => true]])
            ->output('left', 'works', 'Left', OutputKind::Relay, 'more', 'IN1')->output('right', 'works', 'Right', OutputKind::Relay, 'more', 'IN2', more: ['neverWithIds' => [$sketch->id('left')]]);
        foreach (['heat', 'light', 'kept', 'turned', 'rush', 'left', 'right', 'drain'] as $index => $output) {
            $sketch->control("key-{$output}", 'hand', "Key {$index}")->route("key-{$output}", Action::On, $output);
        }
        $sketch->control('key-dry', 'hand', 'Key dry')->route('key-dry', Action::Off, 'drain');
        foreach (['high IN1' => 'D2', 'high IN2' => 'D3', 'high IN3' => 'D4', 'low IN1' => 'D5', 'low IN2' => 'D6', 'drains IN1' => 'D7', 'more IN1' => 'D8', 'more IN2' => 'D9'] as $terminal => $pin) {
            [$module, $name] = explode(' ', $terminal);
            $sketch->wire($module, $name, $pin);
        }

        return $sketch->assigned();
    }
}
