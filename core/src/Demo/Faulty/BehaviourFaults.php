<?php

declare(strict_types=1);

namespace Rundfunk\Demo\Faulty;

use Rundfunk\Demo\FedFrom;
use Rundfunk\Demo\Sketch;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Role;
use Rundfunk\Plan\ThingKind;

/** What can go wrong in what nodes do: what is held, timed, measured. */
final readonly class BehaviourFaults
{
    public static function add(Sketch $sketch): void
    {
        $sketch
            ->place('slip', 'Slipway')
            ->node('slip-hand', 'Slip hand', NodeKind::Handset, 'slip', '8bit-5v-20io')
            ->module('slip-hand-radio', 'slip-hand', 'packet-radio-plain', 'Radio', FedFrom::Board3V3)
            ->module('slip-hand-keys', 'slip-hand', 'button-pad-4', 'Keys')
            ->module('slip-hand-stick', 'slip-hand', 'joystick', 'Stick')
            // flash-again, link-flashed-otherwise
            ->node('slip-node', 'Slip', NodeKind::Controller, 'slip', '8bit-5v-70io', ['flashedOwn' => '00000000'])
            ->module('slip-radio', 'slip-node', 'packet-radio-plain', 'Radio', FedFrom::Board3V3)
            ->module('slip-relays', 'slip-node', 'relay-bank-8-high', 'Relays', FedFrom::Own)
            ->module('slip-warmth', 'slip-node', 'sensor-climate', 'Warmth')
            ->link('slip-air', 'Slip air', 'packet-radio', ['channel' => 100])
            ->join('slip-air', 'slip-hand', Role::Sends, 'slip-hand-radio')
            ->join('slip-air', 'slip-node', Role::Both, 'slip-radio')
            // packet-only-pipe-0
            ->address('slip-air', 'slip-node', 0, 'C2D37A61E5')
            ->output('winch', 'slip-node', 'Winch', OutputKind::Relay, 'slip-relays', 'IN1', 'winch with its own limit switches', ['hazards' => ['motion']])
            ->output('horn', 'slip-node', 'Horn', OutputKind::Relay, 'slip-relays', 'IN2', '12 V horn', ['settings' => ['silenceMs' => 300]])
            ->output('beacon', 'slip-node', 'Beacon', OutputKind::Relay, 'slip-relays', 'IN3', '12 V lamp', ['settings' => ['silenceMs' => 500]])
            ->output('tar', 'slip-node', 'Tar pot', OutputKind::Relay, 'slip-relays', 'IN4', '500 W pot with its own thermostat', ['hazards' => ['heat']])
            ->output('vent', 'slip-node', 'Vent', OutputKind::Relay, 'slip-relays', 'IN5', '12 V fan')
            ->output('bell', 'slip-node', 'Bell', OutputKind::Relay, 'slip-relays', 'IN6', '12 V bell')
            ->output('oven', 'slip-node', 'Steam box', OutputKind::Relay, 'slip-relays', 'IN7', '2 kW boiler with its own thermostat', ['hazards' => ['heat']])
            ->output('hand-lamp', 'slip-hand', 'Hand lamp', OutputKind::Lamp)
            // held-for-ever
            ->control('winch-key', 'slip-hand', 'Winch key')
            ->route('winch-key', Action::Momentary, 'winch')
            // silence-too-short
            ->control('horn-key', 'slip-hand', 'Horn key', settings: ['repeatMs' => 200])
            ->route('horn-key', Action::Momentary, 'horn')
            // silence-unfed
            ->control('beacon-key', 'slip-hand', 'Beacon key')
            ->route('beacon-key', Action::Momentary, 'beacon')
            // comes-on-unasked
            ->output('moor', 'slip-node', 'Mooring light', OutputKind::Relay, 'slip-relays', 'IN8', '12 V lamp', ['settings' => ['silenceMs' => 2_000, 'silenceOn' => true]])
            ->control('moor-switch', 'slip-hand', 'Mooring switch', ControlKind::Switch)
            ->route('moor-switch', Action::Follow, 'moor')
            // comes-on-dangerously
            ->output('sluice', 'slip-node', 'Sluice', OutputKind::Relay, load: '12 V sluice drive', more: ['hazards' => ['flow'], 'settings' => ['silenceMs' => 2_000, 'silenceOn' => true]])
            ->route('horn-key', Action::Momentary, 'sluice')
            // no-off
            ->control('tar-key', 'slip-hand', 'Tar key')
            ->route('tar-key', Action::On, 'tar')
            // timer-idle
            ->control('some-day', 'slip-node', 'Some day', ControlKind::Timer)
            ->route('some-day', Action::Off, 'vent')
            // relay-wears, pulse-too-short
            ->control('tick', 'slip-node', 'Every minute', ControlKind::Timer, settings: ['everyMin' => 1])
            ->route('tick', Action::Pulse, 'bell', 10)
            // time-comes-twice
            ->control('night', 'slip-node', 'In the night', ControlKind::Timer, settings: ['at' => '02:15'])
            ->route('night', Action::Toggle, 'vent')
            // page-missing
            ->control('page', 'slip-node', 'Page: vent', ControlKind::Widget)
            ->route('page', Action::On, 'vent')
            // axis-middle-at-end
            ->control('tilt', 'slip-hand', 'Tilt', ControlKind::Axis, 'slip-hand-stick', 'X', ['rawLowest' => 0, 'rawCentre' => 0, 'rawHighest' => 1023])
            // polled-too-slowly
            ->module('slip-hand-pad', 'slip-hand', 'pad-wireless', 'Pad', FedFrom::Board3V3)
            ->control('pad-left', 'slip-hand', 'Pad left', ControlKind::Axis, 'slip-hand-pad', 'Left X', ['everyMs' => 10])
            // mix-elsewhere
            ->output('hand-arm', 'slip-hand', 'Arm', OutputKind::Servo)
            ->control('swing', 'slip-hand', 'Swing', ControlKind::Axis, 'slip-hand-stick', 'Y')
            ->route('swing', Action::Set, 'hand-arm', more: ['mixedId' => $sketch->id('winch-key')])
            // failure-keeps-on, thresholds-cross, hysteresis-missing
            ->control('cool', 'slip-node', 'Cool', ControlKind::Reading, 'slip-warmth', 'DATA', ['unit' => '°C', 'threshold' => 60.0, 'hysteresis' => 0.0, 'beyond' => 'below', 'intervalS' => 30])
            ->control('hot', 'slip-node', 'Hot', ControlKind::Reading, 'slip-warmth', 'DATA', ['unit' => '°C', 'threshold' => 50.0, 'beyond' => 'above', 'intervalS' => 30])
            ->route('cool', Action::On, 'oven')
            ->route('hot', Action::Off, 'oven')
            // scale-of-class
            ->module('slip-pot', 'slip-node', 'sensor-thermistor', 'Pot probe')
            ->control('slip-pot-warm', 'slip-node', 'Pot warmth', ControlKind::Reading, 'slip-pot', 'OUT', ['unit' => '°C'])
            // scale-incomplete
            ->control('tide', 'slip-node', 'Tide', ControlKind::Reading, settings: ['unit' => 'cm', 'rawFrom' => 120, 'unitFrom' => 0.0, 'rawTo' => 900])
            // kept-on-beyond
            ->control('still-cool', 'slip-node', 'Still cool', ControlKind::Reading, 'slip-warmth', 'DATA', ['unit' => '°C', 'threshold' => 40.0, 'beyond' => 'below', 'intervalS' => 30, 'leastOnS' => 300])
            ->output('still', 'slip-node', 'Still', OutputKind::Relay, load: '500 W still with its own thermostat', more: ['hazards' => ['heat']])
            ->route('still-cool', Action::Follow, 'still')
            // memory-short: an own board with next to none
            ->describe(ThingKind::OwnBoard, 'slip-board', 'Board with little memory', '8bit-5v-20io', ['memoryKb' => 1])
            ->node('slip-crammed', 'Crammed box', NodeKind::Controller, 'slip', $sketch->classOf('slip-board'))
            // ip-network-nameless
            ->node('slip-wifi', 'Slip Wi-Fi', NodeKind::Controller, 'slip', 'wifi-3v3-26io')
            ->link('slip-net', 'Slip network', 'ip')
            ->join('slip-net', 'slip-wifi', Role::Both, null, ['broker' => true]);
        self::sequences($sketch);
        self::states($sketch);
        foreach (range(1, 24) as $lamp) {
            $sketch
                ->output("crammed-{$lamp}", 'slip-crammed', "Lamp {$lamp}", OutputKind::Lamp)
                ->control("crammed-key-{$lamp}", 'slip-crammed', "Key {$lamp}")
                ->route("crammed-key-{$lamp}", Action::Pulse, "crammed-{$lamp}", 500);
        }
        foreach (['winch-key momentary winch', 'horn-key momentary horn', 'beacon-key momentary beacon', 'tar-key on tar'] as $index => $words) {
            [$control, $action, $output] = explode(' ', $words);
            $sketch->hop("{$control} {$output} {$action}", 'slip-air', 'slip-hand', 'slip-node', 0x20 + $index);
        }
        // And back: a node that only listens loses nothing.
        $sketch
            ->control('slip-stop', 'slip-node', 'Stop key')
            ->route('slip-stop', Action::Off, 'hand-lamp')
            ->hop('slip-stop hand-lamp off', 'slip-air', 'slip-node', 'slip-hand', 0x30);
    }

    /** What is said of how things stand. */
    private static function states(Sketch $sketch): void
    {
        $sketch
            // state-of-nothing
            ->control('slip-no-state', 'slip-node', 'State of what', ControlKind::State)
            // state-sensed-by-nothing
            ->state('horn', 'horn-state', 'Horn is', 'winch-key')
            // state-circles
            ->state('bell', 'bell-state', 'Bell is')
            ->route('bell-state', Action::Follow, 'bell')
            // state-believed-for-ever
            ->state('vent', 'vent-state', 'Vent is', settings: ['everyS' => 0])
            ->route('vent-state', Action::Follow, 'hand-lamp')
            // state-doubted-at-once, state-only-told
            ->output('hand-winch', 'slip-hand', 'Winch shown', OutputKind::Display, more: ['settings' => ['unknownAfter' => 1]])
            ->state('winch', 'winch-state', 'Winch is')
            ->route('winch-state', Action::Follow, 'hand-winch')
            ->hop('vent-state hand-lamp follow', 'slip-air', 'slip-node', 'slip-hand', 0x31)
            ->hop('winch-state hand-winch follow', 'slip-air', 'slip-node', 'slip-hand', 0x32);
    }

    private static function sequences(Sketch $sketch): void
    {
        $sketch
            ->place('crane-yard', 'Crane yard')
            // packet-broadcast-misunderstood
            ->link('crane-air', 'Crane air', 'packet-radio', ['channel' => 110, 'acknowledge' => false])
            ->node('crane', 'Crane', NodeKind::Controller, 'crane-yard', 'wifi-3v3-26io')
            ->module('crane-relays', 'crane', 'relay-bank-4-high', 'Relays', FedFrom::Own)
            ->output('crane-heat', 'crane', 'Cabin heat', OutputKind::Relay, 'crane-relays', 'IN1', '200 W heater with its own thermostat', ['hazards' => ['heat']])
            ->output('crane-blink', 'crane', 'Blinker', OutputKind::Relay, 'crane-relays', 'IN2', '12 V lamp')
            ->output('crane-hook', 'crane', 'Hook', OutputKind::Motor)
            // sequence-empty
            ->output('crane-idle', 'crane', 'Idle round', OutputKind::Sequence)
            // sequence-restless, sequence-endless, sequence-wears
            ->output('crane-flash', 'crane', 'Flash', OutputKind::Sequence, more: ['settings' => ['passes' => 0]])
            ->step('crane-flash', 'crane-flash-1', 'Flash on')
            ->step('crane-flash', 'crane-flash-2', 'Flash off', 50)
            ->route('crane-flash-1', Action::On, 'crane-blink')
            ->route('crane-flash-2', Action::Off, 'crane-blink')
            // sequence-leaves-on, reverses-at-once, steps-overlap, sequence-starts-itself
            ->output('crane-round', 'crane', 'Round', OutputKind::Sequence)
            ->step('crane-round', 'crane-round-1', 'Up')
            ->step('crane-round', 'crane-round-2', 'Down', 2_000)
            ->step('crane-round', 'crane-round-3', 'Warm', 1_000)
            ->step('crane-round', 'crane-round-4', 'Horn on', 500)
            ->step('crane-round', 'crane-round-5', 'Horn off', 500)
            ->output('crane-horn', 'crane', 'Hooter', OutputKind::Relay, 'crane-relays', 'IN3', '12 V horn')
            ->route('crane-round-1', Action::Set, 'crane-hook', value: 60)
            ->route('crane-round-2', Action::Set, 'crane-hook', value: -60)
            ->route('crane-round-3', Action::On, 'crane-heat')
            ->route('crane-round-4', Action::Pulse, 'crane-horn', 3_000)
            ->route('crane-round-5', Action::Off, 'crane-horn')
            ->route('crane-round-5', Action::On, 'crane-round')
            // step-lost
            ->control('crane-lost', 'crane', 'Lost step', ControlKind::Step)
            ->control('crane-key', 'crane', 'Start key')
            ->route('crane-key', Action::On, 'crane-flash');
        foreach (['left' => Action::On, 'right' => Action::Off] as $side => $action) {
            $sketch
                ->node("crane-{$side}", "Lamp post {$side}", NodeKind::Controller, 'crane-yard', '8bit-5v-20io')
                ->module("crane-{$side}-radio", "crane-{$side}", 'packet-radio-plain', 'Radio', FedFrom::Board3V3)
                ->join('crane-air', "crane-{$side}", Role::Receives, "crane-{$side}-radio", [], ['broadcast'])
                ->address('crane-air', "crane-{$side}", 0, 'D5B1936C27', true)
                ->output("crane-{$side}-lamp", "crane-{$side}", "Lamp {$side}", OutputKind::Lamp);
        }
        $sketch
            ->node('crane-hand', 'Crane hand', NodeKind::Handset, 'crane-yard', '8bit-5v-20io')
            ->module('crane-hand-radio', 'crane-hand', 'packet-radio-plain', 'Radio', FedFrom::Board3V3)
            ->join('crane-air', 'crane-hand', Role::Sends, 'crane-hand-radio')
            ->control('crane-light', 'crane-hand', 'Light')
            ->control('crane-dark', 'crane-hand', 'Dark')
            ->route('crane-light', Action::On, 'crane-left-lamp')->hop('crane-light crane-left-lamp on', 'crane-air', 'crane-hand', 'crane-left', 0x41)
            ->route('crane-dark', Action::Off, 'crane-right-lamp')->hop('crane-dark crane-right-lamp off', 'crane-air', 'crane-hand', 'crane-right', 0x41);
    }
}
