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

/** What can go wrong on a bus: a depot with a kiln, a van, and drives that say too much. */
final readonly class CanFaults
{
    public static function add(Sketch $sketch): void
    {
        $sketch->place('depot', 'Depot');
        self::kiln($sketch);
        self::van($sketch);
        self::belts($sketch);
        self::alone($sketch);
    }

    private static function board(Sketch $sketch, string $key, string $name, bool $hasKey = true): void
    {
        $sketch->node($key, $name, NodeKind::Controller, 'depot', '8bit-5v-70io')->module("{$key}-can", $key, 'can-spi-5v', 'Bus', FedFrom::Board5V)->output("{$key}-lamp", $key, "{$name} lamp", OutputKind::Lamp);
        if ($hasKey) {
            $sketch->module("{$key}-keys", $key, 'button-pad-1', 'Key')->control("{$key}-key", $key, "{$name} key");
        }
    }

    /** A bus of ours: too long, badly ended, and nobody looked at identifiers. */
    private static function kiln(Sketch $sketch): void
    {
        // can-bus-too-long, can-terminators, can-identifier-shared
        $sketch->link('kiln-bus', 'Kiln bus', 'can', ['bitrate' => 1_000_000, 'lengthM' => 60.0]);
        foreach (['kiln-a' => 'Kiln desk', 'kiln-b' => 'Kiln door', 'kiln-c' => 'Kiln fan', 'kiln-d' => 'Kiln lamp'] as $key => $name) {
            self::board($sketch, $key, $name);
        }
        $sketch
            // can-rate-unreachable, can-stub-too-long
            ->join('kiln-bus', 'kiln-a', Role::Both, 'kiln-a-can', ['identifier' => 0x120, 'clockMHz' => 7.0, 'stubM' => 0.8])
            // can-terminator-unlike
            ->join('kiln-bus', 'kiln-b', Role::Both, 'kiln-b-can', ['identifier' => 0x120, 'terminated' => true, 'terminatorOhm' => 100, 'clockMHz' => 16.0])
            // can-identifier-missing
            ->join('kiln-bus', 'kiln-c', Role::Both, 'kiln-c-can', ['clockMHz' => 16.0])
            // can-listener-tells
            ->join('kiln-bus', 'kiln-d', Role::Both, 'kiln-d-can', ['listenOnly' => true, 'clockMHz' => 16.0, 'identifier' => 0x130]);
        foreach (['kiln-a' => 'kiln-b', 'kiln-b' => 'kiln-c', 'kiln-c' => 'kiln-a', 'kiln-d' => 'kiln-a'] as $from => $to) {
            $sketch->route("{$from}-key", Action::Toggle, "{$to}-lamp")->hop("{$from}-key {$to}-lamp toggle", 'kiln-bus', $from, $to, $from === 'kiln-d' ? 2 : 1);
        }
        // can-function-unknown, can-function-cannot, can-value-beyond
        $sketch->node('kiln-drive', 'Kiln drive', NodeKind::Fixture, 'depot', null)->join('kiln-bus', 'kiln-drive', Role::Receives)
            ->busMessage('kiln-set', 'kiln-bus', 'kiln-a', 'Drive is told', 0x200, ['bytes' => 2, 'periodMs' => 100], [['name' => 'Speed', 'start' => 0, 'bits' => 4]])
            ->output('kiln-speed', 'kiln-drive', 'Speed', OutputKind::Function, null, 'Speed', more: ['settings' => ['lowest' => 0, 'highest' => 100]])
            ->output('kiln-brake', 'kiln-drive', 'Brake', OutputKind::Function, null, 'Brake')
            ->route('kiln-a-key', Action::Set, 'kiln-speed', value: 99)->hop('kiln-a-key kiln-speed set', 'kiln-bus', 'kiln-a', 'kiln-drive', null)
            ->route('kiln-a-key', Action::Toggle, 'kiln-speed')->hop('kiln-a-key kiln-speed toggle', 'kiln-bus', 'kiln-a', 'kiln-drive', null)
            ->route('kiln-a-key', Action::On, 'kiln-brake')->hop('kiln-a-key kiln-brake on', 'kiln-bus', 'kiln-a', 'kiln-drive', null);
    }

    /** A van that is not only listened to, described carelessly. */
    private static function van(Sketch $sketch): void
    {
        self::board($sketch, 'van-node', 'Van board');
        $sketch
            ->link('van-bus', 'Van bus', 'can', ['bitrate' => 500_000, 'foreign' => true])
            ->node('van', 'Van', NodeKind::Fixture, 'depot', null)
            ->join('van-bus', 'van', Role::Both)
            // can-not-silent, can-terminator-on-foreign
            ->join('van-bus', 'van-node', Role::Both, 'van-node-can', ['terminated' => true])
            // can-identifier-impossible
            ->busMessage('van-seat', 'van-bus', 'van', 'Seat', 0x9A0, ['periodMs' => 1_000])
            // can-signal-outside, can-signals-overlap, can-signal-twice
            ->busMessage('van-lights', 'van-bus', 'van', 'Lights', 0x12A, ['bytes' => 2, 'periodMs' => 100], [['name' => 'Dipped', 'start' => 0], ['name' => 'Level', 'start' => 0, 'bits' => 4], ['name' => 'Far', 'start' => 20]])
            ->busMessage('van-doors', 'van-bus', 'van', 'Doors', 0x2B0, ['bytes' => 8], [['name' => 'Open', 'start' => 3], ['name' => 'Dipped', 'start' => 4], ['name' => 'Counter', 'start' => 8, 'bits' => 40]])
            // can-reading-unknown, can-threshold-beyond, can-signal-too-long
            ->control('van-horn', 'van', 'Horn', ControlKind::Reading, null, 'Horn', ['threshold' => 0.5, 'hysteresis' => 0.2])
            ->control('van-dipped', 'van', 'Dipped', ControlKind::Reading, null, 'Dipped', ['threshold' => 7.0])
            ->control('van-counter', 'van', 'Counter', ControlKind::Reading, null, 'Counter', ['threshold' => 7.0])
            // can-silence-unseen
            ->control('van-open', 'van', 'Open', ControlKind::Reading, null, 'Open', ['threshold' => 0.5, 'hysteresis' => 0.2])
            ->route('van-open', Action::Follow, 'van-node-lamp')->hop('van-open van-node-lamp follow', 'van-bus', 'van', 'van-node', null)
            // can-foreign-told
            ->output('van-lock', 'van', 'Lock', OutputKind::Function, null, 'Lock')
            ->route('van-node-key', Action::On, 'van-lock')->hop('van-node-key van-lock on', 'van-bus', 'van-node', 'van', null);
    }

    /** Drives that say a lot on a slow bus: one of ours comes late, and hears what it does not need. */
    private static function belts(Sketch $sketch): void
    {
        // can-load-high, can-message-late, can-filters-leak, can-length-unknown
        $sketch->link('belt-bus', 'Belt bus', 'can', ['bitrate' => 50_000])->node('belts', 'Belts', NodeKind::Fixture, 'depot', null)->join('belt-bus', 'belts', Role::Both, null, ['terminated' => true]);
        self::board($sketch, 'belt-a', 'Belt desk', false);
        self::board($sketch, 'belt-b', 'Belt board', false);
        $sketch->module('belt-stick', 'belt-a', 'joystick', 'Stick')->control('belt-axis', 'belt-a', 'Belt stick', ControlKind::Axis, 'belt-stick', 'X', ['everyMs' => 10])
            ->module('belt-servo', 'belt-b', 'servo-small', 'Gate', FedFrom::Own)->output('belt-gate', 'belt-b', 'Belt gate', OutputKind::Servo, 'belt-servo')
            ->join('belt-bus', 'belt-a', Role::Both, 'belt-a-can', ['identifier' => 0x700])->join('belt-bus', 'belt-b', Role::Both, 'belt-b-can', ['identifier' => 0x701, 'terminated' => true])
            ->route('belt-axis', Action::Set, 'belt-gate')->hop('belt-axis belt-gate set', 'belt-bus', 'belt-a', 'belt-b', 1);
        $read = [0x101, 0x106, 0x11F, 0x122, 0x12D, 0x130, 0x13B, 0x144, 0x14F, 0x155, 0x15A, 0x163, 0x16C, 0x171];
        $busy = [0x101 => 10, 0x10A => 12, 0x114 => 14];
        foreach ([...$read, 0x104, 0x10A, 0x114, 0x126, 0x133, 0x148, 0x15D, 0x167] as $id) {
            $periodMs = $busy[$id] ?? 30_000;
            $key = sprintf('belt-%X', $id);
            $sketch->busMessage($key, 'belt-bus', 'belts', 'Belt '.sprintf('%X', $id), $id, ['periodMs' => $periodMs], [['name' => sprintf('Runs %X', $id), 'start' => 0]]);
            if (in_array($id, $read, true)) {
                $sketch->control("{$key}-runs", 'belts', sprintf('Runs %X', $id), ControlKind::Reading, null, sprintf('Runs %X', $id), ['threshold' => 0.5, 'hysteresis' => 0.2])
                    ->route("{$key}-runs", Action::On, 'belt-a-lamp')->hop("{$key}-runs belt-a-lamp on", 'belt-bus', 'belts', 'belt-a', null);
            }
        }
    }

    /** One that speaks to one that only listens. */
    private static function alone(Sketch $sketch): void
    {
        // can-nobody-acknowledges, can-length-differs
        $sketch->link('shed-bus', 'Depot shed bus', 'can', ['lengthM' => 5.0]);
        self::board($sketch, 'lone-a', 'Shed desk');
        self::board($sketch, 'lone-b', 'Shed board', false);
        $sketch->cable('shed-cable', 'lone-a', 'lone-b', 'Shed bus cable', ['lengthM' => 12.0, 'mm2' => 0.34, 'twisted' => true], [['core' => 1, 'use' => 'a', 'link' => 'shed-bus'], ['core' => 2, 'use' => 'b', 'link' => 'shed-bus']])
            ->join('shed-bus', 'lone-a', Role::Both, 'lone-a-can', ['identifier' => 0x210, 'terminated' => true])->join('shed-bus', 'lone-b', Role::Receives, 'lone-b-can', ['listenOnly' => true, 'terminated' => true])
            ->route('lone-a-key', Action::On, 'lone-b-lamp')->hop('lone-a-key lone-b-lamp on', 'shed-bus', 'lone-a', 'lone-b', 1);
    }
}
