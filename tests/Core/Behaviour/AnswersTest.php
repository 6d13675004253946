<?php

declare(strict_types=1);

namespace Tests\Core\Behaviour;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Behaviour\AnswerRehearsal;
use Rundfunk\Behaviour\Gauge;
use Rundfunk\Behaviour\Schools;
use Rundfunk\Behaviour\Tabulation;
use Rundfunk\Check\Finding;
use Rundfunk\Demo\Sketch;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Role;
use Tests\Core\CoreTestCase;

/** How things stand, told to whoever asked. A state measured is worth more than one told; unknown after three missed: trade book §14, common practice. */
final class AnswersTest extends CoreTestCase
{
    /**
     * A hand that switches a far relay and has a lamp for how it stands.
     *
     * @param  array<string, bool|int|string|null>  $state
     * @param  array<string, bool|int|string|null>  $lamp
     */
    private static function pairOf(array $state = [], array $lamp = [], ?string $measured = null, bool $shown = true): Sketch
    {
        $sketch = self::sketch()
            ->node('hand', 'Hand', NodeKind::Handset, null, '8bit-5v-20io')->module('hand-radio', 'hand', 'packet-radio-plain', 'Radio')
            ->node('far', 'Far', NodeKind::Controller, null, '8bit-5v-20io')->module('far-radio', 'far', 'packet-radio-plain', 'Radio')
            ->link('air', 'Air', 'packet-radio')->join('air', 'hand', Role::Both, 'hand-radio')->join('air', 'far', Role::Both, 'far-radio')
            ->control('k', 'hand', 'Key')->output('pump', 'far', 'Pump')->route('k', Action::Toggle, 'pump')
            ->control('wall', 'far', 'Wall key')->route('wall', Action::Toggle, 'pump')
            ->control('flow', 'far', 'Flow switch', ControlKind::Switch)
            ->control('current', 'far', 'Current', ControlKind::Reading, settings: ['unit' => 'A', 'threshold' => 1.0, 'hysteresis' => 0.2])
            ->output('lamp', 'hand', 'Lamp', OutputKind::Lamp, more: ['settings' => $lamp]);

        $sketch->state('pump', 'pump-is', 'Pump is', $measured, $state);

        return $shown ? $sketch->route('pump-is', Action::Follow, 'lamp') : $sketch;
    }

    public function test_a_lamp_blinks_until_it_is_told_and_again_after_three_that_were_missed(): void
    {
        $rig = new Rig(self::pairOf(['everyS' => 10])->assigned(), self::knowledge(), 0);
        self::assertTrue($rig->knows('Hand', 'Lamp'));
        self::assertSame(0, $rig->shows('Hand', 'Lamp'));
        self::assertSame(1, $rig->press('Hand', 'Key')->shows('Hand', 'Lamp'));
        // Worked by somebody else it is told all the same.
        self::assertSame(0, $rig->press('Far', 'Wall key')->shows('Hand', 'Lamp'));
        $rig->press('Hand', 'Key')->stop('Far');
        self::assertTrue($rig->pass(34_000)->knows('Hand', 'Lamp'));
        self::assertFalse($rig->pass(1_500)->knows('Hand', 'Lamp'), 'three missed and half an interval for those that are late');
        $seen = [];
        for ($times = 0; $times < 20; $times++) {
            $seen[] = $rig->pass(128)->shows('Hand', 'Lamp');
        }
        self::assertGreaterThan(5, array_sum($seen));
        self::assertLessThan(15, array_sum($seen));
        $rig->start('Far');
        self::assertTrue($rig->pass(200)->knows('Hand', 'Lamp'));
        self::assertSame(0, $rig->shows('Hand', 'Lamp'), 'it starts with its pump off, and says so');
    }

    public function test_while_nothing_changes_it_is_told_as_often_as_the_plan_says(): void
    {
        $rig = new Rig(self::pairOf(['everyS' => 5])->assigned(), self::knowledge());
        $rig->forget();
        $rig->pass(20_000);
        self::assertCount(4, $rig->told);
    }

