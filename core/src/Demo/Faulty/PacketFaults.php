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

/** What can go wrong in what frames of packet radio say. */
final readonly class PacketFaults
{
    public static function add(Sketch $sketch): void
    {
        $sketch
            ->place('basin', 'Basin')
            ->node('basin-hand', 'Basin hand', NodeKind::Handset, 'basin', '8bit-5v-70io')
            ->module('basin-hand-radio', 'basin-hand', 'packet-radio-plain', 'Radio', FedFrom::Board3V3)
            ->module('basin-hand-bell', 'basin-hand', 'packet-radio-plain', 'Bell radio', FedFrom::Board3V3)
            ->module('basin-hand-stick', 'basin-hand', 'joystick', 'Stick')
            ->module('basin-hand-keys', 'basin-hand', 'button-pad-4', 'Keys')
            ->node('basin-boat', 'Tug', NodeKind::Controller, 'basin', '8bit-5v-70io')
            ->module('basin-boat-radio', 'basin-boat', 'packet-radio-plain', 'Radio', FedFrom::Board3V3)
            ->module('basin-boat-bridge', 'basin-boat', 'motor-bridge-2', 'Bridge')
            ->node('basin-jetty', 'Jetty', NodeKind::Controller, 'basin', '8bit-5v-20io')
            ->module('basin-jetty-radio', 'basin-jetty', 'packet-radio-plain', 'Radio', FedFrom::Board3V3)
            ->module('basin-jetty-relay', 'basin-jetty', 'relay-bank-1-low', 'Relay', FedFrom::Board5V)
            // packet-sticks-apart
            ->link('basin-air', 'Basin air', 'packet-radio', ['channel' => 76])
            ->join('basin-air', 'basin-hand', Role::Sends, 'basin-hand-radio')
            ->join('basin-air', 'basin-boat', Role::Receives, 'basin-boat-radio')
            ->control('basin-ahead', 'basin-hand', 'Ahead', ControlKind::Axis, 'basin-hand-stick', 'Y', ['everyMs' => 100])
            ->control('basin-helm', 'basin-hand', 'Helm', ControlKind::Axis, 'basin-hand-stick', 'X', ['everyMs' => 100])
            ->output('basin-port', 'basin-boat', 'Port screw', OutputKind::Motor, 'basin-boat-bridge', 'ENA')
            ->output('basin-starboard', 'basin-boat', 'Starboard screw', OutputKind::Motor, 'basin-boat-bridge', 'ENB')
            ->route('basin-ahead', Action::Set, 'basin-port')->route('basin-helm', Action::Set, 'basin-starboard')
            ->hop('basin-ahead basin-port set', 'basin-air', 'basin-hand', 'basin-boat', 1)->hop('basin-helm basin-starboard set', 'basin-air', 'basin-hand', 'basin-boat', 2)
            // packet-state-of-one
            ->link('basin-bell', 'Basin bell', 'packet-radio', ['channel' => 70, 'wholeState' => true])
            ->join('basin-bell', 'basin-hand', Role::Sends, 'basin-hand-bell')
            ->join('basin-bell', 'basin-jetty', Role::Receives, 'basin-jetty-radio')
            ->control('basin-key', 'basin-hand', 'Bell key', ControlKind::Button, 'basin-hand-keys', 'K1')
            ->output('basin-ring', 'basin-jetty', 'Jetty bell', OutputKind::Relay, 'basin-jetty-relay', 'IN1', '12 V bell')
            ->route('basin-key', Action::Pulse, 'basin-ring', 500)->hop('basin-key basin-ring pulse', 'basin-bell', 'basin-hand', 'basin-jetty', 1);
    }
}
