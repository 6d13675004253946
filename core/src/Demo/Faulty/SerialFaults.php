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

/** What can go wrong with wires: a mill of old boxes. */
final readonly class SerialFaults
{
    public static function add(Sketch $sketch): void
    {
        $sketch->place('mill', 'Mill');
        self::wires($sketch);
        self::pair($sketch);
        self::rings($sketch);
        self::cables($sketch);
        self::bought($sketch);
    }

    /** Three boxes at logic levels that are simply joined, of three voltages. */
    private static function wires(Sketch $sketch): void
    {
        $sketch
            // serial-asker-missing, serial-id-missing, serial-id-shared, serial-id-impossible, serial-answers-collide
            ->link('mill-wires', 'Mill wires', 'serial', ['topology' => 'polled', 'lengthM' => 6.0, 'baud' => 57_600, 'timeoutMs' => 1])
            ->node('mill-a', 'Mill desk', NodeKind::Controller, 'mill', '8bit-5v-70io')->module('mill-a-w', 'mill-a', 'serial-wire', 'Wires')
            ->node('mill-b', 'Sluice', NodeKind::Controller, 'mill', '8bit-5v-20io')->module('mill-b-w', 'mill-b', 'serial-wire', 'Wires')
            ->node('mill-c', 'Hopper', NodeKind::Controller, 'mill', '32bit-3v3-26io')->module('mill-c-w', 'mill-c', 'serial-wire', 'Wires')
            ->node('mill-d', 'Sieve', NodeKind::Controller, 'mill', 'wifi-3v3-26io')->module('mill-d-w', 'mill-d', 'serial-wire', 'Wires')
            ->join('mill-wires', 'mill-a', Role::Both, 'mill-a-w', ['asks' => true, 'station' => 1])
            ->join('mill-wires', 'mill-b', Role::Both, 'mill-b-w', ['asks' => true, 'station' => 9, 'idBy' => 'switches', 'switches' => 2])
            ->join('mill-wires', 'mill-c', Role::Both, 'mill-c-w', ['station' => 1])
            ->join('mill-wires', 'mill-d', Role::Both, 'mill-d-w', ['parity' => 'even'])
            // serial-software-too-fast
            ->wire('mill-d-w', 'TXD', 'IO25', false, true)->wire('mill-d-w', 'RXD', 'IO26', false, true)
            // serial-low-too-high, serial-network-differs, serial-cycle-slow: one that asks, two that answer through silicon diodes, and keys on them
            ->link('bin-wires', 'Bin wires', 'serial', ['topology' => 'polled', 'lengthM' => 1.0, 'baud' => 1_200, 'returning' => 'diodes'])
            ->node('bin-a', 'Bin desk', NodeKind::Controller, 'mill', 'wifi-3v3-26io')->module('bin-a-w', 'bin-a', 'diode-or-8', 'Wires', FedFrom::Board3V3)->output('bin-lamp', 'bin-a', 'Bin lamp', OutputKind::Lamp)
            ->join('bin-wires', 'bin-a', Role::Both, 'bin-a-w', ['asks' => true, 'station' => 1]);
        foreach ([2, 3] as $box) {
            $sketch->node("bin-{$box}", "Bin {$box}", NodeKind::Controller, 'mill', 'wifi-3v3-26io')->module("bin-{$box}-w", "bin-{$box}", 'serial-wire', 'Wires')
                ->module("bin-{$box}-k", "bin-{$box}", 'button-pad-1', 'Key')->control("bin-{$box}-key", "bin-{$box}", 'Full')
                ->join('bin-wires', "bin-{$box}", Role::Both, "bin-{$box}-w", ['station' => $box])
                ->route("bin-{$box}-key", Action::On, 'bin-lamp')->hop("bin-{$box}-key bin-lamp on", 'bin-wires', "bin-{$box}", 'bin-a', $box);
        }
    }

    /** Twisted pairs and what stands at their ends; RS-232 between more than two. */
    private static function pair(Sketch $sketch): void
    {
        $sketch
            // serial-terminators, serial-bias-missing, serial-not-isolated, serial-line-too-long, serial-timeout-short, serial-unchecked, serial-broadcast-unanswered
            ->link('mill-pair', 'Mill pair', 'serial', ['topology' => 'polled', 'levels' => 'rs-485', 'lengthM' => 1_500.0, 'check' => 'sum-8'])
            ->node('pair-a', 'Office', NodeKind::Controller, 'mill', '8bit-5v-70io')->module('pair-a-w', 'pair-a', 'rs485-5v', 'Pair', FedFrom::Board5V)
            ->node('pair-b', 'Wheel', NodeKind::Controller, 'mill', '8bit-5v-20io')->module('pair-b-w', 'pair-b', 'rs485-5v', 'Pair', FedFrom::Board5V)
            ->node('pair-c', 'Weir', NodeKind::Controller, 'mill', '8bit-5v-20io')->module('pair-c-w', 'pair-c', 'rs485-5v', 'Pair', FedFrom::Board5V)
            ->module('pair-keys', 'pair-a', 'button-pad-2', 'Keys')->control('pair-open', 'pair-a', 'Sluice key')->control('pair-lift', 'pair-a', 'Lift key')
            ->module('pair-b-relay', 'pair-b', 'relay-bank-2-low', 'Relays', FedFrom::Own)->output('pair-gate', 'pair-b', 'Sluice gate', OutputKind::Relay, more: ['hazards' => ['motion', 'flow']])->output('pair-lift-out', 'pair-b', 'Lift', OutputKind::Relay)
            ->join('mill-pair', 'pair-a', Role::Both, 'pair-a-w', ['asks' => true, 'station' => 1])
            ->join('mill-pair', 'pair-b', Role::Both, 'pair-b-w', ['station' => 2, 'terminated' => true, 'restMs' => 20_000], ['broadcast'])
            ->join('mill-pair', 'pair-c', Role::Receives, 'pair-c-w', ['station' => 3], ['broadcast'])
            ->route('pair-open', Action::On, 'pair-gate')->hop('pair-open pair-gate on', 'mill-pair', 'pair-a', 'pair-b', 1)
            // serial-broadcast-misunderstood
            ->output('pair-lamp', 'pair-c', 'Weir lamp', OutputKind::Lamp)->route('pair-lift', Action::On, 'pair-lamp')->hop('pair-lift pair-lamp on', 'mill-pair', 'pair-a', 'pair-c', 1)
            // serial-toggle-while-moving
            ->route('pair-lift', Action::Toggle, 'pair-lift-out')->hop('pair-lift pair-lift-out toggle', 'mill-pair', 'pair-a', 'pair-b', 2)
            // serial-ends-unfit, serial-length-unknown, serial-part-unfit, serial-part-too-slow
            ->link('mill-three', 'Three on a cable', 'serial', ['levels' => 'rs-232', 'baud' => 250_000])
            ->join('mill-three', 'pair-a', Role::Both)->join('mill-three', 'pair-b', Role::Both)
            ->node('three-c', 'Loft', NodeKind::Controller, 'mill', '8bit-5v-70io')->module('three-c-w', 'three-c', 'rs232-converter', 'Converter', FedFrom::Board5V)->module('three-c-w2', 'three-c', 'serial-wire', 'Wires')
            ->join('mill-three', 'three-c', Role::Both, 'three-c-w', ['station' => 3])
            ->node('three-d', 'Cellar', NodeKind::Controller, 'mill', '8bit-5v-70io')->module('three-d-w', 'three-d', 'serial-wire', 'Wires')
            ->join('mill-three', 'three-d', Role::Both, 'three-d-w', ['station' => 4]);
        // serial-too-many-loads, serial-bought-unspoken
        $sketch->link('mill-crowd', 'Crowded pair', 'serial', ['topology' => 'polled', 'levels' => 'rs-485', 'lengthM' => 20.0]);
        for ($box = 1; $box <= 33; $box++) {
            $sketch->node("crowd-box-{$box}", "Box {$box}", NodeKind::Fixture, 'mill', null)
                ->join('mill-crowd', "crowd-box-{$box}", Role::Both, null, ['station' => $box, 'terminated' => $box === 1 || $box === 33, 'biased' => $box === 1]);
        }
    }

    /** Two ends of two voltages, and a ring that ends. */
    private static function rings(Sketch $sketch): void
    {
        $sketch
            // serial-level-too-high, serial-level-too-low, serial-back-feed, serial-clocks-apart
            ->link('mill-two', 'Scale', 'serial', ['lengthM' => 0.5, 'baud' => 115_200])
            ->node('two-a', 'Scale desk', NodeKind::Controller, 'mill', '8bit-5v-20io')->module('two-a-w', 'two-a', 'serial-wire', 'Wires')
            ->node('two-b', 'Scale', NodeKind::Controller, 'mill', '32bit-3v3-26io')->module('two-b-w', 'two-b', 'serial-wire', 'Wires')
            ->join('mill-two', 'two-a', Role::Both, 'two-a-w', ['station' => 1])
            ->join('mill-two', 'two-b', Role::Both, 'two-b-w', ['station' => 2])
            ->part('two-a-w', 'RXD', PartKind::Divider, ['ohms' => 1_000.0, 'lowerOhms' => 1_000.0])
            // serial-ring-opens, serial-one-way
            ->link('mill-ring', 'Lift ring', 'serial', ['topology' => 'ring', 'lengthM' => 1.0]);
        foreach (['a' => Role::Both, 'b' => Role::Both, 'c' => Role::Receives] as $key => $role) {
            $sketch->node("ring-{$key}", 'Lift '.strtoupper($key), NodeKind::Controller, 'mill', '8bit-5v-70io')->module("ring-{$key}-w", "ring-{$key}", 'serial-wire', 'Wires')
                ->join('mill-ring', "ring-{$key}", $role, "ring-{$key}-w", ['station' => ord($key) - 96]);
        }
        // serial-sleeps
        $sketch->sleeping('ring-b');
    }

    /** Cables that were there: of too few cores, too thin, and wired by memory. */
    private static function cables(Sketch $sketch): void
    {
        $sketch
            // cable-goes-nowhere
            ->cable('cable-loop', 'two-a', 'two-a', 'Coil of cable')
            // cable-cores-run-out, cable-core-twice, cable-core-idle, cable-plug-pin-twice
            ->cable('cable-scale', 'two-a', 'two-b', 'Scale cable', ['cores' => 2], [['core' => 1, 'use' => 'forward', 'link' => 'mill-two', 'fromPin' => '3'], ['core' => 1, 'use' => 'a', 'link' => 'mill-pair', 'fromPin' => '3']])
            // cable-pair-apart, serial-length-differs; nothing lies between the others: cable-unlaid
            ->cable('cable-pair', 'pair-a', 'pair-b', 'Pair cable', ['cores' => 6, 'lengthM' => 1_600.0, 'mm2' => 0.22], [['core' => 1, 'use' => 'a', 'link' => 'mill-pair'], ['core' => 4, 'use' => 'b', 'link' => 'mill-pair']])
            // cable-loses-volts, cable-ground-lifts: relays at the far end live on the near one's plug
            ->supply('bin-plug', 'bin-a', 'plug-5v-1a', 'Bin plug')
            ->supply('bin-far', 'bin-2', 'other', 'From the desk', 'bin-plug', more: ['volts' => 5.0])
            ->module('bin-relays', 'bin-2', 'relay-bank-4-low', 'Flaps', 'bin-far');
        foreach ([1, 2, 3, 4] as $flap) {
            $sketch->output("bin-flap-{$flap}", 'bin-2', "Flap {$flap}", OutputKind::Relay, 'bin-relays', "IN{$flap}");
        }
        $sketch
            ->cable('cable-bin', 'bin-a', 'bin-2', 'Bin cable', ['cores' => 6, 'lengthM' => 8.0, 'mm2' => 0.14], [['core' => 1, 'use' => 'forward', 'link' => 'bin-wires'], ['core' => 2, 'use' => 'back', 'link' => 'bin-wires'], ['core' => 3, 'use' => 'plus', 'supply' => 'bin-plug'], ['core' => 4, 'use' => 'ground']])
            // cable-unknown
            ->supply('bin-third', 'bin-3', 'other', 'From the second', 'bin-far', more: ['volts' => 5.0])
            ->module('bin-lamp-relay', 'bin-3', 'relay-bank-1-low', 'Flap', 'bin-third')->output('bin-last', 'bin-3', 'Last flap', OutputKind::Relay, 'bin-lamp-relay', 'IN1')
            ->cable('cable-bin-2', 'bin-2', 'bin-3', 'Second bin cable', ['cores' => 4], [['core' => 1, 'use' => 'plus', 'supply' => 'bin-far']])
            // cable-core-burns: eight coils through a bell wire
            ->supply('bin-thin-plug', 'bin-a', 'plug-5v-1a', 'Plug for the gates')
            ->module('bin-gates', 'bin-2', 'relay-bank-8-low', 'Gates', 'bin-thin-plug')
            ->cable('cable-thin', 'bin-a', 'bin-2', 'Thin bin cable', ['cores' => 2, 'lengthM' => 0.5, 'mm2' => 0.14], [['core' => 1, 'use' => 'plus', 'supply' => 'bin-thin-plug'], ['core' => 2, 'use' => 'ground']]);
    }

    /** Things from a shop: what their manuals say was written down in haste. */
    private static function bought(Sketch $sketch): void
    {
        $span = ['bits' => 8, 'given' => true, 'lowest' => 0, 'highest' => 100, 'unit' => '%'];
        $parts = [['is' => 'id'], ['is' => 'function'], ['is' => 'values'], ['is' => 'check']];
        $sketch
            ->protocol('shutter', 'Shutter drive', ['parts' => $parts, 'check' => 'crc-8', 'items' => [
                ['name' => 'Position', 'kind' => 'does', 'code' => 1, 'sends' => [$span], 'takesMs' => 20_000, 'done' => 'polled', 'doneBy' => 'Stands'],
                ['name' => 'Shut', 'kind' => 'does', 'code' => 2, 'answered' => true, 'takesMs' => 20_000],
                ['name' => 'Level', 'kind' => 'answers', 'code' => 3, 'answers' => [['bits' => 16, 'given' => true]], 'everyMs' => 20],
                ['name' => 'Button', 'kind' => 'says', 'code' => 4],
            ]])
            // serial-framed-apart, serial-protocol-broken, serial-bought-mixed
            ->protocol('counter', 'Sack counter', ['form' => 'words', 'ending' => '', 'items' => [['name' => 'Zero', 'kind' => 'does', 'word' => 'Z', 'sends' => [['given' => true, 'on' => '1', 'off' => '0']]]]])
            ->link('shop-pair', 'Shutter pair', 'serial', ['topology' => 'polled', 'levels' => 'rs-485', 'lengthM' => 10.0, 'gapMs' => 10])
            ->node('shop-desk', 'Shutter desk', NodeKind::Controller, 'mill', '8bit-5v-70io')->module('shop-desk-w', 'shop-desk', 'rs485-5v', 'Pair', FedFrom::Board5V)
            ->join('shop-pair', 'shop-desk', Role::Both, 'shop-desk-w', ['asks' => true, 'terminated' => true, 'biased' => true])
            ->node('shop-other', 'Second desk', NodeKind::Controller, 'mill', '8bit-5v-70io')->module('shop-other-w', 'shop-other', 'rs485-5v', 'Pair', FedFrom::Board5V)
            ->join('shop-pair', 'shop-other', Role::Both, 'shop-other-w')
            ->node('shop-a', 'North shutter', NodeKind::Fixture, 'mill', null, ['protocolId' => $sketch->id('shutter')])->join('shop-pair', 'shop-a', Role::Both, null, ['station' => 1])
            ->node('shop-b', 'Counter', NodeKind::Fixture, 'mill', null, ['protocolId' => $sketch->id('counter')])->join('shop-pair', 'shop-b', Role::Both, null, ['terminated' => true])
            ->module('shop-keys', 'shop-desk', 'button-pad-4', 'Keys')->control('shop-k1', 'shop-desk', 'Up key')->control('shop-k2', 'shop-desk', 'Shut key')->control('shop-k3', 'shop-desk', 'Zero key')
            // serial-function-cannot, serial-done-unknown
            ->output('shop-slats', 'shop-a', 'North slats', OutputKind::Function, null, 'Position')->route('shop-k1', Action::Toggle, 'shop-slats')->hop('shop-k1 shop-slats toggle', 'shop-pair', 'shop-desk', 'shop-a', null)
            // serial-value-beyond
            ->route('shop-k2', Action::Set, 'shop-slats', value: 180)->hop('shop-k2 shop-slats set', 'shop-pair', 'shop-desk', 'shop-a', null)
            // serial-echo-taken
            ->output('shop-shut', 'shop-a', 'North shutter down', OutputKind::Function, null, 'Shut')->route('shop-k2', Action::On, 'shop-shut')->hop('shop-k2 shop-shut on', 'shop-pair', 'shop-desk', 'shop-a', null)
            // serial-readings-crowd, serial-says-unasked
            ->control('shop-level', 'shop-a', 'Level', ControlKind::Reading, null, 'Level')->control('shop-button', 'shop-a', 'Its button', ControlKind::Key, null, 'Button')
            // serial-done-unfelt
            ->output('shop-lamp', 'shop-desk', 'Shutter lamp', OutputKind::Lamp)->control('shop-done', 'shop-a', 'Shut', ControlKind::Reading, null, 'Shut', ['threshold' => 2])
            ->route('shop-done', Action::Follow, 'shop-lamp')->hop('shop-done shop-lamp follow', 'shop-pair', 'shop-a', 'shop-desk', null)
            // serial-nobody-answers
            ->output('shop-zero', 'shop-b', 'Count', OutputKind::Function, null, 'Zero')->route('shop-k3', Action::On, 'shop-zero')->hop('shop-k3 shop-zero on', 'shop-pair', 'shop-desk', 'shop-b', null)
            // serial-function-missing, serial-reading-missing
            ->output('shop-print', 'shop-b', 'Print', OutputKind::Function, null, 'Print')->control('shop-sacks', 'shop-b', 'Sacks', ControlKind::Reading)
            // serial-bought-level-unknown
            ->link('shop-wire', 'Shutter wire', 'serial', ['topology' => 'polled', 'lengthM' => 0.5])->join('shop-wire', 'shop-desk', Role::Both, null, ['asks' => true])
            ->node('shop-c', 'Bench shutter', NodeKind::Fixture, 'mill', null, ['protocolId' => $sketch->id('shutter')])->join('shop-wire', 'shop-c', Role::Both, null, ['station' => 1]);
    }
}