    public function test_a_command_that_changes_nothing_is_answered_or_not_as_the_plan_says(): void
    {
        foreach ([[true, 2], [false, 1]] as [$always, $messages]) {
            $sketch = self::pairOf(['everyS' => 0, 'always' => $always]);
            $rig = new Rig($sketch->control('off', 'hand', 'Off')->route('off', Action::Off, 'pump')->assigned(), self::knowledge());
            $rig->forget();
            $rig->press('Hand', 'Off');
            self::assertCount($messages, $rig->told);
        }
    }

    public function test_what_is_measured_counts_and_not_what_was_told(): void
    {
        $rig = new Rig(self::pairOf(['everyS' => 10], measured: 'flow')->assigned(), self::knowledge());
        self::assertSame(0, $rig->press('Hand', 'Key')->shows('Hand', 'Lamp'), 'told to run, and nothing flows');
        self::assertSame(1, $rig->put('Far', 'Flow switch', 1)->shows('Hand', 'Lamp'));
        self::assertSame(1, $rig->press('Hand', 'Key')->shows('Hand', 'Lamp'), 'told to stop, and it still flows');
    }

    public function test_a_sensor_that_fails_tells_nothing_so_that_nobody_believes_it(): void
    {
        $rig = new Rig(self::pairOf(['everyS' => 10], ['whenUnknown' => 'stay'], 'current')->assigned(), self::knowledge(), 0);
        self::assertFalse($rig->knows('Hand', 'Lamp'));
        self::assertSame(1, $rig->put('Far', 'Current', 1_200)->shows('Hand', 'Lamp'));
        self::assertTrue($rig->put('Far', 'Current', Gauge::FAILED, 30_000)->knows('Hand', 'Lamp'));
        self::assertFalse($rig->pass(6_000)->knows('Hand', 'Lamp'));
        self::assertSame(1, $rig->shows('Hand', 'Lamp'), 'it stays, as the plan says');
    }

    public function test_a_call_is_answered_by_a_text_that_says_how_the_lamp_stands(): void
    {
        $rig = new Rig(self::linden(), self::knowledge());
        $rig->forget();
        $rig->hear('Gate post', 'a call');
        self::assertSame(["Gate post → Rowan's phone: 1 1"], $rig->told);
        // Called again while it is lit: the answer is what is so.
        $rig->forget()->hear('Gate post', 'a call');
        self::assertSame(["Gate post → Rowan's phone: 1 1"], $rig->told);
        $rig->forget()->hear('Gate post', 'POST LAMP OFF');
        self::assertSame(["Gate post → Rowan's phone: 1 0"], $rig->told);
    }

    public function test_a_value_is_told_as_it_is(): void
    {
        $sketch = self::sketch()
            ->node('hand', 'Hand', NodeKind::Handset, null, '8bit-5v-20io')->module('hand-radio', 'hand', 'packet-radio-plain', 'Radio')
            ->node('far', 'Far', NodeKind::Controller, null, '8bit-5v-20io')->module('far-radio', 'far', 'packet-radio-plain', 'Radio')
            ->link('air', 'Air', 'packet-radio')->join('air', 'hand', Role::Both, 'hand-radio')->join('air', 'far', Role::Both, 'far-radio')
            ->control('k', 'hand', 'Key')->output('light', 'far', 'Light', OutputKind::Pwm)->route('k', Action::Step, 'light', value: 30)
            ->output('shown', 'hand', 'Light shown', OutputKind::Display, more: ['settings' => ['lowest' => 0, 'highest' => 100]])
            ->state('light', 'light-is', 'Light is')->route('light-is', Action::Set, 'shown');
        $rig = new Rig($sketch->assigned(), self::knowledge());
        self::assertSame([30, 60], [$rig->press('Hand', 'Key')->shows('Hand', 'Light shown'), $rig->press('Hand', 'Key')->shows('Hand', 'Light shown')]);
    }

