<?php

declare(strict_types=1);

namespace Rundfunk\Demo\Faulty;

use Rundfunk\Demo\FedFrom;
use Rundfunk\Demo\Sketch;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\PartKind;
use Rundfunk\Plan\Role;

/** What can go wrong with a modem and the phones that work it. */
final readonly class CellularFaults
{
    public static function add(Sketch $sketch): void
    {
        $sketch
            ->place('lane', 'Lane')
            ->link('mobile', 'Mobile', 'cellular', ['country' => 'GB'])
            // cell-obeys-anyone; cell-rate-off, cell-supply-sags, cell-network-closing, cell-report-address, cell-access-point
            ->node('lane-node', 'Lane gate', NodeKind::Controller, 'lane', '8bit-5v-70io')
            ->supply('lane-supply', 'lane-node', 'other', 'Supply of Modem', more: ['volts' => 4.0, 'sourceOhm' => 1.5])
            ->module('lane-modem', 'lane-node', 'modem-2g', 'Modem', 'lane-supply')
            ->part('lane-modem', 'VBAT', PartKind::Capacitor, ['microfarads' => 2200])
            // level-too-high, level-too-low: the divider that is copied everywhere, and nothing for the way back
            ->part('lane-modem', 'RXD', PartKind::Divider, ['ohms' => 1000, 'lowerOhms' => 2000])
            ->wire('lane-modem', 'RXD', 'D18')->wire('lane-modem', 'TXD', 'D19')
            ->module('lane-relays', 'lane-node', 'relay-bank-4-low', 'Relays', FedFrom::Own)
            ->output('lane-gate', 'lane-node', 'Lane gate', OutputKind::Relay, 'lane-relays', 'IN1', 'gate drive', ['hazards' => ['motion']])
            ->output('lane-lamp', 'lane-node', 'Lane lamp', OutputKind::Relay, 'lane-relays', 'IN2')
            ->output('lane-d11', 'lane-node', 'Lamp 11', OutputKind::Relay, 'lane-relays', 'IN3')
            ->join('mobile', 'lane-node', Role::Both, 'lane-modem', ['obeys' => 'anyone', 'baud' => 115200, 'reportTo' => 'station.example', 'accessPoint' => 'my operator'])
            // cell-wrong-variant, cell-caller-unlisted
            ->node('far-node', 'Far modem', NodeKind::Controller, 'lane', '32bit-3v3-26io')
            ->module('far-modem', 'far-node', 'modem-lte-us', 'Modem', FedFrom::Own)
            ->module('far-relay', 'far-node', 'relay-bank-1-high', 'Relay', FedFrom::Own)
            ->output('far-lamp', 'far-node', 'Far lamp', OutputKind::Relay, 'far-relay', 'IN1')
            // cell-report-in-clear, cell-report-empty
            ->join('mobile', 'far-node', Role::Both, 'far-modem', ['reportTo' => 'http://station.example/report'])
            // cell-number-wrong, cell-number-shared
            ->node('ann', 'Ann\'s phone', NodeKind::Phone, null, null)
            ->node('bob', 'Bob\'s phone', NodeKind::Phone, null, null)
            ->node('old', 'Old phone', NodeKind::Phone, null, null)
            ->join('mobile', 'ann', Role::Both)->address('mobile', 'ann', 0, '020 7946 0123')
            ->join('mobile', 'bob', Role::Both)->address('mobile', 'bob', 0, '+442079460123')
            ->join('mobile', 'old', Role::Both)->address('mobile', 'old', 0, '12')
            ->control('ann-call', 'ann', 'Call', ControlKind::Call)
            ->control('ann-again', 'ann', 'Call twice', ControlKind::Call)
            ->control('ann-gate', 'ann', 'Text gate', ControlKind::Text, settings: ['word' => 'OPEN'])
            ->control('ann-d1', 'ann', 'Text D1', ControlKind::Text, settings: ['word' => 'D1'])
            ->control('ann-d11', 'ann', 'Text D11', ControlKind::Text, settings: ['word' => 'D11', 'reply' => false])
            ->control('ann-none', 'ann', 'Text nothing', ControlKind::Text)
            ->control('ann-far', 'ann', 'Text far', ControlKind::Text, settings: ['word' => 'FAR TOGGLE'])
            // cell-text-too-long
            ->output('bob-told', 'bob', 'Frost text', OutputKind::Message, more: ['settings' => ['words' => 'Frost! '.str_repeat('Please look after the seedlings before the night. ', 4)]]);
        // cell-state-by-text, cell-answered-twice
        $sketch
            ->output('ann-told', 'ann', 'Lamp text', OutputKind::Message, more: ['settings' => ['words' => 'Lane lamp: {value}']])
            ->state('lane-lamp', 'lane-lamp-state', 'Lane lamp is', settings: ['everyS' => 60])
            ->route('lane-lamp-state', Action::Follow, 'ann-told')
            ->hop('lane-lamp-state ann-told follow', 'mobile', 'lane-node', 'ann', null);
        foreach ([
            // cell-call-opens, cell-calls-alike, cell-text-unproved, cell-words-clash, cell-toggle-by-text, cell-no-answer, cell-word-missing, cell-word-lies, cell-off-text-missing
            ['ann-call', Action::Pulse, 'lane-gate', 'lane-node'], ['ann-again', Action::Toggle, 'lane-lamp', 'lane-node'], ['ann-gate', Action::On, 'lane-gate', 'lane-node'],
            ['ann-d1', Action::Toggle, 'lane-lamp', 'lane-node'], ['ann-d11', Action::On, 'lane-d11', 'lane-node'], ['ann-none', Action::Off, 'lane-lamp', 'lane-node'], ['ann-far', Action::On, 'far-lamp', 'far-node'],
        ] as [$control, $action, $output, $node]) {
            $sketch
                ->route($control, $action, $output, $action === Action::Pulse ? 1_000 : null)
                ->hop("{$control} {$output} {$action->value}", 'mobile', 'ann', $node, null);
        }
    }
}
