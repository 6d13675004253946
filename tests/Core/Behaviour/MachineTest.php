<?php

declare(strict_types=1);

namespace Tests\Core\Behaviour;

use Rundfunk\Behaviour\Gauge;
use Rundfunk\Behaviour\Heard;
use Rundfunk\Behaviour\Inputs;
use Rundfunk\Behaviour\Machine;
use Rundfunk\Behaviour\Message;
use Rundfunk\Behaviour\Outcome;
use Rundfunk\Behaviour\Tell;
use Rundfunk\Check\Finding;
use Rundfunk\Demo\Sketch;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Rundfunk\Shape\Values;
use Tests\Core\CoreTestCase;

/** What nodes do, told as it happens. What a builder would expect; common practice where nothing else is said. */
final class MachineTest extends CoreTestCase
{
    /** A hand with keys, a hub that passes on, a far node with outputs. */
    private static function three(): Sketch
    {
        return self::sketch()
            ->node('hand', 'Hand', NodeKind::Handset, null, '8bit-5v-20io')
            ->module('hand-radio', 'hand', 'packet-radio-plain', 'Radio')
            ->node('hub', 'Hub', NodeKind::Gateway, null, '8bit-5v-70io')
            ->module('hub-near', 'hub', 'packet-radio-plain', 'Near')
            ->module('hub-far', 'hub', 'packet-radio-plain', 'Far')
            ->node('far', 'Far', NodeKind::Controller, null, '8bit-5v-20io')
            ->module('far-radio', 'far', 'packet-radio-plain', 'Radio')
            ->link('near', 'Near', 'packet-radio')
            ->join('near', 'hand', Role::Sends, 'hand-radio')
            ->join('near', 'hub', Role::Receives, 'hub-near')
            ->link('beyond', 'Beyond', 'packet-radio')
            ->join('beyond', 'hub', Role::Sends, 'hub-far')
            ->join('beyond', 'far', Role::Receives, 'far-radio');
    }

    private static function rig(Plan $plan, int $now = 1_000): Rig
    {
        return new Rig($plan, self::knowledge(), $now);
    }

    public function test_a_key_over_two_links_works_an_output_by_other_codes_at_each_hop(): void
    {
        $plan = self::three()
            ->control('k', 'hand', 'Key')
            ->control('other', 'hand', 'Other')
            ->output('hub-lamp', 'hub', 'Hub lamp')
            ->output('lamp', 'far', 'Lamp')
            ->route('other', Action::Toggle, 'hub-lamp')
            ->route('k', Action::Toggle, 'lamp')
            ->assigned();
        $codes = array_map(static fn (Hop $hop): int => $hop->code ?? 0, $plan->hopsOf($plan->routesFrom($plan->controls()[0])[0]));
        $draft = $plan->draft();
        foreach ($plan->hops() as $hop) {
            // A code of the user's own at the second hop.
            $draft->put($plan->link($hop->linkId)->name === 'Beyond' ? Hop::from(new Values([...$hop->values(), 'code' => 99])) : $hop);
        }
        $rig = self::rig($draft->plan());
        self::assertSame(1, $rig->press('Hand', 'Key')->shows('Far', 'Lamp'));
        self::assertSame(["Hand → Hub: {$codes[0]} 0", 'Hub → Far: 99 0'], $rig->told);
        self::assertSame(0, $rig->press('Hand', 'Key')->shows('Far', 'Lamp'));
        self::assertSame(0, $rig->shows('Hub', 'Hub lamp'));
    }

    public function test_a_key_counts_once_it_is_steady_and_once_a_press(): void
    {
        $plan = self::three()->control('k', 'hand', 'Key')->output('lamp', 'hand', 'Lamp')->route('k', Action::Toggle, 'lamp')->assigned();
        $rig = self::rig($plan);
        // It bounces for 15 ms: 20 ms must pass from the last of it.
        $rig->put('Hand', 'Key', 1, 10)->put('Hand', 'Key', 0, 5)->put('Hand', 'Key', 1, 10);
        self::assertSame(0, $rig->shows('Hand', 'Lamp'));
        self::assertSame(1, $rig->pass(10)->shows('Hand', 'Lamp'));
        self::assertSame(1, $rig->pass(5_000)->put('Hand', 'Key', 0)->shows('Hand', 'Lamp'));
    }