    public function test_an_answer_that_gets_lost_is_believed_for_three_and_a_half_intervals_and_no_longer(): void
    {
        $plan = self::linden();
        $state = array_values(array_filter($plan->controls(), static fn (Control $control): bool => $control->name === 'Hen lamp is'))[0];
        $played = AnswerRehearsal::of($plan, $state, self::knowledge());
        self::assertNotNull($played);
        // On at 15 s; told at the start, at the change, 30 s after it; then lost. Heard last at 45 s: 45 + 3.5 × 30 s.
        self::assertSame([0, 1, null], array_column($played->shown, 'value'));
        self::assertSame([0, 15_000, 150_000], array_column($played->shown, 'fromMs'));
        self::assertSame([0, 15_000, 45_000], array_column(array_filter($played->told, static fn (array $one): bool => ! $one['lost']), 'atMs'));
        self::assertNull(AnswerRehearsal::of($plan, array_values(array_filter($plan->controls(), static fn (Control $control): bool => $control->name === 'Post lamp is'))[0], self::knowledge()), 'a text is read and kept: nothing of it goes unknown');
    }

    public function test_what_is_measured_is_rehearsed_by_what_senses_it(): void
    {
        foreach (['flow', 'current'] as $measured) {
            $plan = self::pairOf(['everyS' => 10], measured: $measured)->assigned();
            $played = AnswerRehearsal::of($plan, array_values(array_filter($plan->controls(), static fn (Control $control): bool => $control->name === 'Pump is'))[0], self::knowledge());
            self::assertSame([1, null], array_column(array_slice($played->shown ?? [], -2), 'value'), $measured);
        }
    }

    /** Two states of one name, and messages of one code to others: the one that is asked for is the one that is played. */
    public function test_a_rehearsal_plays_its_own_state_and_no_other(): void
    {
        $plan = self::pairOf(['everyS' => 10])
            ->output('fan', 'far', 'Fan')->output('shown', 'hand', 'Fan shown', OutputKind::Display)->state('fan', 'fan-is', 'Pump is', null, ['everyS' => 40])->route('fan-is', Action::Follow, 'shown')
            ->node('hall', 'Hall', NodeKind::Controller, null, '8bit-5v-20io')->module('hall-radio', 'hall', 'packet-radio-plain', 'Radio')->join('air', 'hall', Role::Receives, 'hall-radio')
            ->output('hall-lamp', 'hall', 'Hall lamp', OutputKind::Lamp)->route('pump-is', Action::Follow, 'hall-lamp')->assigned();
        [$pump, $fan] = array_values(array_filter($plan->controls(), static fn (Control $control): bool => $control->kind === ControlKind::State));
        // Told at the start and at the change and once more before it is lost; lost ones until three and a half intervals are over, and one more.
        $of = static fn (Control $state): array => array_map(static fn (array $one): int => $one['atMs'], array_values(array_filter(AnswerRehearsal::of($plan, $state, self::knowledge())->told ?? [], static fn (array $one): bool => ! $one['lost'])));
        self::assertSame([[0, 5_000, 15_000], [0, 20_000, 60_000]], [$of($pump), $of($fan)]);
    }

    public function test_what_can_hurt_never_blinks_because_nobody_knows(): void
    {
        $plan = self::pairOf()->output('heat', 'hand', 'Heat lamp', OutputKind::Lamp, more: ['hazards' => ['heat']])->route('pump-is', Action::Follow, 'heat')->assigned();
        $blinks = [];
        foreach (Tabulation::of($plan, $plan->nodes()[0], self::knowledge())->outputs as $output) {
            $blinks[$output->name] = $output->blinks;
        }
        self::assertSame(['Lamp' => true, 'Heat lamp' => false], $blinks);
    }

