<?php

declare(strict_types=1);

namespace Tests\Core\Behaviour;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Check\Finding;
use Rundfunk\Demo\Sketch;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Role;
use Tests\Core\CoreTestCase;

/** A row a case: what a node is to do, and what each rule of behaviour must say of it. */
final class BehaviourRulesTest extends CoreTestCase
{
    /** @return iterable<string, array{string, Closure(): Sketch, list<string>}> rule, plan, titles */
    public static function cases(): iterable
    {
        $timer = static fn (array $settings, Action $action = Action::Off, string $board = 'wifi-3v3-26io'): Sketch => self::node($board)->control('t', 'n', 'Timer', ControlKind::Timer, settings: $settings)->output('lamp', 'n', 'Lamp')->route('t', $action, 'lamp');
        yield 'a timer with a time' => ['timer-idle', static fn () => $timer(['at' => '6:30']), []];
        yield 'a timer with an interval' => ['timer-idle', static fn () => $timer(['everyMin' => 5]), []];
        yield 'a timer with neither' => ['timer-idle', static fn () => $timer([]), ['Timer never strikes']];
        yield 'no time of day' => ['timer-idle', static fn () => $timer(['at' => '24:00']), ['"24:00" is no time of day']];
        yield 'no time of day either, though it has an interval' => ['timer-idle', static fn () => $timer(['at' => 'noon', 'everyMin' => 5]), ['"noon" is no time of day']];

        yield 'a board that nobody tells the time' => ['clock-missing', static fn () => $timer(['at' => '12:00']), ['Node does not know what time it is']];
        yield 'an interval needs no clock' => ['clock-missing', static fn () => $timer(['everyMin' => 5]), []];
        yield 'a clock of its own' => ['clock-missing', static fn () => $timer(['at' => '12:00'])->module('c', 'n', 'clock-i2c', 'Clock'), []];
        yield 'a network tells it' => ['clock-missing', static fn () => $timer(['at' => '12:00'])->link('net', 'Net', 'ip', ['ssid' => 'x'])->join('net', 'n', Role::Both), []];

        yield 'a toggle in the hour that comes twice' => ['time-comes-twice', static fn () => $timer(['at' => '02:30'], Action::Toggle), ['02:30 comes twice in the night when summer time ends']];
        yield 'an off may come twice' => ['time-comes-twice', static fn () => $timer(['at' => '02:30'], Action::Off), []];
        yield 'a toggle at noon' => ['time-comes-twice', static fn () => $timer(['at' => '12:30'], Action::Toggle), []];

        $axis = static fn (array $settings): Sketch => self::node()->module('s', 'n', 'joystick', 'Stick')->control('a', 'n', 'Axis', ControlKind::Axis, 's', 'X', $settings);
        yield 'an axis as it comes' => ['axis-middle-at-end', static fn () => $axis([]), []];
        yield 'an axis wired the other way round' => ['axis-middle-at-end', static fn () => $axis(['rawLowest' => 1_000, 'rawCentre' => 500, 'rawHighest' => 20]), []];
        yield 'a middle at its end' => ['axis-middle-at-end', static fn () => $axis(['rawCentre' => 1_023, 'rawHighest' => 1_023]), ['Axis has its middle at one of its ends']];
        yield 'a middle beyond all that a 10-bit board reads' => ['axis-middle-at-end', static fn () => $axis(['rawCentre' => 2_048]), ['Axis has its middle at one of its ends']];

        $pad = static fn (array $settings, string $class = 'pad-wireless', string $channel = 'Left X'): Sketch => self::node()->module('p', 'n', $class, 'Pad')->control('a', 'n', 'Axis', ControlKind::Axis, 'p', $channel, $settings);
        yield 'a pad\'s stick looked at as often as it is asked' => ['polled-too-slowly', static fn () => $pad(['everyMs' => 12]), []];
        yield 'a pad\'s stick looked at more often' => ['polled-too-slowly', static fn () => $pad(['everyMs' => 10]), ['Axis is looked at every 10 ms, and asked for every 12 ms']];
        yield 'a stick of its own wires' => ['polled-too-slowly', static fn () => $pad(['everyMs' => 10], 'joystick', 'X'), []];
        yield 'a pad\'s stick reads to 255' => ['axis-middle-at-end', static fn () => $pad(['rawCentre' => 255]), ['Axis has its middle at one of its ends']];
        yield 'a pad\'s stick as it comes' => ['axis-middle-at-end', static fn () => $pad([]), []];
        yield 'a key of a pad is on no pin of its own' => ['channel-unfit', static fn () => $pad([])->control('b', 'n', 'Key', ControlKind::Button, 'p', 'Start'), []];
        yield 'a key where a stick is' => ['channel-unfit', static fn () => $pad([])->control('b', 'n', 'Key', ControlKind::Button, 'p', 'Left Y'), ['Key of Node is a button, and Pad Left Y carries none']];

        $damp = static fn (NodeKind $kind, Action $action, ?string $board = null): Sketch => self::node()->node('s', 'Sensor', $kind, null, $board)->link('net', 'Net', 'ip', ['ssid' => 'x'])->join('net', 'n', Role::Both)->join('net', 's', Role::Both)
            ->control('r', 's', 'Damp', ControlKind::Reading, settings: ['threshold' => 70.0, 'hysteresis' => 3.0])->output('fan', 'n', 'Fan', more: ['settings' => ['lowest' => 0, 'highest' => 100]])
            ->route('r', $action, 'fan')->hop("r fan {$action->value}", 'net', 's', 'n', null);
        yield 'a threshold that a bought thing knows nothing of' => ['reading-unjudged', static fn () => $damp(NodeKind::Fixture, Action::Follow), ['Nobody compares Damp of Sensor with its threshold']];
        yield 'a figure that is only handed on' => ['reading-unjudged', static fn () => $damp(NodeKind::Fixture, Action::Set), []];
        yield 'a threshold of a board of ours' => ['reading-unjudged', static fn () => $damp(NodeKind::Controller, Action::Follow, 'wifi-3v3-26io'), []];

        // A NEC frame of 32 bits takes 67.5 ms (9 + 4.5 + 32 bits of 1.6875 ms on average, as bit and complement make them): 68 % of 100 ms.
        $stream = static fn (int $every): Sketch => self::node()->module('led', 'n', 'infrared-emitter', 'Emitter')->control('a', 'n', 'Lever', ControlKind::Axis, settings: ['everyMs' => $every])
            ->node('toy', 'Toy', NodeKind::Fixture, null, null)->link('ir', 'Toys', 'infrared')->join('ir', 'n', Role::Sends, 'led')->join('ir', 'toy', Role::Receives)
            ->output('speed', 'toy', 'Speed', OutputKind::Function, more: ['settings' => ['lowest' => 0, 'highest' => 1]])
            ->keyCode('toy', 'Still', 'nec', 0x51, 0x10, output: 'speed', action: Action::Set, more: ['value' => 0])->keyCode('toy', 'Slow', 'nec', 0x51, 0x11, output: 'speed', action: Action::Set, more: ['value' => 1])
            ->route('a', Action::Set, 'speed')->hop('a speed set', 'ir', 'n', 'toy', null);
        yield 'a lever over infrared ten times a second' => ['stream-crowds', static fn () => $stream(100), ['Sticks take 68.1 % of Toys']];
        yield 'a lever over infrared five times a second' => ['stream-crowds', static fn () => $stream(200), []];

        $mixed = static fn (string $with): Sketch => $axis([])->control('b', 'n', 'Other', ControlKind::Axis, 's', 'Y')->control('k', 'n', 'Key')->output('m', 'n', 'Motor', OutputKind::Motor)
            ->node('far', 'Far', NodeKind::Controller, null, '8bit-5v-20io')->control('f', 'far', 'Far stick', ControlKind::Axis)
            ->route('a', Action::Set, 'm', more: ['mixedId' => self::sketch()->id($with)]);
        yield 'two sticks of one node' => ['mix-elsewhere', static fn () => $mixed('b'), []];
        yield 'a stick with a key' => ['mix-elsewhere', static fn () => $mixed('k'), ['Key cannot be mixed with Axis']];
        yield 'a stick of another node' => ['mix-elsewhere', static fn () => $mixed('f'), ['Far stick cannot be mixed with Axis']];
        yield 'a stick with itself' => ['mix-elsewhere', static fn () => $mixed('a'), ['Axis cannot be mixed with Axis']];

        $held = static fn (array $control, array $output, Action $action = Action::Momentary, array $hazards = ['motion']): Sketch => self::pairOf()->control('k', 'hand', 'Key', settings: $control)
            ->output('winch', 'far', 'Winch', more: ['hazards' => $hazards, 'settings' => $output])->route('k', $action, 'winch');
        yield 'a winch held by radio' => ['held-for-ever', static fn () => $held([], []), ['Winch goes on when Hand falls silent']];
        yield 'a winch that hears of it again and again' => ['held-for-ever', static fn () => $held(['repeatMs' => 100], ['silenceMs' => 350]), []];
        yield 'a lamp held by radio' => ['held-for-ever', static fn () => $held([], [], hazards: []), []];
        yield 'a lock held by radio' => ['held-for-ever', static fn () => $held([], [], hazards: ['access']), []];
        yield 'a winch pulsed by radio' => ['held-for-ever', static fn () => $held([], [], Action::Pulse), []];
        yield 'silence between two that are told' => ['silence-too-short', static fn () => $held(['repeatMs' => 200], ['silenceMs' => 399]), ['Winch goes off while Key holds it']];
        yield 'silence of two that are told' => ['silence-too-short', static fn () => $held(['repeatMs' => 200], ['silenceMs' => 400]), []];
        yield 'told once, and to be heard of' => ['silence-unfed', static fn () => $held([], ['silenceMs' => 400]), ['Winch goes off 400 ms after Key was worked, held or not']];
        yield 'told again, and to be heard of' => ['silence-unfed', static fn () => $held(['repeatMs' => 100], ['silenceMs' => 400]), []];

        $on = ['silenceOn' => true];
        yield 'off is told again, too' => ['comes-on-unasked', static fn () => $held(['repeatMs' => 100], $on + ['silenceMs' => 200], hazards: []), []];
        yield 'off is told again too seldom' => ['comes-on-unasked', static fn () => $held(['repeatMs' => 100], $on + ['silenceMs' => 199], hazards: []), ['Winch comes on though nothing is lost']];
        yield 'off is told once' => ['comes-on-unasked', static fn () => $held([], $on + ['silenceMs' => 400], hazards: []), ['Winch comes on though nothing is lost']];
        yield 'on is told and off never' => ['comes-on-unasked', static fn () => $held(['repeatMs' => 100], $on + ['silenceMs' => 400], Action::On, []), ['Winch comes on though nothing is lost']];
        yield 'on when unheard of, and never unheard of' => ['comes-on-unasked', static fn () => $held([], $on, hazards: []), []];
        yield 'a reading says its value as often as it is read' => ['comes-on-unasked', static fn () => self::pairOf()->control('r', 'hand', 'Warm', ControlKind::Reading, settings: ['threshold' => 1.0, 'repeatMs' => 1_000])
            ->output('fan', 'far', 'Fan', OutputKind::Pwm, more: ['settings' => $on + ['silenceMs' => 5_000]])->route('r', Action::Set, 'fan'), ['Fan comes on though nothing is lost']];
        yield 'a reading beyond its threshold is said either way' => ['comes-on-unasked', static fn () => self::pairOf()->control('r', 'hand', 'Warm', ControlKind::Reading, settings: ['threshold' => 1.0, 'repeatMs' => 1_000])
            ->output('fan', 'far', 'Fan', more: ['settings' => $on + ['silenceMs' => 5_000]])->route('r', Action::Follow, 'fan'), []];
        yield 'nobody elsewhere works it' => ['comes-on-unasked', static fn () => self::node()->control('k', 'n', 'Key')->output('fan', 'n', 'Fan', more: ['settings' => $on + ['silenceMs' => 400]])->route('k', Action::Momentary, 'fan'), []];
        yield 'a winch that comes on' => ['comes-on-dangerously', static fn () => $held(['repeatMs' => 100], $on + ['silenceMs' => 400]), ['Winch comes on when nobody is heard']];
        yield 'a lock that anybody opens with a jammer' => ['comes-on-dangerously', static fn () => $held(['repeatMs' => 100], $on + ['silenceMs' => 400], hazards: ['access']), ['Winch comes on when nobody is heard']];
        yield 'a winch that goes off' => ['comes-on-dangerously', static fn () => $held(['repeatMs' => 100], ['silenceMs' => 400]), []];
        yield 'a lamp that comes on' => ['comes-on-dangerously', static fn () => $held(['repeatMs' => 100], $on + ['silenceMs' => 400], hazards: []), []];
        $said = static fn (string $safe): Sketch => self::pairOf()->control('k', 'hand', 'Key', settings: ['repeatMs' => 100])->output('m', 'far', 'Hoist', OutputKind::Motor, more: ['hazards' => ['lift'], 'safe' => $safe, 'settings' => $on + ['silenceMs' => 400]])->route('k', Action::Momentary, 'm');
        yield 'must be off, and no level of a pin says whether' => ['comes-on-dangerously', static fn () => $said('off'), ['Hoist comes on when nobody is heard']];
        yield 'its owner says that it must be on' => ['comes-on-dangerously', static fn () => $said('on'), []];
        yield 'its owner says that either is well' => ['comes-on-dangerously', static fn () => $said('any'), []];
        yield 'what comes on is not what goes off' => ['silence-unfed', static fn () => $held([], $on + ['silenceMs' => 400], hazards: []), []];
        yield 'nor too soon' => ['silence-too-short', static fn () => $held(['repeatMs' => 200], $on + ['silenceMs' => 399], hazards: []), []];
        yield 'nor by itself' => ['told-once-ends', static fn () => $held([], $on + ['silenceMs' => 400], Action::On, []), []];

        $hot = static fn (Action ...$actions): Sketch => array_reduce(array_keys($actions), static fn (Sketch $s, int $n): Sketch => $s->control("k{$n}", 'n', "Key {$n}")->route("k{$n}", $actions[$n], 'heat', $actions[$n] === Action::Pulse ? 1_000 : null), self::node()->output('heat', 'n', 'Heat', more: ['hazards' => ['heat']]));
        yield 'a heater with on alone' => ['no-off', static fn () => $hot(Action::On), ['Nothing switches Heat off']];
        yield 'a heater with on and off' => ['no-off', static fn () => $hot(Action::On, Action::Off), []];
        yield 'a heater that is toggled' => ['no-off', static fn () => $hot(Action::Toggle), []];
        yield 'a heater with a pulse beside its on' => ['no-off', static fn () => $hot(Action::On, Action::Pulse), []];
        yield 'a heater that nothing puts on' => ['no-off', static fn () => $hot(), []];

        $sensed = static fn (array $on, array $off = [], Action $action = Action::On, array $hazards = ['heat']): Sketch => self::node()
            ->control('cold', 'n', 'Cold', ControlKind::Reading, settings: ['unit' => '°C', 'threshold' => 5.0, 'beyond' => 'below', ...$on])
            ->control('warm', 'n', 'Warm', ControlKind::Reading, settings: ['unit' => '°C', 'threshold' => 12.0, ...$off])
            ->output('heat', 'n', 'Heat', more: ['hazards' => $hazards])->route('cold', $action, 'heat')->route('warm', Action::Off, 'heat');
        yield 'a heater that a dead sensor leaves on' => ['failure-keeps-on', static fn () => $sensed([]), ['Heat stays on when Cold cannot be read']];
        yield 'a heater that a dead sensor puts off' => ['failure-keeps-on', static fn () => $sensed([], ['onFailure' => 'on']), []];
        yield 'a heater that follows, and off is what a dead sensor counts as' => ['failure-keeps-on', static fn () => $sensed([], [], Action::Follow), []];
        yield 'a heater that follows and is kept' => ['failure-keeps-on', static fn () => $sensed(['onFailure' => 'keep'], [], Action::Follow), ['Heat stays on when Cold cannot be read']];
        yield 'a lamp may stay on' => ['failure-keeps-on', static fn () => $sensed([], hazards: []), []];
        yield 'a gap between two thresholds' => ['thresholds-cross', static fn () => $sensed([]), []];
        yield 'two thresholds that cross' => ['thresholds-cross', static fn () => $sensed(['threshold' => 14.0]), ['Cold puts Heat on where Warm puts it off']];
        yield 'two of other units' => ['thresholds-cross', static fn () => $sensed(['threshold' => 14.0], ['unit' => '%']), []];
        yield 'two on one side' => ['thresholds-cross', static fn () => $sensed(['threshold' => 14.0, 'beyond' => 'above']), []];
        yield 'no hysteresis' => ['hysteresis-missing', static fn () => $sensed(['hysteresis' => 0.0]), ['Heat chatters when Cold is near its threshold']];
        yield 'some hysteresis' => ['hysteresis-missing', static fn () => $sensed(['hysteresis' => 0.1]), []];

        yield 'a heater that is kept on' => ['kept-on-beyond', static fn () => $sensed(['leastOnS' => 120], [], Action::Follow), ['Heat stays on for 120 s, whatever Cold reads']];
        yield 'a heater that rests' => ['kept-on-beyond', static fn () => $sensed(['leastOffS' => 120], [], Action::Follow), []];
        yield 'a fan that is kept on' => ['kept-on-beyond', static fn () => $sensed(['leastOnS' => 120], [], Action::Follow, []), []];
        $far = static fn (array $reading): Sketch => self::pairOf()->control('cold', 'hand', 'Cold', ControlKind::Reading, settings: ['unit' => '°C', 'threshold' => 5.0, 'beyond' => 'below', ...$reading])
            ->output('heat', 'far', 'Heat', more: ['hazards' => ['heat'], 'settings' => ['silenceMs' => 5_000]])->route('cold', Action::Follow, 'heat');
        yield 'a reading that is told once' => ['silence-unfed', static fn () => $far([]), ['Heat goes off 5000 ms after Cold was worked, held or not']];
        yield 'a reading that is told again' => ['silence-unfed', static fn () => $far(['repeatMs' => 1_500]), []];
        yield 'a reading that is told too seldom' => ['silence-too-short', static fn () => $far(['repeatMs' => 3_000]), ['Heat goes off while Cold holds it']];

        $scaled = static fn (array $settings): Sketch => self::node()->control('soil', 'n', 'Soil', ControlKind::Reading, settings: ['unit' => '%', ...$settings]);
        yield 'a reading without a scale' => ['scale-incomplete', static fn () => $scaled([]), []];
        yield 'a reading with one' => ['scale-incomplete', static fn () => $scaled(['rawFrom' => 850, 'unitFrom' => 0.0, 'rawTo' => 400, 'unitTo' => 100.0]), []];
        yield 'half a scale' => ['scale-incomplete', static fn () => $scaled(['rawFrom' => 850]), ['Soil is calibrated by half']];
        $line = ['rawFrom' => 850, 'unitFrom' => 0.0, 'rawTo' => 400, 'unitTo' => 100.0];
        yield 'four points' => ['scale-incomplete', static fn () => $scaled([...$line, 'between' => '600=20, 700 = 12.5']), []];
        yield 'more points without two' => ['scale-incomplete', static fn () => $scaled(['between' => '600=20, 700=12.5']), ['Soil is calibrated by half']];
        yield 'points that are none' => ['scale-incomplete', static fn () => $scaled([...$line, 'between' => '600:20']), ['Soil is calibrated by half']];
        yield 'one reading for two' => ['scale-incomplete', static fn () => $scaled([...$line, 'between' => '400=90']), ['Soil is calibrated by half']];
        yield 'two points that are one' => ['scale-incomplete', static fn () => $scaled(['rawFrom' => 850, 'unitFrom' => 0.0, 'rawTo' => 850, 'unitTo' => 100.0]), ['Soil is calibrated by half']];

        yield 'a page on no network' => ['page-missing', static fn () => self::node()->control('w', 'n', 'Button', ControlKind::Widget), ['Nobody can open the page of Button']];
        yield 'a page on a network' => ['page-missing', static fn () => self::node('wifi-3v3-26io')->control('w', 'n', 'Button', ControlKind::Widget)->link('net', 'Net', 'ip')->join('net', 'n', Role::Both), []];

        $pulse = static fn (int $ms): Sketch => self::node()->module('r', 'n', 'relay-bank-1-high', 'Relay')->output('bell', 'n', 'Bell', OutputKind::Relay, 'r', 'IN1')->control('k', 'n', 'Key')->route('k', Action::Pulse, 'bell', $ms);
        yield 'a pulse that a relay may not follow' => ['pulse-too-short', static fn () => $pulse(10), ['Bell may not move in 10 ms']];
        yield 'a pulse that it follows' => ['pulse-too-short', static fn () => $pulse(100), []];

        $worn = static fn (int $minutes, Action $action = Action::Toggle): Sketch => self::node()->output('fan', 'n', 'Fan')->control('t', 'n', 'Timer', ControlKind::Timer, settings: ['everyMin' => $minutes])->route('t', $action, 'fan');
        // 100,000 operations at 1,440 a day are 69.4 days; at 144 a day 694; at 96 a day 1,042.
        yield 'a relay worked each minute' => ['relay-wears', static fn () => $worn(1), ['Fan wears out in 69.4 days']];
        yield 'a relay worked each ten minutes' => ['relay-wears', static fn () => $worn(10), ['Fan wears out in 694 days']];
        yield 'a relay worked each quarter of an hour' => ['relay-wears', static fn () => $worn(15), []];
        yield 'a relay put off each minute does not move' => ['relay-wears', static fn () => $worn(1, Action::Off), []];
    }

    /** @param  list<string>  $titles */
    #[DataProvider('cases')]
    public function test_a_rule_says_what_it_must(string $rule, Closure $sketch, array $titles): void
    {
        $plan = $sketch()->plan();
        $found = array_filter(self::checker()->check($plan)->all(), static fn (Finding $finding): bool => $finding->rule() === $rule);
        self::assertSame($titles, array_values(array_map(static fn (Finding $finding): string => $finding->title, $found)));
    }

    private static function node(string $board = '8bit-5v-20io'): Sketch
    {
        return self::sketch()->node('n', 'Node', NodeKind::Controller, null, $board);
    }

    private static function pairOf(): Sketch
    {
        return self::sketch()
            ->node('hand', 'Hand', NodeKind::Handset, null, '8bit-5v-20io')->module('hand-radio', 'hand', 'packet-radio-plain', 'Radio')
            ->node('far', 'Far', NodeKind::Controller, null, '8bit-5v-20io')->module('far-radio', 'far', 'packet-radio-plain', 'Radio')
            ->link('air', 'Air', 'packet-radio')->join('air', 'hand', Role::Sends, 'hand-radio')->join('air', 'far', Role::Receives, 'far-radio');
    }
}