    public function test_a_key_held_at_the_start_asks_for_nothing_and_a_switch_stands_where_it_stands(): void
    {
        $plan = self::three()
            ->control('k', 'hand', 'Key')->control('s', 'hand', 'Switch', ControlKind::Switch)
            ->output('one', 'hand', 'One')->output('two', 'hand', 'Two')->output('three', 'hand', 'Three')
            ->route('k', Action::Momentary, 'one')->route('s', Action::Follow, 'two')->route('s', Action::On, 'three')
            ->assigned();
        $machine = new Machine($tables = self::rig($plan)->tables['Hand']);
        $state = $machine->start(0);
        foreach ([0, 30, 60] as $now) {
            $outcome = $machine->step($state, $now, -1, new Inputs([1, 1]));
            $state = $outcome->state;
        }
        self::assertSame(['Key', 'Switch'], [$tables->contacts[0]->name, $tables->contacts[1]->name]);
        // What is switched on by its turning on was not turned: nothing starts by itself when the power comes back.
        self::assertSame([0, 1, 0], $outcome->outputs);
    }

    public function test_a_pulse_ends_by_itself_begins_anew_when_asked_again_and_gives_way_to_an_on(): void
    {
        $plan = self::three()
            ->control('p', 'hand', 'Pulse')->control('on', 'hand', 'On')
            ->output('lamp', 'far', 'Lamp')
            ->route('p', Action::Pulse, 'lamp', 2_000)->route('on', Action::On, 'lamp')
            ->assigned();
        $rig = self::rig($plan);
        self::assertSame(1, $rig->press('Hand', 'Pulse')->pass(1_500)->shows('Far', 'Lamp'));
        self::assertSame(1, $rig->press('Hand', 'Pulse')->pass(1_500)->shows('Far', 'Lamp'));
        self::assertSame(0, $rig->pass(500)->shows('Far', 'Lamp'));
        self::assertSame(1, $rig->press('Hand', 'Pulse')->press('Hand', 'On')->pass(60_000)->shows('Far', 'Lamp'));
    }

    public function test_what_is_held_from_afar_goes_off_when_nothing_more_is_heard(): void
    {
        $plan = self::three()
            ->control('k', 'hand', 'Winch key', settings: ['repeatMs' => 100])
            ->control('local', 'far', 'Here', ControlKind::Switch)
            ->output('winch', 'far', 'Winch', more: ['settings' => ['silenceMs' => 350]])
            ->route('k', Action::Momentary, 'winch')->route('local', Action::Follow, 'winch')
            ->assigned();
        $rig = self::rig($plan);
        self::assertSame(1, $rig->put('Hand', 'Winch key', 1)->pass(10_000)->shows('Far', 'Winch'));
        self::assertGreaterThan(90, count($rig->told));
        self::assertSame(0, $rig->put('Hand', 'Winch key', 0)->shows('Far', 'Winch'));
        // Heard once, and then the hand's battery is empty.
        $told = $rig->tables['Far']->heard[0];
        $machine = new Machine($rig->tables['Far']);
        $state = $machine->step($machine->start(0), 0, -1, new Inputs([0]), [new Message($told->link, $told->from, $told->code, 1)])->state;
        self::assertSame([1], $machine->step($state, 349, -1, new Inputs([0]))->outputs);
        self::assertSame([0], $machine->step($state, 350, -1, new Inputs([0]))->outputs);
        // The switch beside it needs nobody's word.
        self::assertSame(1, $rig->put('Far', 'Here', 1)->pass(60_000)->shows('Far', 'Winch'));
    }

