<?php

declare(strict_types=1);

namespace Tests\Core\SafeState;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Look;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Demo\Sketch;
use Rundfunk\Edit\Editor;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\FeedsAt;
use Rundfunk\Plan\LoadKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\PartKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Rundfunk\Plan\ThingKind;
use Rundfunk\SafeState\Judgement;
use Tests\Core\CoreTestCase;

/** Whole plans: what is not safe when, what is cheapest about it, and that it does what it says. Facts: the firm's trade book §12 and §13. */
final class SafeRulesTest extends CoreTestCase
{
    /** @param  array<string, mixed>  $more */
    private static function board(string $class, array $more = [], string $board = '8bit-5v-20io', string $pin = 'D4', string $coils = 'coils', string $channel = 'IN1', OutputKind $kind = OutputKind::Relay): Sketch
    {
        return self::sketch()->node('n', 'N', NodeKind::Controller, null, $board)
            ->supply('plug', 'n', 'plug-5v-3a', 'Plug', null, FeedsAt::FiveVolt)->supply('coils', 'n', 'plug-5v-3a', 'Coils')
            ->module('m', 'n', $class, 'Bank', str_starts_with($class, 'transistor') ? null : $coils)->output('o', 'n', 'Out', $kind, 'm', $channel, more: ['safe' => 'off', ...$more])->wire('m', $channel, $pin);
    }

    /** @param  array<string, int>  $settings */
    private static function told(Sketch $sketch, Action $action, array $settings = [], ?int $value = null): Sketch
    {
        return $sketch->node('hand', 'Hand', NodeKind::Handset, null, '8bit-5v-20io')->module('hand-radio', 'hand', 'packet-radio-plain', 'Radio', FedFrom::Board3V3)->module('keys', 'hand', 'button-pad-1', 'Keys')
            ->module('radio', 'n', 'packet-radio-plain', 'Radio', FedFrom::Board3V3)->link('air', 'Air', 'packet-radio', ['channel' => 76])->join('air', 'hand', Role::Sends, 'hand-radio')->join('air', 'n', Role::Receives, 'radio')
            ->control('key', 'hand', 'Key', settings: $settings)->route('key', $action, 'o', $action === Action::Pulse ? 500 : null, $value);
    }

