<?php

declare(strict_types=1);

namespace Rundfunk\Demo;

use Rundfunk\Plan\LoadKind;
use Rundfunk\Plan\LoadUse;
use Rundfunk\Plan\PartKind;
use Rundfunk\Plan\ThingKind;

/** What hangs on the outputs of Linden Hollow, what feeds it, and what it must be when the network does not work. */
final readonly class LoadsAndCircuits
{
    public static function add(Sketch $sketch): void
    {
        self::circuits($sketch);
        self::loads($sketch);
        self::safeStates($sketch);
    }

    private static function circuits(Sketch $sketch): void
    {
        $sketch
            ->circuit('garden', 'Garden branch', ['placeId' => $sketch->id('shed'), 'fuseA' => 13.0, 'timeLag' => true, 'residual' => true, 'mm2' => 1.5, 'outdoors' => true])
            ->circuit('bench-lead', 'Lead to the bench', ['placeId' => $sketch->id('bench'), 'fuseA' => 6.0, 'timeLag' => true, 'mm2' => 1.0], 'garden')
            ->circuit('store-ac', 'Store inverter', ['placeId' => $sketch->id('battery'), 'fuseA' => 4.0, 'timeLag' => true, 'residual' => true, 'mm2' => 1.0])
            ->circuit('low', '12 V of the yard', ['placeId' => $sketch->id('shed'), 'volts' => 12.0, 'direct' => true, 'fuseA' => 6.3, 'timeLag' => true, 'mm2' => 1.5])
            ->circuit('valves', '24 V of the bench', ['placeId' => $sketch->id('bench'), 'volts' => 24.0, 'fuseA' => 4.0, 'timeLag' => true, 'mm2' => 0.75])
            ->circuit('vents-low', '24 V of the vents', ['placeId' => $sketch->id('glass'), 'volts' => 24.0, 'direct' => true, 'fuseA' => 3.15, 'timeLag' => true, 'mm2' => 1.0])
            ->circuit('gate-low', '12 V of the gate', ['placeId' => $sketch->id('lane'), 'volts' => 12.0, 'direct' => true, 'fuseA' => 1.0, 'timeLag' => true, 'mm2' => 0.75]);
    }

    private static function loads(Sketch $sketch): void
    {
        $sketch
            ->load('mist-valve', 'Mist valve', 'mist', 'valves', LoadKind::Inductive, 6.0, ['connector' => 'screw terminals', 'outlet' => 'V1'])
            ->load('bench-fan', 'Bench fan', 'fan', 'low', LoadKind::Motor, 6.0, ['connector' => 'round plug'])
            ->load('bench-mat', 'Warm mat', 'mat', 'valves', LoadKind::Resistive, 60.0, ['outlet' => 'V2', 'connector' => 'screw terminals', 'colour' => 'green', 'mm2' => 0.75])
            ->load('shed-bulb', 'Shed lamp', 'shed-lamp', 'low', LoadKind::Capacitive, 6.0)
            ->load('hen-bulb', 'Hen lamp', 'hen-lamp', 'low', LoadKind::Capacitive, 4.0)
            ->load('hen-blower', 'Hen fan', 'hen-fan', 'low', LoadKind::Motor, 4.0)
            ->load('glass-bulb', 'Work lamp', 'glass-lamp', 'low', LoadKind::Capacitive, 8.0)
            ->load('gate-drive', 'Gate drive\'s input', 'gate', 'gate-low', LoadKind::Resistive, 0.5)
            ->load('post-bulb', 'Post lamp', 'post-lamp', 'gate-low', LoadKind::Capacitive, 3.0)
            ->load('bench-bulbs', 'Bench lights', 'bench-light', 'low', LoadKind::Capacitive, 2.0, ['count' => 3, 'colour' => 'warm white'])
            ->load('store-bulb', 'Store light', 'store-light', 'low', LoadKind::Capacitive, 4.0)
            ->load('cooler', 'Seed cooler', 'store-cooler', 'store-ac', LoadKind::Motor, 80.0, ['outlet' => '2', 'connector' => 'mains plug', 'leakageMa' => 0.7, 'mm2' => 0.75, 'fuseA' => 1.25])
            ->load('heat-mat', 'Bench heat mat', 'store-heat', 'store-ac', LoadKind::Resistive, 150.0, ['outlet' => '3', 'connector' => 'mains plug', 'colour' => 'black', 'leakageMa' => 1.0, 'mm2' => 0.75, 'fuseA' => 1.0])
            ->load('lamp-box', 'Supply of the bench lamps', null, 'bench-lead', LoadKind::Capacitive, 120.0, ['use' => LoadUse::AlwaysOn->value, 'outlet' => '1', 'leakageMa' => 1.5])
            ->load('shed-box', 'Broker and its switch', null, 'garden', LoadKind::Capacitive, 12.0, ['use' => LoadUse::AlwaysOn->value, 'outlet' => '4', 'leakageMa' => 0.5])
            ->load('fairy', 'String on the fence', null, 'garden', LoadKind::Capacitive, 30.0, ['use' => LoadUse::Unplugged->value, 'outlet' => '5', 'leakageMa' => 6.0, 'note' => 'Trips the garden branch when it rains.'])
            ->part('bench-relays', 'IN2', PartKind::FlybackDiode)
            ->part('hens-relays', 'IN2', PartKind::FlybackDiode)
            ->part('bench-relays', 'IN1', PartKind::Snubber)
            ->part('store-relays', 'IN1', PartKind::Snubber);
        foreach ([1, 2, 3] as $vent) {
            $sketch->load("vent-{$vent}-drive", "Drive of vent {$vent}", "vent-{$vent}-open", 'vents-low', LoadKind::Motor, 9.0)
                ->part("vent-{$vent}-relay", 'IN1', PartKind::FlybackDiode)
                ->load("frame-{$vent}-drive", "Drive of lid {$vent}", "frame-{$vent}-lid", 'low', LoadKind::Motor, 5.0)
                ->part("frame-{$vent}-relay", 'IN1', PartKind::FlybackDiode);
        }
    }

    /** What can hurt must be off, and is: at the store's heat mat by the signal side of its relays, a watchdog and a thermostat of its own. */
    private static function safeStates(Sketch $sketch): void
    {
        $sketch
            ->change(ThingKind::Output, 'store-heat', ['safe' => 'off', 'secondBreak' => 'thermostat'])
            ->change(ThingKind::Output, 'gate', ['safe' => 'off', 'secondBreak' => 'stops'])
            ->change(ThingKind::Module, 'store-relays', ['signalSupplyId' => $sketch->id($sketch->pin('store-node', 'board-5v'))])
            ->change(ThingKind::Node, 'store-node', ['watchdog' => true])
            ->change(ThingKind::Node, 'post', ['watchdog' => true]);
        foreach (['mist', 'fan', 'mat', 'hen-fan', 'store-cooler', 'vent-1-open', 'vent-2-open', 'vent-3-open', 'frame-1-lid', 'frame-2-lid', 'frame-3-lid'] as $output) {
            $sketch->change(ThingKind::Output, $output, ['safe' => 'any']);
        }
    }
}