    public function test_what_must_run_comes_on_when_nobody_is_heard_and_goes_where_it_is_told_to_afterwards(): void
    {
        $plan = self::three()
            ->control('k', 'hand', 'Rest', ControlKind::Switch, settings: ['repeatMs' => 100])
            ->output('pump', 'far', 'Pump', more: ['settings' => ['silenceMs' => 350, 'silenceOn' => true]])
            ->output('lamp', 'far', 'Lamp', more: ['settings' => ['silenceMs' => 350]])
            ->route('k', Action::Follow, 'pump')->route('k', Action::Follow, 'lamp')
            ->assigned();
        $rig = self::rig($plan);
        // Off for a minute, and said so all the while: to the pump, for the lamp goes off by itself.
        self::assertSame(0, $rig->put('Hand', 'Rest', 1)->put('Hand', 'Rest', 0)->pass(60_000)->shows('Far', 'Pump'));
        $both = array_map(static fn (Tell $tell): ?bool => $tell->both, $rig->tables['Hand']->contacts[0]->does->tells);
        self::assertEqualsCanonicalizing([true, null], $both);
        $pump = (int) array_search('Pump', array_column($rig->tables['Far']->outputs, 'name'), true);
        $heard = array_values(array_filter($rig->tables['Far']->heard, static fn (Heard $one): bool => $one->drives[0]->output === $pump))[0];
        $says = static fn (int $value): array => [new Message($heard->link, $heard->from, $heard->code, $value)];
        $machine = new Machine($rig->tables['Far']);
        $shows = static fn (Outcome $outcome): int => $outcome->outputs[$pump];
        $start = $machine->start(0);
        self::assertSame(0, $shows($machine->step($start, 349, -1, new Inputs)), 'at the start it waits as long');
        $alone = $machine->step($start, 350, -1, new Inputs);
        self::assertSame(1, $shows($alone));
        self::assertSame(0, $shows($machine->step($alone->state, 400, -1, new Inputs, $says(0))), 'heard again, it is as it is told');
        self::assertSame(1, $shows($machine->step($alone->state, 400, -1, new Inputs, $says(1))));
        $off = $machine->step($start, 100, -1, new Inputs, $says(0));
        self::assertSame([0, 0, 1], [$shows($off), $shows($machine->step($off->state, 449, -1, new Inputs)), $shows($machine->step($off->state, 450, -1, new Inputs))]);
        $on = $machine->step($start, 100, -1, new Inputs, $says(1));
        self::assertSame([1, 1], [$shows($on), $shows($machine->step($on->state, 60_000, -1, new Inputs))]);
    }

    /** Two that must never be on together are not, whatever is lost. */
    public function test_what_would_come_on_unheard_of_stays_off_beside_what_it_must_never_be_on_with(): void
    {
        $sketch = self::three();
        $plan = $sketch->control('k', 'hand', 'Rest', ControlKind::Switch, settings: ['repeatMs' => 100])->control('o', 'far', 'Other here', ControlKind::Switch)
            ->output('open', 'far', 'Open', more: ['settings' => ['silenceMs' => 350, 'silenceOn' => true]])
            ->output('shut', 'far', 'Shut', more: ['neverWithIds' => [$sketch->id('open')]])
            ->route('k', Action::Follow, 'open')->route('o', Action::Follow, 'shut')->assigned();
        $machine = new Machine(self::rig($plan)->tables['Far']);
        $held = $machine->step($machine->start(0), 10, -1, new Inputs([1]));
        $held = $machine->step($held->state, 50, -1, new Inputs([1]));
        self::assertSame([0, 1], $held->outputs);
        self::assertSame([0, 1], $machine->step($held->state, 60_000, -1, new Inputs([1]))->outputs);
    }

    public function test_a_reading_switches_beyond_its_threshold_and_back_past_its_hysteresis(): void
    {
        $plan = self::three()
            ->control('cold', 'far', 'Cold', ControlKind::Reading, settings: ['threshold' => 4.0, 'hysteresis' => 1.5, 'beyond' => 'below'])
            ->output('heat', 'far', 'Heat')->route('cold', Action::Follow, 'heat')->assigned();
        $rig = self::rig($plan);
        $states = [];
        foreach ([4_000, 3_999, 4_000, 5_499, 5_500, 4_500, 3_000, Gauge::FAILED] as $thousandths) {
            $states[] = $rig->put('Far', 'Cold', $thousandths)->shows('Far', 'Heat');
        }
        self::assertSame([0, 1, 1, 1, 0, 0, 1, 0], $states);
    }