    /** @return iterable<string, array{Closure(): Sketch, string, list<string>}> plan, phases that are not safe, the ways to make all safe */
    public static function outputs(): iterable
    {
        $watchdog = static fn (Sketch $s): Sketch => $s->change(ThingKind::Node, 'n', ['watchdog' => true]);
        yield 'a low-active bank, coils apart' => [static fn (): Sketch => self::board('relay-bank-1-low'), 'coils-only hung', ['signal side of Bank from the board\'s 5 V, its jumper off + watchdog of N', 'transistor before IN1 + watchdog of N']];
        yield 'the same on the board\'s own supply' => [static fn (): Sketch => self::board('relay-bank-1-low', coils: 'plug'), 'hung', ['watchdog of N']];
        yield 'a high-active bank, coils apart' => [static fn (): Sketch => $watchdog(self::board('relay-bank-1-high')), '', []];
        yield 'a low-active bank at a 3.3 V board: no diode on 3.3 V, so a transistor' => [static fn (): Sketch => $watchdog(self::board('relay-bank-1-low', board: '32bit-3v3-26io', pin: 'GP4')), 'coils-only', ['transistor before IN1']];
        yield 'a high-active bank on a pin that is high at reset' => [static fn (): Sketch => $watchdog(self::board('relay-bank-1-high', board: 'wifi-3v3-11io', pin: 'IO16')), 'reset flashing hung supply-back', []];
        yield 'a MOSFET without a pull' => [static fn (): Sketch => $watchdog(self::board('transistor-4v5', pin: 'D5', channel: 'GATE', kind: OutputKind::Pwm)), 'reset flashing initial hung supply-back', ['10 kΩ pull-down']];
        yield 'a MOSFET with one' => [static fn (): Sketch => $watchdog(self::board('transistor-4v5', pin: 'D5', channel: 'GATE', kind: OutputKind::Pwm)->part('m', 'GATE', PartKind::PullDown, ['ohms' => 10_000.0])), '', []];
        // At 3.3 V its gate wants a shifter, there or to come, whose 10 kΩ no pull-down beats: one that opens at 2.5 V wants none.
        $small = static fn (string $class): Sketch => $watchdog(self::board($class, board: '32bit-3v3-26io', pin: 'GP4', channel: 'GATE', kind: OutputKind::Pwm)->part('m', 'GATE', PartKind::PullDown, ['ohms' => 10_000.0]));
        yield 'a MOSFET of 4.5 V on a board of 3.3, held down' => [static fn (): Sketch => $small('transistor-4v5'), 'coils-only reset flashing initial hung supply-back', []];
        yield 'the same behind its shifter' => [static fn (): Sketch => $small('transistor-4v5')->part('m', 'GATE', PartKind::Shifter), 'coils-only reset flashing initial hung supply-back', []];
        yield 'one of 2.5 V' => [static fn (): Sketch => $small('transistor-2v5'), '', []];
        yield 'a low-active bank, direction before level' => [static fn (): Sketch => $watchdog(self::board('relay-bank-1-low', ['levelFirst' => false], coils: 'plug')), 'initial hung supply-back', ['level before direction', 'transistor before IN1']];
        yield 'put back as it stood' => [static fn (): Sketch => $watchdog(self::board('relay-bank-1-high', ['atStart' => 'last'])), 'initial hung supply-back', ['off at start']];
        yield 'a latching relay' => [static fn (): Sketch => self::board('relay-latching-1', channel: 'SET'), 'off logic-only coils-only reset flashing initial hung supply-back', []];
        yield 'must be on: the other contact' => [static fn (): Sketch => $watchdog(self::board('relay-bank-1-high', ['safe' => 'on', 'atStart' => 'on'])), 'off logic-only coils-only reset flashing initial hung supply-back', ['load to the normally closed contact']];
        yield 'either is well' => [static fn (): Sketch => self::board('relay-bank-1-low', ['safe' => 'any']), '', []];
        yield 'a hazard asks for a second break' => [static fn (): Sketch => $watchdog(self::board('relay-bank-1-high', ['hazards' => ['heat']])), 'welded', ['a thermostat of its own']];
        yield 'water for a float switch' => [static fn (): Sketch => $watchdog(self::board('relay-bank-1-high', ['hazards' => ['flow']])), 'welded', ['a float or pressure switch']];
        yield 'told on from afar' => [static fn (): Sketch => self::told($watchdog(self::board('relay-bank-1-high')), Action::On), 'link-lost', ['time-out 30 min to off']];
        yield 'held from afar' => [static fn (): Sketch => self::told($watchdog(self::board('relay-bank-1-high')), Action::Momentary), 'link-lost', ['time-out 650 ms to off']];
        yield 'held and told again' => [static fn (): Sketch => self::told($watchdog(self::board('relay-bank-1-high', ['settings' => ['silenceMs' => 1_000]])), Action::Momentary, ['repeatMs' => 300]), '', []];
        $on = ['safe' => 'on', 'atStart' => 'on', 'contact' => 'normally-closed'];
        yield 'must be on and is held from afar' => [static fn (): Sketch => self::told($watchdog(self::board('relay-bank-1-high', $on)), Action::Momentary), 'link-lost', ['time-out 650 ms to on']];
        yield 'must be on, held and told again' => [static fn (): Sketch => self::told($watchdog(self::board('relay-bank-1-high', $on)), Action::Momentary, ['repeatMs' => 300]), 'link-lost', ['time-out 950 ms to on']];
        yield 'must be on and goes off unheard of' => [static fn (): Sketch => self::told($watchdog(self::board('relay-bank-1-high', [...$on, 'settings' => ['silenceMs' => 1_000]])), Action::Momentary, ['repeatMs' => 300]), 'link-lost', ['time-out 950 ms to on']];
        yield 'must be on and comes on' => [static fn (): Sketch => self::told($watchdog(self::board('relay-bank-1-high', [...$on, 'settings' => ['silenceMs' => 1_000, 'silenceOn' => true]])), Action::Momentary, ['repeatMs' => 300]), '', []];
        yield 'must be on, and who tells it once says nothing while all is well' => [static fn (): Sketch => self::told($watchdog(self::board('relay-bank-1-high', $on)), Action::On), 'link-lost', []];
        yield 'must be off and comes on' => [static fn (): Sketch => self::told($watchdog(self::board('relay-bank-1-high', ['settings' => ['silenceMs' => 1_000, 'silenceOn' => true]])), Action::Momentary, ['repeatMs' => 300]), 'link-lost', ['time-out 1000 ms to off']];
        yield 'a pulse from afar' => [static fn (): Sketch => self::told($watchdog(self::board('relay-bank-1-high')), Action::Pulse), '', []];
        yield 'set to nothing from afar' => [static fn (): Sketch => self::told($watchdog(self::board('transistor-4v5', pin: 'D5', channel: 'GATE', kind: OutputKind::Pwm)->part('m', 'GATE', PartKind::PullDown, ['ohms' => 10_000.0])), Action::Set, value: 0), '', []];
        yield 'set to half from afar' => [static fn (): Sketch => self::told($watchdog(self::board('transistor-4v5', pin: 'D5', channel: 'GATE', kind: OutputKind::Pwm)->part('m', 'GATE', PartKind::PullDown, ['ohms' => 10_000.0])), Action::Set, value: 50), 'link-lost', ['time-out 30 min to off']];
        yield 'off from afar' => [static fn (): Sketch => self::told($watchdog(self::board('relay-bank-1-high')), Action::Off), '', []];
        yield 'a group that is told from afar' => [
            static fn (): Sketch => $watchdog(self::board('relay-bank-1-high'))->output('all', 'n', 'All', OutputKind::Group)->step('all', 'each', 'Each')->route('each', Action::Follow, 'o')
                ->node('page', 'Page board', NodeKind::Gateway, null, 'computer-40pin')->control('w', 'page', 'Widget', ControlKind::Widget)->route('w', Action::On, 'all'),
            'link-lost', ['time-out 30 min to off'],
        ];
    }

