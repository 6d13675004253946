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
            ->node('slip-node', 'Slip', NodeKind::Controller, 'slip', '8bit-5v-70io')
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
            // failure-keeps-on, thresholds-cross, hysteresis-missing
            ->control('cool', 'slip-node', 'Cool', ControlKind::Reading, 'slip-warmth', 'DATA', ['unit' => '°C', 'threshold' => 60.0, 'hysteresis' => 0.0, 'beyond' => 'below', 'intervalS' => 30])
            ->control('hot', 'slip-node', 'Hot', ControlKind::Reading, 'slip-warmth', 'DATA', ['unit' => '°C', 'threshold' => 50.0, 'beyond' => 'above', 'intervalS' => 30])
            ->route('cool', Action::On, 'oven')
            ->route('hot', Action::Off, 'oven')
            // memory-short: an own board with next to none
            ->describe(ThingKind::OwnBoard, 'slip-board', 'Board with little memory', '8bit-5v-20io', ['memoryKb' => 1])
            ->node('slip-crammed', 'Crammed box', NodeKind::Controller, 'slip', $sketch->classOf('slip-board'))
            // ip-network-nameless
            ->node('slip-wifi', 'Slip Wi-Fi', NodeKind::Controller, 'slip', 'wifi-3v3-26io')
            ->link('slip-net', 'Slip network', 'ip')
            ->join('slip-net', 'slip-wifi', Role::Both, null, ['broker' => true]);
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
}