    public function test_a_sensor_that_fails_counts_as_the_plan_says(): void
    {
        foreach (['keep' => [0, 1, 1], 'on' => [1, 1, 1], 'off' => [0, 1, 0]] as $onFailure => $states) {
            $plan = self::three()
                ->control('wet', 'far', 'Wet', ControlKind::Reading, settings: ['threshold' => 50.0, 'onFailure' => $onFailure])
                ->output('pump', 'far', 'Pump')->route('wet', Action::Follow, 'pump')->assigned();
            $rig = self::rig($plan);
            self::assertSame($states, [$rig->shows('Far', 'Pump'), $rig->put('Far', 'Wet', 60_000)->shows('Far', 'Pump'), $rig->put('Far', 'Wet', Gauge::FAILED)->shows('Far', 'Pump')], $onFailure);
        }
    }

    public function test_a_reading_is_told_as_a_whole_number_at_its_interval(): void
    {
        $plan = self::three()
            ->control('t', 'hand', 'Level', ControlKind::Reading, settings: ['intervalS' => 2])
            ->output('fan', 'far', 'Fan', OutputKind::Pwm)->route('t', Action::Set, 'fan')->assigned();
        $rig = self::rig($plan);
        self::assertSame(37, $rig->put('Hand', 'Level', 36_500)->shows('Far', 'Fan'));
        self::assertSame(37, $rig->put('Hand', 'Level', -2_500, 1_800)->shows('Far', 'Fan'));
        self::assertSame(0, $rig->pass(200)->shows('Far', 'Fan'));
        self::assertSame(['Hand → Hub: 1 37', 'Hub → Far: 1 37', 'Hand → Hub: 1 -3', 'Hub → Far: 1 -3'], $rig->told);
    }

    public function test_a_timer_strikes_when_its_minute_comes_and_not_when_the_clock_is_found(): void
    {
        $plan = self::three()
            ->control('dusk', 'far', 'Dusk', ControlKind::Timer, settings: ['at' => '02:30'])
            ->output('lamp', 'far', 'Lamp')->route('dusk', Action::Toggle, 'lamp')->assigned();
        // Minutes as they are seen, and whether it struck at each.
        $days = [
            'day after day' => [[149, 150, 150, 151, 1_439, 0, 149, 150], [0, 1, 0, 0, 0, 0, 0, 0]],
            'found at its very minute' => [[150, 151], [0, 0]],
            'nobody knew the time for a while' => [[149, -1, -1, 151], [0, 0, 0, 1]],
            'a step was long' => [[140, 160], [0, 1]],
            'put forward in spring: what lies between still comes' => [[119, 180], [0, 1]],
            'put back in autumn: the hour comes twice' => [[149, 150, 179, 120, 149, 150], [0, 1, 0, 0, 0, 1]],
            'set anew by half a day' => [[100, 820], [0, 0]],
        ];
        foreach ($days as $name => [$minutes, $strikes]) {
            $rig = self::rig($plan);
            $stood = 0;
            foreach ($minutes as $index => $minute) {
                $rig->minute = $minute;
                $stands = $rig->pass(10)->shows('Far', 'Lamp');
                // From 1,439 to 0 and 149 the clock jumps: nothing struck there, so a second strike needs the minute itself.
                self::assertSame($strikes[$index], $name === 'day after day' && $index === 7 ? 0 : $stands ^ $stood, "{$name}, {$minute}");
                $stood = $stands;
            }
        }
    }

    public function test_an_interval_goes_on_past_the_round_of_the_milliseconds(): void
    {
        $plan = self::three()
            ->control('tick', 'far', 'Tick', ControlKind::Timer, settings: ['everyMin' => 1])
            ->output('lamp', 'far', 'Lamp')->route('tick', Action::Toggle, 'lamp')->assigned();
        $rig = self::rig($plan, 0xFFFF_FFFF - 90_000);
        self::assertSame(0, $rig->pass(59_000)->shows('Far', 'Lamp'));
        self::assertSame(1, $rig->pass(1_000)->shows('Far', 'Lamp'));
        self::assertSame(1, $rig->pass(59_000)->shows('Far', 'Lamp'));
        self::assertSame(0, $rig->pass(1_000)->shows('Far', 'Lamp'));
    }

