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

/** What can go wrong with a broker and its clients. */
final readonly class IpFaults
{
    public static function add(Sketch $sketch): void
    {
        $sketch
            ->place('attic', 'Attic')
            // ip-broker-missing, ip-topic-invalid, ip-commands-retained, ip-state-forgotten, ip-no-last-will, ip-presence-late, ip-too-many-stations
            ->link('attic-net', 'Attic net', 'ip', ['network' => 'own', 'root' => 'attic/#', 'retainCommands' => true, 'retainState' => false, 'lastWill' => false, 'keepAliveS' => 120]);
        foreach (range(1, 6) as $number) {
            $sketch
                ->node("attic-{$number}", "Attic {$number}", NodeKind::Controller, 'attic', 'wifi-3v3-26io')
                // ip-client-shared
                ->join('attic-net', "attic-{$number}", Role::Both, null, ['clientId' => $number < 3 ? 'attic' : "attic-{$number}"]);
        }
        $sketch
            // ip-address-shared, ip-address-outside, ip-address-handed-out; the others have none: ip-address-missing
            ->address('attic-net', 'attic-1', 0, '192.168.40.10')
            ->address('attic-net', 'attic-2', 0, '192.168.40.10')
            ->address('attic-net', 'attic-3', 0, '10.0.0.7')
            ->address('attic-net', 'attic-4', 0, '192.168.40.150')
            // ip-topic-shared, ip-toggle-twice
            ->module('attic-relays', 'attic-1', 'relay-bank-2-high', 'Relays', FedFrom::Own)
            ->output('attic-lamp', 'attic-1', 'Lamp', OutputKind::Relay, 'attic-relays', 'IN1')
            ->output('attic-lamp-2', 'attic-1', 'lamp', OutputKind::Relay, 'attic-relays', 'IN2')
            ->control('attic-page', 'attic-2', 'Page', ControlKind::Widget)
            ->route('attic-page', Action::Toggle, 'attic-lamp')->hop('attic-page attic-lamp toggle', 'attic-net', 'attic-2', 'attic-1', null)
            ->control('attic-dusk', 'attic-2', 'Dusk', ControlKind::Timer, settings: ['at' => '20:00'])
            ->route('attic-dusk', Action::On, 'attic-lamp-2')->hop('attic-dusk attic-lamp-2 on', 'attic-net', 'attic-2', 'attic-1', null)
            // reading-unjudged
            ->node('attic-sensor', 'Attic sensor', NodeKind::Fixture, 'attic', null)->join('attic-net', 'attic-sensor', Role::Both, null, ['clientId' => 'attic-sensor'])
            ->control('attic-damp', 'attic-sensor', 'Damp', ControlKind::Reading, settings: ['threshold' => 70.0, 'hysteresis' => 3.0, 'unit' => '%'])
            ->route('attic-damp', Action::Follow, 'attic-lamp')->hop('attic-damp attic-lamp follow', 'attic-net', 'attic-sensor', 'attic-1', null);
    }
}