    public function test_to_be_answered_costs_the_way_back(): void
    {
        $plan = self::pairOf()->assigned();
        $asks = $plan->routesFrom(array_values(array_filter($plan->controls(), static fn (Control $control): bool => $control->name === 'Key'))[0])[0];
        $schools = Schools::of($plan, $asks, self::knowledge());
        self::assertSame('Pump is', $schools?->state?->name);
        self::assertSame('Lamp', $schools->shown?->name);
        // The same link there and back: the same frame is on the air twice.
        self::assertSame($schools->asked->airtimeNs(), $schools->answered->airtimeNs());
        self::assertGreaterThan(0, $schools->asked->airtimeNs());
        self::assertStringContainsString('comes twice', Schools::advice($plan, $asks));
        // Where nothing answers, what it would take.
        $bare = self::pairOf(shown: false)->assigned();
        $could = Schools::of($bare, $bare->route($asks->id), self::knowledge());
        self::assertNull($could?->state);
        self::assertSame($schools->answered->airtimeNs(), $could->answered->airtimeNs());
        // On one board there is nothing to be answered.
        $wall = $plan->routesFrom(array_values(array_filter($plan->controls(), static fn (Control $control): bool => $control->name === 'Wall key'))[0])[0];
        self::assertNull(Schools::of($plan, $wall, self::knowledge()));
    }

    /** @return iterable<string, array{string, Closure(): Sketch, list<string>}> rule, plan, titles */
    public static function cases(): iterable
    {
        yield 'a state of the node\'s own output' => ['state-of-nothing', static fn () => self::pairOf(), []];
        yield 'a state of nothing' => ['state-of-nothing', static fn () => self::pairOf()->control('s', 'far', 'Lost', ControlKind::State), ['Lost is the state of nothing']];
        yield 'a state of another board\'s output' => ['state-of-nothing', static fn () => self::sketch()->node('far', 'Far', NodeKind::Controller, null, '8bit-5v-20io')->node('third', 'Third', NodeKind::Controller, null, '8bit-5v-20io')->control('s', 'third', 'Guess', ControlKind::State)->output('pump', 'far', 'Pump', more: ['stateIds' => [self::sketch()->id('s')]]), ['Third cannot say how Pump stands']];
        yield 'sensed by a contact' => ['state-sensed-by-nothing', static fn () => self::pairOf(measured: 'flow'), []];
        yield 'sensed by a reading with a threshold' => ['state-sensed-by-nothing', static fn () => self::pairOf(measured: 'current'), []];
        yield 'sensed by a key of another board' => ['state-sensed-by-nothing', static fn () => self::pairOf(measured: 'k'), ['Key does not sense how Pump is stands']];
        yield 'a state that a lamp shows' => ['state-circles', static fn () => self::pairOf(), []];
        yield 'a state that works its own output' => ['state-circles', static fn () => self::pairOf()->route('pump-is', Action::Follow, 'pump'), ['Pump is worked by its own state']];
        yield 'told again and again' => ['state-believed-for-ever', static fn () => self::pairOf(), []];
        yield 'told when it changes' => ['state-believed-for-ever', static fn () => self::pairOf(['everyS' => 0]), ['Lamp goes on showing what Pump is was']];
        yield 'unknown after one' => ['state-doubted-at-once', static fn () => self::pairOf(lamp: ['unknownAfter' => 1]), ['Lamp doubts after one message that is lost']];
        yield 'unknown after two' => ['state-doubted-at-once', static fn () => self::pairOf(lamp: ['unknownAfter' => 2]), []];
        yield 'a pump that hurts nobody' => ['state-only-told', static fn () => self::pairOf(), []];
        yield 'a saw' => ['state-only-told', static fn () => self::pairOf()->output('saw', 'far', 'Saw', more: ['hazards' => ['motion']])->state('saw', 'saw-is', 'Saw is'), ['Saw is says what Saw was told, not what it does']];
        yield 'a saw that is sensed' => ['state-only-told', static fn () => self::pairOf()->output('saw', 'far', 'Saw', more: ['hazards' => ['motion']])->state('saw', 'saw-is', 'Saw is', 'current'), []];
        yield 'a contact that senses something is of use' => ['control-without-route', static fn () => self::pairOf(measured: 'flow'), ['Current of Far does nothing']];
    }

    /** @param  list<string>  $titles */
    #[DataProvider('cases')]
    public function test_a_rule_says_what_it_must(string $rule, Closure $sketch, array $titles): void
    {
        $found = array_filter(self::checker()->check($sketch()->plan())->all(), static fn (Finding $finding): bool => $finding->rule() === $rule);
        self::assertSame($titles, array_values(array_map(static fn (Finding $finding): string => $finding->title, $found)));
    }
}