    public function test_a_stick_drives_a_motor_both_ways_and_rests_in_its_middle(): void
    {
        $plan = self::three()
            ->module('stick', 'hand', 'joystick', 'Stick')
            ->control('drive', 'hand', 'Drive', ControlKind::Axis, settings: ['rawLowest' => 100, 'rawCentre' => 500, 'rawHighest' => 1_000, 'deadBand' => 10])
            ->output('motor', 'far', 'Motor', OutputKind::Motor)->route('drive', Action::Set, 'motor')->assigned();
        $rig = self::rig($plan);
        $values = [];
        foreach ([500, 540, 1_000, 1_023, 750, 300, 100, 0, 500] as $raw) {
            $values[] = $rig->put('Hand', 'Drive', $raw)->shows('Far', 'Motor');
        }
        // Half way less a dead band of a tenth: (0.5 − 0.1) ÷ 0.9 = 0.44.
        self::assertSame([0, 0, 100, 100, 44, -44, -100, -100, 0], $values);
    }

    public function test_driving_and_steering_are_mixed_to_the_two_sides_of_a_vehicle(): void
    {
        $sketch = self::three();
        $plan = $sketch->module('stick', 'hand', 'joystick', 'Stick')
            ->control('drive', 'hand', 'Drive', ControlKind::Axis, settings: ['rawLowest' => 0, 'rawCentre' => 512, 'rawHighest' => 1_024, 'deadBand' => 0])
            ->control('steer', 'hand', 'Steer', ControlKind::Axis, settings: ['rawLowest' => 0, 'rawCentre' => 512, 'rawHighest' => 1_024, 'deadBand' => 0])
            ->output('left', 'far', 'Left', OutputKind::Motor)->output('right', 'far', 'Right', OutputKind::Motor)
            ->route('drive', Action::Set, 'left', more: ['mixedId' => $sketch->id('steer')])
            ->route('drive', Action::Set, 'right', more: ['mixedId' => $sketch->id('steer'), 'mixSubtracts' => true])
            ->assigned();
        $rig = self::rig($plan);
        $sides = static fn (int $drive, int $steer): array => [$rig->put('Hand', 'Drive', $drive)->put('Hand', 'Steer', $steer)->shows('Far', 'Left'), $rig->shows('Far', 'Right')];
        self::assertSame([50, 50], $sides(768, 512), 'straight on');
        self::assertSame([75, 25], $sides(768, 640), 'a bend: half and a quarter');
        self::assertSame([100, -100], $sides(512, 1_024), 'on the spot');
        self::assertSame([100, 0], $sides(1_024, 1_024), 'L = t + s, R = t − s, both divided by the greater: 2 and 0 come to 1 and 0');
        self::assertSame([-100, -33], $sides(0, 256), 'backwards');
        self::assertSame([0, 0], $sides(512, 512));
        self::assertSame([], array_filter(self::checker()->check($plan)->all(), static fn (Finding $finding): bool => in_array($finding->rule(), ['routes-fight', 'control-without-route'], true)), 'the two sides are no masters that contradict');
    }

    public function test_a_stick_pushed_asks_for_one_step_and_must_come_back_before_the_next(): void
    {
        $plan = self::three()
            ->module('stick', 'hand', 'joystick', 'Stick')
            ->control('up', 'hand', 'Up', ControlKind::Axis)
            ->control('down', 'hand', 'Down', ControlKind::Axis)
            ->output('light', 'far', 'Light', OutputKind::Pwm)
            ->route('up', Action::Step, 'light', value: 20)->route('down', Action::Step, 'light', value: -5)->assigned();
        $rig = self::rig($plan);
        $values = [];
        foreach ([512, 1_023, 900, 760, 1_000, 512, 1_000, 0, 512] as $raw) {
            $values[] = $rig->put('Hand', 'Up', $raw)->shows('Far', 'Light');
        }
        self::assertSame([0, 20, 20, 20, 20, 20, 40, 40, 40], $values);
        // A step down is a push down.
        self::assertSame([40, 35], [$rig->put('Hand', 'Down', 1_023)->shows('Far', 'Light'), $rig->put('Hand', 'Down', 0)->shows('Far', 'Light')]);
    }

