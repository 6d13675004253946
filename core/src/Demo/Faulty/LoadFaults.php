<?php

declare(strict_types=1);

namespace Rundfunk\Demo\Faulty;

use Rundfunk\Demo\FedFrom;
use Rundfunk\Demo\Sketch;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\FeedsAt;
use Rundfunk\Plan\LoadKind;
use Rundfunk\Plan\LoadUse;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Role;
use Rundfunk\Plan\ThingKind;

/** What can go wrong with what hangs on outputs: a workshop that was wired in a hurry. */
final readonly class LoadFaults
{
    public static function add(Sketch $sketch): void
    {
        $sketch->place('works', 'Workshop');
        self::circuits($sketch);
        self::oven($sketch);
        self::hoist($sketch);
        self::contacts($sketch);
        self::semiconductors($sketch);
        self::benches($sketch);
        self::beside($sketch);
        self::slipway($sketch);
    }

    private static function circuits(Sketch $sketch): void
    {
        $sketch
            // circuit-overloaded, fuse-too-quick, circuit-cable-burns
            ->circuit('works-main', 'Workshop', ['fuseA' => 20.0, 'mm2' => 1.5])
            // fuse-not-selective, fuse-in-neutral
            ->circuit('works-tools', 'Tools', ['fuseA' => 20.0, 'inNeutral' => true, 'timeLag' => true], 'works-main')
            // circuit-unfused, residual-missing
            ->circuit('works-yard', 'Yard', ['outdoors' => true])
            // residual-trips
            ->circuit('works-fence', 'Fence', ['fuseA' => 10.0, 'timeLag' => true, 'residual' => true, 'outdoors' => true])
            ->circuit('works-48', '48 V store', ['volts' => 48.0, 'direct' => true, 'fuseA' => 6.3, 'timeLag' => true])
            ->circuit('works-12', '12 V store', ['volts' => 12.0, 'direct' => true, 'fuseA' => 6.3, 'timeLag' => true])
            // circuits-unbalanced
            ->circuit('works-left', 'Left bench', ['fuseA' => 4.0, 'timeLag' => true, 'placeId' => $sketch->id('works')])
            ->circuit('works-right', 'Right bench', ['fuseA' => 4.0, 'timeLag' => true, 'placeId' => $sketch->id('works')])
            // circuit-in-circle
            ->circuit('works-loop', 'Loop', ['fuseA' => 6.0]);
        $sketch->change(ThingKind::Circuit, 'works-loop', ['parentId' => $sketch->id('works-loop')]);
    }

    /** unsafe-when-dead, unsafe-at-start, unsafe-when-unheard, unsafe-when-hung, unsafe-when-back, weld-stays-on */
    private static function oven(Sketch $sketch): void
    {
        $sketch
            ->node('wk-oven', 'Oven board', NodeKind::Controller, 'works', '8bit-5v-20io')
            ->supply('wk-oven-plug', 'wk-oven', 'plug-5v-1a', 'Plug', null, FeedsAt::Usb)
            ->supply('wk-oven-coils', 'wk-oven', 'plug-5v-1a', 'Coil supply')
            ->module('wk-oven-radio', 'wk-oven', 'packet-radio-plain', 'Radio', FedFrom::Board3V3)
            ->module('wk-oven-relays', 'wk-oven', 'relay-bank-4-low', 'Relays', 'wk-oven-coils')
            ->output('wk-oven-heat', 'wk-oven', 'Oven heat', OutputKind::Relay, 'wk-oven-relays', 'IN1', more: ['hazards' => ['heat', 'mains'], 'safe' => 'off', 'levelFirst' => false])
            ->load('wkl-wk-oven-plate', 'Oven plate', 'wk-oven-heat', 'works-main', LoadKind::Resistive, 1_000.0)
            ->wire('wk-oven-relays', 'IN1', 'D4')
            // safe-state-unsaid, load-unsaid
            ->output('wk-oven-door', 'wk-oven', 'Oven door', OutputKind::Relay, 'wk-oven-relays', 'IN2', more: ['hazards' => ['motion']])
            ->wire('wk-oven-relays', 'IN2', 'D5')
            // contact-joins-circuits, voltages-mixed, contact-overloaded, snubber-missing, outlet-twice
            ->output('wk-oven-saw', 'wk-oven', 'Saw', OutputKind::Relay, 'wk-oven-relays', 'IN3', more: ['safe' => 'any'])
            ->load('wkl-saw', 'Band saw', 'wk-oven-saw', 'works-tools', LoadKind::Motor, 1_500.0, ['outlet' => '1', 'mm2' => 0.75])
            ->wire('wk-oven-relays', 'IN3', 'D6')
            ->output('wk-oven-lamp', 'wk-oven', 'Bench lamp', OutputKind::Relay, 'wk-oven-relays', 'IN4')
            ->load('wkl-bench-bulb', 'Bench bulb', 'wk-oven-lamp', 'works-12', LoadKind::Lamp, 10.0, ['outlet' => '1'])
            ->load('wkl-bench-more', 'More bulbs', 'wk-oven-lamp', 'works-48', LoadKind::Resistive, 4.0)
            ->wire('wk-oven-relays', 'IN4', 'D7')
            ->node('works-key', 'Workshop key', NodeKind::Handset, 'works', '8bit-5v-20io')
            ->module('works-key-radio', 'works-key', 'packet-radio-plain', 'Radio', FedFrom::Board3V3)
            ->module('works-key-pad', 'works-key', 'button-pad-2', 'Keys')
            ->link('works-air', 'Workshop air', 'packet-radio', ['channel' => 76])
            ->join('works-air', 'works-key', Role::Sends, 'works-key-radio')
            ->join('works-air', 'wk-oven', Role::Receives, 'wk-oven-radio')
            // told-once-ends
            ->change(ThingKind::Output, 'wk-oven-lamp', ['settings' => ['silenceMs' => 650, 'silenceOn' => false]])
            ->control('works-on', 'works-key', 'Oven on')
            ->control('works-off', 'works-key', 'Oven off')
            ->route('works-on', Action::On, 'wk-oven-heat')->hop('works-on wk-oven-heat on', 'works-air', 'works-key', 'wk-oven', 1)
            ->route('works-on', Action::On, 'wk-oven-lamp')->hop('works-on wk-oven-lamp on', 'works-air', 'works-key', 'wk-oven', 3)
            ->route('works-off', Action::Off, 'wk-oven-heat')->hop('works-off wk-oven-heat off', 'works-air', 'works-key', 'wk-oven', 2);
    }

    /** interlock-missing, interlock-impossible, both-told, restore-wears */
    private static function hoist(Sketch $sketch): void
    {
        $sketch
            ->node('wk-hoist', 'Hoist board', NodeKind::Controller, 'works', '8bit-5v-20io')
            ->supply('wk-hoist-plug', 'wk-hoist', 'plug-5v-1a', 'Plug', null, FeedsAt::Usb)
            ->module('wk-hoist-relays', 'wk-hoist', 'relay-bank-4-high', 'Relays', 'wk-hoist-plug')
            ->output('wk-hoist-up', 'wk-hoist', 'Up', OutputKind::Relay, 'wk-hoist-relays', 'IN1', more: ['hazards' => ['lift'], 'safe' => 'off', 'secondBreak' => 'stops'])
            ->output('wk-hoist-down', 'wk-hoist', 'Down', OutputKind::Relay, 'wk-hoist-relays', 'IN2', more: ['hazards' => ['lift'], 'safe' => 'off', 'secondBreak' => 'stops', 'neverWithIds' => [$sketch->id('wk-hoist-up')]])
            ->output('wk-hoist-brake', 'wk-hoist', 'Brake', OutputKind::Relay, 'wk-hoist-relays', 'IN3', more: ['contact' => 'normally-closed', 'interlocked' => true, 'neverWithIds' => [$sketch->id('wk-hoist-down')]])
            ->output('wk-hoist-fan', 'wk-hoist', 'Motor fan', OutputKind::Relay, 'wk-hoist-relays', 'IN4', more: ['atStart' => 'last'])
            ->wire('wk-hoist-relays', 'IN1', 'D4')->wire('wk-hoist-relays', 'IN2', 'D5')->wire('wk-hoist-relays', 'IN3', 'D6')->wire('wk-hoist-relays', 'IN4', 'D7')
            ->module('wk-hoist-keys', 'wk-hoist', 'button-pad-2', 'Keys')
            ->control('wk-hoist-key', 'wk-hoist', 'Hoist key')
            ->control('wk-hoist-often', 'wk-hoist', 'Every four minutes', ControlKind::Timer, settings: ['everyMin' => 4])
            ->route('wk-hoist-key', Action::Momentary, 'wk-hoist-up')
            ->route('wk-hoist-key', Action::Momentary, 'wk-hoist-down')
            ->route('wk-hoist-often', Action::Toggle, 'wk-hoist-fan');
    }

    /** fuse-above-contact, fuse-misplaced, neutral-switched, always-on-switched, cord-burns, fuse-below-load, contact-breaks-dc, flyback-missing, all-unplugged */
    private static function contacts(Sketch $sketch): void
    {
        $sketch
            ->node('wk-rack', 'Tool rack', NodeKind::Controller, 'works', '8bit-5v-20io')
            ->supply('wk-rack-plug', 'wk-rack', 'plug-5v-1a', 'Plug', null, FeedsAt::Usb)
            ->module('wk-rack-relays', 'wk-rack', 'relay-bank-4-high', 'Relays', 'wk-rack-plug')
            ->output('wk-rack-1', 'wk-rack', 'Rack 1', OutputKind::Relay, 'wk-rack-relays', 'IN1', more: ['safe' => 'any'])
            ->output('wk-rack-2', 'wk-rack', 'Rack 2', OutputKind::Relay, 'wk-rack-relays', 'IN2', more: ['safe' => 'any'])
            ->output('wk-rack-3', 'wk-rack', 'Rack 3', OutputKind::Relay, 'wk-rack-relays', 'IN3', more: ['safe' => 'any'])
            ->output('wk-rack-4', 'wk-rack', 'Rack 4', OutputKind::Relay, 'wk-rack-relays', 'IN4', more: ['safe' => 'any'])
            ->wire('wk-rack-relays', 'IN1', 'D4')->wire('wk-rack-relays', 'IN2', 'D5')->wire('wk-rack-relays', 'IN3', 'D6')->wire('wk-rack-relays', 'IN4', 'D7')
            ->load('wkl-kettle', 'Glue kettle', 'wk-rack-1', 'works-tools', LoadKind::Resistive, 600.0, ['fuseA' => 3.15, 'fuseAt' => 'after', 'breaksNeutral' => true])
            ->load('wkl-clock', 'Wall clock', 'wk-rack-1', 'works-tools', LoadKind::Resistive, 5.0, ['use' => LoadUse::AlwaysOn->value])
            ->load('wkl-iron', 'Soldering iron', 'wk-rack-2', 'works-main', LoadKind::Resistive, 800.0, ['fuseA' => 4.0, 'fuseAt' => 'neutral', 'mm2' => 0.5])
            ->load('wkl-winch', 'Store winch', 'wk-rack-3', 'works-48', LoadKind::Motor, 150.0)
            ->load('wkl-old-string', 'Old string', 'wk-rack-4', 'works-fence', LoadKind::Capacitive, 40.0, ['use' => LoadUse::Unplugged->value])
            // contact-above-volts
            ->circuit('works-three', 'Three phases', ['volts' => 400.0, 'fuseA' => 16.0, 'mm2' => 2.5])
            ->load('wkl-plane', 'Planer', 'wk-rack-2', 'works-three', LoadKind::Motor, 2_000.0)
            ->module('wk-rack-keys', 'wk-rack', 'button-pad-1', 'Key')
            ->control('wk-rack-key', 'wk-rack', 'Rack key')
            ->route('wk-rack-key', Action::Toggle, 'wk-rack-4');
    }

    /** signal-side-weak, triac-on-direct-current, transistor-on-mains, triac-holds-not, surge-kills */
    private static function semiconductors(Sketch $sketch): void
    {
        $sketch
            ->node('wk-quiet', 'Quiet board', NodeKind::Controller, 'works', '8bit-5v-20io')
            ->supply('wk-quiet-plug', 'wk-quiet', 'plug-5v-1a', 'Plug', null, FeedsAt::Usb)
            ->module('wk-quiet-pair', 'wk-quiet', 'solid-state-bank-2', 'Solid state', 'wk-quiet-plug')
            ->module('wk-quiet-more', 'wk-quiet', 'solid-state-bank-2', 'Solid state, more', 'wk-quiet-plug')
            ->supply('wk-quiet-3v3', 'wk-quiet', 'board-3v3', 'Quiet 3.3 V')
            ->module('wk-quiet-low', 'wk-quiet', 'relay-bank-1-low', 'Low relay', 'wk-quiet-plug', ['signalSupplyId' => $sketch->id('wk-quiet-3v3')])
            ->module('wk-quiet-gate', 'wk-quiet', 'transistor-4v5', 'Gate')
            ->output('wk-quiet-1', 'wk-quiet', 'Quiet 1', OutputKind::Relay, 'wk-quiet-pair', 'CH1', more: ['safe' => 'any'])
            ->output('wk-quiet-2', 'wk-quiet', 'Quiet 2', OutputKind::Relay, 'wk-quiet-pair', 'CH2', more: ['safe' => 'any'])
            ->output('wk-quiet-3', 'wk-quiet', 'Quiet 3', OutputKind::Relay, 'wk-quiet-more', 'CH1', more: ['safe' => 'any'])
            ->output('wk-quiet-4', 'wk-quiet', 'Quiet 4', OutputKind::Pwm, 'wk-quiet-gate', 'GATE', more: ['safe' => 'any'])
            ->wire('wk-quiet-pair', 'CH1', 'D4')->wire('wk-quiet-pair', 'CH2', 'D5')->wire('wk-quiet-more', 'CH1', 'D6')->wire('wk-quiet-gate', 'GATE', 'D9')
            ->load('wkl-wk-quiet-pump', 'Fountain pump', 'wk-quiet-1', 'works-12', LoadKind::Motor, 8.0)
            ->load('wkl-wk-quiet-led', 'Night light', 'wk-quiet-2', 'works-fence', LoadKind::Capacitive, 3.0)
            ->load('wkl-wk-quiet-flood', 'Floodlights', 'wk-quiet-3', 'works-fence', LoadKind::Capacitive, 200.0, ['fuseA' => 1.25])
            ->load('wkl-wk-quiet-mains', 'Mains lamp', 'wk-quiet-4', 'works-fence', LoadKind::Resistive, 40.0);
    }

    /** start-starves, supply-cable-burns: a winch that a supply bears while it turns, and the board that lives on the same */
    private static function slipway(Sketch $sketch): void
    {
        $sketch
            ->node('wk-slip', 'Slipway board', NodeKind::Controller, 'works', '8bit-5v-20io')
            ->supply('wk-slip-plug', 'wk-slip', 'plug-12v-2a', 'Twelve volts')
            ->supply('wk-slip-five', 'wk-slip', 'buck', 'Five volts', 'wk-slip-plug', FeedsAt::FiveVolt, ['volts' => 5.0])
            ->module('wk-slip-bridge', 'wk-slip', 'motor-bridge-2', 'Bridge', 'wk-slip-five')
            ->output('wk-slip-1', 'wk-slip', 'Slipway', OutputKind::Motor, 'wk-slip-bridge', 'ENA', more: ['safe' => 'off'])
            // switch-keeps-volts: a motor of three volts
            ->supply('wk-slip-cells', 'wk-slip', 'bench', 'Three volts', more: ['volts' => 3.0])
            ->output('wk-slip-2', 'wk-slip', 'Capstan', OutputKind::Motor, 'wk-slip-bridge', 'ENB', more: ['safe' => 'off'])
            ->load('wkl-capstan', 'Capstan motor', 'wk-slip-2', null, LoadKind::Motor, 0.6, ['supplyId' => $sketch->id('wk-slip-cells')])
            // supply-cable-burns: a mat that warms its wire too
            ->supply('wk-slip-mat', 'wk-slip', 'plug-12v-2a', 'Plug of the mat', more: ['cableM' => 0.5, 'cableMm2' => 0.14])
            ->load('wkl-slip-mat', 'Warm mat', null, null, LoadKind::Resistive, 20.0, ['use' => LoadUse::AlwaysOn->value, 'supplyId' => $sketch->id('wk-slip-mat')])
            ->load('wkl-slipway', 'Slipway motor', 'wk-slip-1', null, LoadKind::Motor, 12.0, ['supplyId' => $sketch->id('wk-slip-plug')]);
    }

    private static function benches(Sketch $sketch): void
    {
        $sketch
            ->node('wk-bench', 'Bench board', NodeKind::Controller, 'works', '8bit-5v-20io')
            ->supply('wk-bench-plug', 'wk-bench', 'plug-5v-1a', 'Plug', null, FeedsAt::Usb)
            ->module('wk-bench-relays', 'wk-bench', 'relay-bank-4-high', 'Relays', 'wk-bench-plug');
        foreach ([1, 2, 3, 4] as $place) {
            $sketch->output("wk-bench-{$place}", 'wk-bench', "Place {$place}", OutputKind::Relay, 'wk-bench-relays', "IN{$place}", more: ['safe' => 'any'])
                ->wire('wk-bench-relays', "IN{$place}", 'D'.(3 + $place))
                ->load("wkl-place-{$place}", "Lamp of place {$place}", "wk-bench-{$place}", 'works-left', LoadKind::Resistive, 80.0, ['fuseA' => 0.5]);
        }
    }

    /** load-unfed, load-unread, load-adrift; and what leaks */
    private static function beside(Sketch $sketch): void
    {
        $sketch
            ->load('wkl-somewhere', 'Thing on the shelf', null, null, LoadKind::Resistive, 20.0)
            ->load('wkl-no-plate', 'Old heater', null, 'works-yard', LoadKind::Resistive, null, ['use' => LoadUse::AlwaysOn->value])
            ->load('wkl-yard-lamp', 'Yard lamp', null, 'works-yard', LoadKind::Resistive, 300.0, ['use' => LoadUse::AlwaysOn->value])
            ->load('wkl-fence-wet', 'String on the fence', null, 'works-fence', LoadKind::Capacitive, 30.0, ['use' => LoadUse::AlwaysOn->value, 'leakageMa' => 9.0])
            ->load('wkl-fence-old', 'Old transformer', null, 'works-fence', LoadKind::Inductive, 100.0, ['use' => LoadUse::AlwaysOn->value, 'leakageMa' => 7.0])
            ->load('wkl-heater-main', 'Workshop heater', null, 'works-main', LoadKind::Resistive, 2_000.0, ['use' => LoadUse::AlwaysOn->value]);
    }
}