    /** @param  list<string>  $ways */
    #[DataProvider('outputs')]
    public function test_the_phases_and_the_ways(Closure $sketch, string $phases, array $ways): void
    {
        $plan = $sketch()->plan();
        $judgement = self::judgement($plan);
        $unsafe = $judgement->unsafe();
        self::assertSame($phases, implode(' ', array_column(array_map(static fn ($phase): array => ['key' => $phase->value], $unsafe), 'key')));
        $found = $judgement->ways($unsafe);
        self::assertSame($ways, array_slice(array_map(static fn (array $way): string => implode(' + ', array_map(static fn ($remedy): string => $remedy->label, $way)), $found), 0, count($ways)));
        self::assertSame($ways === [], $found === []);
        foreach ($found as $way) {
            $operations = array_merge(...array_map(static fn ($remedy): array => $remedy->operations, $way));
            $after = (new Editor(self::knowledge()))->apply($plan, $operations)->plan;
            self::assertSame([], self::judgement($after)->unsafe(), 'what is proven on paper holds in the plan');
        }
    }

    public function test_two_clicks_make_a_heater_safe(): void
    {
        $plan = self::told(self::board('relay-bank-1-low', ['safe' => null, 'hazards' => ['heat']]), Action::On)->circuit('c', 'C', ['fuseA' => 6.0])->load('l', 'Heater', 'o', 'c', LoadKind::Resistive, 900.0, ['fuseA' => 5.0])->assigned();
        $unsaid = self::found($plan, 'safe-state-unsaid')[0];
        self::assertStringStartsWith('It must be off: ', (string) $unsaid->fix?->label);
        $editor = new Editor(self::knowledge());
        $said = $editor->apply($plan, [Operation::change(Output::kind(), $plan->outputs()[0]->id, ['safe' => 'off'])])->plan;
        self::assertNotSame([], self::unsafe($said));
        $way = self::judgement($said)->ways(self::judgement($said)->unsafe())[0];
        $safe = $editor->apply($said, array_merge(...array_map(static fn ($remedy): array => $remedy->operations, $way)))->plan;
        self::assertSame([], self::unsafe($safe));
        self::assertSame([], self::unsafe($editor->apply($plan, $unsaid->fix->operations ?? [])->plan), 'and so does the one that says and mends at once');
    }

    /** A time-out that was meant for a held key would end what another key puts on: said, for it counts for both. */
    public function test_what_is_told_once_does_not_end_at_once_unsaid(): void
    {
        $with = static fn (int $silenceMs, Action $action): array => array_map(static fn (Finding $finding): string => $finding->title, self::found(self::told(self::board('relay-bank-1-high', ['settings' => ['silenceMs' => $silenceMs]]), $action)->plan(), 'told-once-ends'));
        self::assertSame(['Out goes off 650 ms after Key has put it on'], $with(650, Action::On));
        self::assertSame(['Out goes off 650 ms after Key has put it on'], $with(650, Action::Toggle));
        self::assertSame([[], [], [], []], [$with(0, Action::On), $with(1_800_000, Action::On), $with(650, Action::Momentary), $with(650, Action::Off)]);
    }

    public function test_what_the_board_asks_for_itself_ends_with_its_reading_and_not_by_a_time_out(): void
    {
        $plan = self::linden();
        $control = array_values(array_filter($plan->controls(), static fn (Control $one): bool => $one->name === 'Charge'))[0];
        $editor = new Editor(self::knowledge());
        $keeps = $editor->apply($plan, [Operation::change(Control::kind(), $control->id, ['settings' => ['onFailure' => 'keep']])])->plan;
        $found = self::found($keeps, 'unsafe-when-unheard');
        self::assertSame(['Off when its reading fails'], array_map(static fn (Finding $finding): ?string => $finding->fix?->label, $found));
        self::assertSame([], self::unsafe($editor->apply($keeps, $found[0]->fix->operations ?? [])->plan));
    }

    /** @return list<string> */
    private static function unsafe(Plan $plan): array
    {
        return array_values(array_map(static fn (Finding $finding): string => $finding->title, array_filter(self::checker()->check($plan)->all(), static fn (Finding $finding): bool => str_starts_with($finding->rule(), 'unsafe-') || $finding->rule() === 'weld-stays-on' || $finding->rule() === 'safe-state-unsaid')));
    }

    private static function judgement(Plan $plan): Judgement
    {
        $output = array_values(array_filter($plan->outputs(), static fn (Output $one): bool => $one->name === 'Out'))[0];
        $judgement = Judgement::of(new Look($plan, self::knowledge()), $output);
        self::assertNotNull($judgement);

        return $judgement;
    }
}