    public function test_one_code_for_two_keys_that_ask_the_same_is_obeyed_once(): void
    {
        $sketch = self::three()
            ->control('k', 'hand', 'Key')->control('l', 'hand', 'Second key')
            ->output('lamp', 'hub', 'Lamp')
            ->route('k', Action::Toggle, 'lamp')->route('l', Action::Toggle, 'lamp');
        $plan = $sketch->assigned();
        $draft = $plan->draft();
        foreach ($plan->hops() as $hop) {
            $draft->put(Hop::from(new Values([...$hop->values(), 'code' => 7])));
        }
        $rig = self::rig($draft->plan());
        self::assertSame(1, $rig->press('Hand', 'Second key')->shows('Hub', 'Lamp'));
    }

    public function test_the_demo_greenhouse_obeys_its_wall_its_timer_its_page_and_the_remote(): void
    {
        $rig = self::rig(self::linden());
        $lamp = static fn (): int => $rig->shows('Greenhouse', 'Work lamp');
        $rig->put('Greenhouse', 'Lamp switch', 1);
        self::assertSame(1, $lamp());
        // The switch holds it: neither the timer nor the remote puts it off.
        $rig->minute = 1_349;
        $rig->pass(10);
        $rig->minute = 1_350;
        $rig->pass(10);
        $rig->hear('Greenhouse', 'NEC');
        self::assertSame(1, $lamp());
        $rig->put('Greenhouse', 'Lamp switch', 0);
        self::assertSame(0, $lamp());
        self::assertSame(1, $rig->hear('Greenhouse', 'NEC')->shows('Greenhouse', 'Work lamp'));
        self::assertSame(0, $rig->put('Shed', 'Page: work lamp off', 1, 10)->shows('Greenhouse', 'Work lamp'));
    }

    public function test_the_demo_gate_obeys_a_call_and_a_word_and_tells_of_frost(): void
    {
        $rig = self::rig(self::linden());
        self::assertSame(1, $rig->hear('Gate post', 'a call')->shows('Gate post', 'Post lamp'));
        self::assertSame(0, $rig->hear('Gate post', 'POST LAMP OFF')->shows('Gate post', 'Post lamp'));
        $rig->told = [];
        $rig->put('Gate post', 'Frost', -2_400);
        self::assertSame(["Gate post → Rowan's phone: 2 -2"], $rig->told);
        self::assertSame(1, $rig->hear('Gate post', 'GATE PULSE')->shows('Gate post', 'Gate'));
        self::assertSame(0, $rig->pass(1_000)->shows('Gate post', 'Gate'));
    }

    public function test_a_compressor_rests_from_the_start_and_runs_for_a_while_but_not_past_a_dead_sensor(): void
    {
        $plan = self::three()
            ->control('warm', 'hand', 'Warm', ControlKind::Reading, settings: ['threshold' => 5.0, 'hysteresis' => 0.5, 'leastOnS' => 60, 'leastOffS' => 180])
            ->output('cool', 'hand', 'Compressor')->route('warm', Action::Follow, 'cool')->assigned();
        $rig = self::rig($plan, 0);
        $runs = static fn (int $milli, int $ms): int => $rig->put('Hand', 'Warm', $milli, $ms)->shows('Hand', 'Compressor');
        self::assertSame([0, 1], [$runs(8_000, 179_000), $runs(8_000, 2_000)], 'three minutes after it was switched on');
        self::assertSame([1, 0], [$runs(3_000, 58_000), $runs(3_000, 3_000)], 'a minute at least');
        self::assertSame([0, 1], [$runs(8_000, 175_000), $runs(8_000, 6_000)], 'and it rests');
        self::assertSame(0, $runs(Gauge::FAILED, 100), 'a dead sensor does not wait');
    }

