<?php

declare(strict_types=1);

namespace Rundfunk\Demo;

use Rundfunk\Assign\Assigner;
use Rundfunk\Demo\Faulty\BehaviourFaults;
use Rundfunk\Demo\Faulty\CanFaults;
use Rundfunk\Demo\Faulty\CellularFaults;
use Rundfunk\Demo\Faulty\DmxFaults;
use Rundfunk\Demo\Faulty\InfraredFaults;
use Rundfunk\Demo\Faulty\IpFaults;
use Rundfunk\Demo\Faulty\KeyedFaults;
use Rundfunk\Demo\Faulty\LoadFaults;
use Rundfunk\Demo\Faulty\MasterFaults;
use Rundfunk\Demo\Faulty\PacketFaults;
use Rundfunk\Demo\Faulty\PowerFaults;
use Rundfunk\Demo\Faulty\SerialFaults;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;

/** A plan with one example of every finding, for learning and for tests. Made up from end to end. */
final readonly class FaultyOnPurpose
{
    public static function plan(Assigner $assigner): Plan
    {
        $sketch = new Sketch('faulty-on-purpose', 'Faulty on purpose', $assigner, 'eu', [1, 6], 'One example of everything that can go wrong. Pick a finding, read it, put it right.');
        self::pins($sketch);
        self::supplies($sketch);
        self::air($sketch);
        self::addresses($sketch);
        self::routes($sketch);
        InfraredFaults::add($sketch);
        KeyedFaults::add($sketch);
        CellularFaults::add($sketch);
        IpFaults::add($sketch);
        MasterFaults::add($sketch);
        BehaviourFaults::add($sketch);
        PowerFaults::add($sketch);
        SerialFaults::add($sketch);
        CanFaults::add($sketch);
        DmxFaults::add($sketch);
        LoadFaults::add($sketch);
        PacketFaults::add($sketch);

        return $sketch->plan();
    }

    private static function pins(Sketch $sketch): void
    {
        $sketch
            ->place('porch', 'Porch')
            ->place('barn', 'Barn')
            ->place('pond', 'Pond')
            ->node('bare', 'Bare idea', NodeKind::Controller, null, null)
            // pin-used-twice, pin-incapable, console-pin-taken, select-pin-as-input
            ->node('porch-node', 'Porch', NodeKind::Controller, 'porch', '8bit-5v-20io')
            ->module('porch-radio', 'porch-node', 'packet-radio-plain', 'Radio', FedFrom::Board3V3)
            ->wire('porch-radio', 'SCK', 'D13')->wire('porch-radio', 'MOSI', 'D11')->wire('porch-radio', 'MISO', 'D12')
            ->wire('porch-radio', 'CE', 'D7')->wire('porch-radio', 'CSN', 'D7')
            ->module('porch-relays', 'porch-node', 'relay-bank-2-low', 'Relays', FedFrom::Own)
            ->wire('porch-relays', 'IN1', 'D1')
            ->module('porch-stick', 'porch-node', 'joystick', 'Stick')
            ->wire('porch-stick', 'X', 'D4')
            ->module('porch-keys', 'porch-node', 'button-pad-2', 'Keys')
            ->wire('porch-keys', 'K1', 'D10')
            // terminal-wired-twice
            ->wireAgain('porch-keys', 'K1', 'A3')
            // strap-pin-pulled, bus-pins-missing
            ->node('barn-node', 'Barn', NodeKind::Controller, 'barn', 'wifi-3v3-11io')
            ->module('barn-radio', 'barn-node', 'packet-radio-plain', 'Radio', FedFrom::Board3V3)
            ->module('barn-relays', 'barn-node', 'relay-bank-2-high', 'Relays', FedFrom::Own)
            ->wire('barn-relays', 'IN1', 'IO0')
            ->wire('barn-relays', 'IN2', 'IO14', true)
            // no-pin-left
            ->node('crowded', 'Crowded', NodeKind::Controller, 'barn', 'wifi-3v3-11io')
            ->module('crowded-relays', 'crowded', 'relay-bank-8-high', 'Bank one', FedFrom::Own)
            ->module('crowded-more', 'crowded', 'relay-bank-4-high', 'Bank two', FedFrom::Own);
        foreach (range(1, 8) as $channel) {
            $sketch->output("crowd-{$channel}", 'crowded', "Lamp {$channel}", OutputKind::Relay, 'crowded-relays', "IN{$channel}");
        }
        foreach (range(1, 4) as $channel) {
            $sketch->output('crowd-'.($channel + 8), 'crowded', 'Lamp '.($channel + 8), OutputKind::Relay, 'crowded-more', "IN{$channel}");
        }
    }

    private static function supplies(Sketch $sketch): void
    {
        $sketch
            // weak-rail, supply-missing, packet-power-over-limit
            ->node('pond-node', 'Pond', NodeKind::Controller, 'pond', '8bit-5v-20io')
            ->module('pond-radio', 'pond-node', 'packet-radio-amplified', 'Loud radio', FedFrom::Board3V3)
            ->node('pocket', 'Pocket', NodeKind::Handset, null, '32bit-3v3-26io')
            ->module('pocket-radio', 'pocket', 'packet-radio-amplified', 'Radio')
            ->module('pocket-keys', 'pocket', 'button-pad-4', 'Keys');
    }

    private static function air(Sketch $sketch): void
    {
        $sketch
            // channel under Wi-Fi, check sum missing, ends that disagree, delays too short and equal
            ->link('garden', 'Garden', 'packet-radio', ['channel' => 40, 'crcBytes' => 0], ['channel'])
            ->join('garden', 'pocket', Role::Sends, 'pocket-radio', ['retryDelayUs' => 250])
            ->join('garden', 'pond-node', Role::Both, 'pond-radio', ['retryDelayUs' => 250])
            ->join('garden', 'porch-node', Role::Receives, 'porch-radio', ['rateKbps' => 1000])
            ->join('garden', 'barn-node', Role::Receives, 'barn-radio')
            // outside the band, too close to the next, payload too short
            ->link('edge', 'Edge', 'packet-radio', ['channel' => 90, 'payloadBytes' => 3, 'rateKbps' => 2000])
            ->link('next', 'Next to it', 'packet-radio', ['channel' => 91, 'acknowledge' => false])
            ->join('next', 'bare', Role::Both)
            ->join('next', 'crowded', Role::Both);
    }

    private static function addresses(Sketch $sketch): void
    {
        $sketch
            ->address('garden', 'porch-node', 1, 'C2F19A4701')
            ->address('garden', 'porch-node', 2, 'D3F19A4702')
            ->address('garden', 'barn-node', 1, 'C2F19A4701')
            ->address('garden', 'pond-node', 1, 'AAAAAAAAAA')
            ->address('garden', 'pond-node', 0, 'C2F19A4703')
            // packet-pipe-impossible
            ->address('garden', 'barn-node', 6, 'C2F19A4738')
            ->address('next', 'bare', 1, 'C2F1')
            // one pipe for each of seven senders: there are six
            ->link('crowd-link', 'Seven senders', 'packet-radio', ['channel' => 80, 'senderId' => false])
            ->node('hub', 'Hub', NodeKind::Controller, 'barn', '8bit-5v-70io')
            ->module('hub-radio', 'hub', 'packet-radio-plain', 'Radio', FedFrom::Board3V3)
            ->module('hub-relays', 'hub', 'relay-bank-1-low', 'Relay', FedFrom::Board5V)
            ->output('hub-lamp', 'hub', 'Lamp', OutputKind::Relay, 'hub-relays', 'IN1')
            ->join('crowd-link', 'hub', Role::Receives, 'hub-radio');
        foreach (range(1, 7) as $number) {
            $sketch
                ->node("sender-{$number}", "Sender {$number}", NodeKind::Handset, 'pond', '32bit-3v3-26io')
                ->module("sender-{$number}-radio", "sender-{$number}", 'packet-radio-plain', 'Radio', FedFrom::Board3V3)
                ->module("sender-{$number}-key", "sender-{$number}", 'button-pad-1', 'Key')
                ->control("sender-{$number}-k", "sender-{$number}", 'Key', ControlKind::Button, "sender-{$number}-key", 'K1')
                ->join('crowd-link', "sender-{$number}", Role::Sends, "sender-{$number}-radio", ['retryDelayUs' => 500 + 250 * $number])
                ->route("sender-{$number}-k", Action::Toggle, 'hub-lamp')
                ->hop("sender-{$number}-k hub-lamp toggle", 'crowd-link', "sender-{$number}", 'hub', $number);
        }
    }

    private static function routes(Sketch $sketch): void
    {
        $sketch
            ->output('porch-lamp', 'porch-node', 'Porch lamp', OutputKind::Relay, 'porch-relays', 'IN1')
            ->output('porch-bell', 'porch-node', 'Bell', OutputKind::Relay, 'porch-relays', 'IN1')
            ->output('barn-lamp', 'barn-node', 'Barn lamp', OutputKind::Relay, 'barn-relays', 'IN1')
            ->output('barn-fan', 'barn-node', 'Barn fan', OutputKind::Relay, 'barn-relays', 'IN2')
            ->output('pond-pump', 'pond-node', 'Fountain')
            ->control('porch-key', 'porch-node', 'Porch key', ControlKind::Button, 'porch-keys', 'K1')
            ->control('porch-axis', 'porch-node', 'Stick sideways', ControlKind::Axis, 'porch-stick', 'X')
            ->control('p1', 'pocket', 'Key 1', ControlKind::Button, 'pocket-keys', 'K1')
            ->control('p2', 'pocket', 'Key 2', ControlKind::Button, 'pocket-keys', 'K2')
            ->control('p3', 'pocket', 'Key 3', ControlKind::Switch, 'pocket-keys', 'K3')
            ->control('bare-key', 'bare', 'Wish')
            ->route('p1', Action::Toggle, 'barn-lamp')
            ->hop('p1 barn-lamp toggle', 'garden', 'pocket', 'barn-node', 1)
            ->route('p2', Action::Toggle, 'barn-fan')
            ->hop('p2 barn-fan toggle', 'garden', 'pocket', 'barn-node', 1)
            ->route('p3', Action::Toggle, 'porch-lamp')
            ->hop('p3 porch-lamp toggle', 'garden', 'pocket', 'porch-node', null)
            ->route('porch-key', Action::Momentary, 'porch-lamp')
            ->route('porch-key', Action::On, 'hub-lamp')
            ->route('bare-key', Action::Toggle, 'crowd-1')
            ->hop('bare-key crowd-1 toggle', 'next', 'bare', 'crowded', 2);
    }
}