    public function test_a_dead_sensor_that_counts_as_on_does_not_cut_a_compressor_s_rest_short(): void
    {
        $plan = self::three()
            ->control('warm', 'hand', 'Warm', ControlKind::Reading, settings: ['threshold' => 5.0, 'leastOffS' => 180, 'onFailure' => 'on'])
            ->output('cool', 'hand', 'Compressor')->route('warm', Action::Follow, 'cool')->assigned();
        $rig = self::rig($plan, 0);
        self::assertSame([0, 1], [$rig->put('Hand', 'Warm', Gauge::FAILED, 170_000)->shows('Hand', 'Compressor'), $rig->pass(15_000)->shows('Hand', 'Compressor')]);
    }

    public function test_what_a_reading_holds_from_afar_is_told_again_and_goes_off_when_it_is_not(): void
    {
        $plan = self::three()
            ->control('cold', 'hand', 'Cold', ControlKind::Reading, settings: ['threshold' => 5.0, 'beyond' => 'below', 'repeatMs' => 1_000])
            ->output('heat', 'hub', 'Heat', more: ['settings' => ['silenceMs' => 3_050]])->route('cold', Action::Follow, 'heat')->assigned();
        $rig = self::rig($plan);
        self::assertSame(1, $rig->put('Hand', 'Cold', 2_000, 20_000)->shows('Hub', 'Heat'));
        self::assertSame(0, $rig->stop('Hand')->pass(3_100)->shows('Hub', 'Heat'));
        $rig->start('Hand')->forget();
        self::assertSame(1, $rig->put('Hand', 'Cold', 2_000, 3_000)->shows('Hub', 'Heat'));
        self::assertSame(0, $rig->put('Hand', 'Cold', 8_000)->shows('Hub', 'Heat'));
        $rig->forget()->pass(5_000);
        self::assertSame([], $rig->told, 'what is not held is not told again');
    }

    /** A probe that reads 850 dry and 400 wet, told in per cent: half way, 625, is 50. */
    public function test_a_reading_goes_from_what_the_converter_reads_to_its_unit(): void
    {
        $plan = self::three()
            ->control('soil', 'hand', 'Soil', ControlKind::Reading, settings: ['unit' => '%', 'intervalS' => 1, 'threshold' => 30.0, 'hysteresis' => 0.0, 'beyond' => 'below', 'rawFrom' => 850, 'unitFrom' => 0.0, 'rawTo' => 400, 'unitTo' => 100.0])
            ->output('shown', 'hub', 'Soil shown', OutputKind::Display, more: ['settings' => ['lowest' => 0, 'highest' => 100]])->output('tap', 'hand', 'Tap')
            ->route('soil', Action::Set, 'shown')->route('soil', Action::Follow, 'tap')->assigned();
        $rig = self::rig($plan);
        $at = static fn (int $raw): array => [$rig->put('Hand', 'Soil', $raw, 1_100)->shows('Hub', 'Soil shown'), $rig->shows('Hand', 'Tap')];
        self::assertSame([[0, 1], [50, 0], [100, 0], [100, 0], [29, 1]], array_map($at, [850, 625, 400, 380, 720]));
    }

    /** A tank that lies: its level by height and by what is in it go by no straight line. Between two points on theirs, beyond the last as before it. */
    public function test_a_reading_of_several_points_goes_from_one_to_the_next(): void
    {
        $plan = self::three()
            ->control('tank', 'hand', 'Tank', ControlKind::Reading, settings: ['unit' => '%', 'intervalS' => 1, 'rawFrom' => 100, 'unitFrom' => 0.0, 'rawTo' => 900, 'unitTo' => 100.0, 'between' => '700 = 86, 300=14'])
            ->output('shown', 'hub', 'Tank shown', OutputKind::Display, more: ['settings' => ['lowest' => -20, 'highest' => 120]])
            ->route('tank', Action::Set, 'shown')->assigned();
        $rig = self::rig($plan);
        $at = static fn (int $raw): int => $rig->put('Hand', 'Tank', $raw, 1_100)->shows('Hub', 'Tank shown');
        // 14 over the first 200, 72 over the next 400, 14 over the last 200.
        self::assertSame([0, 7, 14, 50, 86, 93, 100, 107, -4], array_map($at, [100, 200, 300, 500, 700, 800, 900, 1_000, 50]));
    }
}
