<?php

declare(strict_types=1);

namespace Rundfunk\Demo\Faulty;

use Rundfunk\Demo\FedFrom;
use Rundfunk\Demo\Sketch;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\FeedsAt;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\PartKind;
use Rundfunk\Plan\Role;
use Rundfunk\Plan\ThingKind;

/** What can go wrong between a plug and a part. */
final readonly class PowerFaults
{
    private const PANEL = ['GPIO5', 'GPIO6', 'GPIO12', 'GPIO13', 'GPIO16', 'GPIO19', 'GPIO20', 'GPIO21', 'GPIO22', 'GPIO23', 'GPIO24', 'GPIO25'];

    public static function add(Sketch $sketch): void
    {
        $sketch->place('cellar', 'Cellar');
        self::feeds($sketch);
        self::regulators($sketch);
        self::boards($sketch);
        self::levels($sketch);
        self::drives($sketch);
    }

    private static function feeds(Sketch $sketch): void
    {
        $sketch
            // supply-too-high: a radio on five volts; supply-too-low: coils on three; supply-unknown; rail-twice
            ->node('cellar-1', 'Cellar 1', NodeKind::Controller, 'cellar', '8bit-5v-20io')
            ->module('cellar-radio', 'cellar-1', 'packet-radio-plain', 'Radio on 5 V', FedFrom::Board5V)
            ->module('cellar-coils', 'cellar-1', 'relay-bank-1-low', 'Coil on 3.3 V', FedFrom::Board3V3)
            ->supply('cellar-what', 'cellar-1', 'other', 'Some supply')
            ->module('cellar-more', 'cellar-1', 'relay-bank-2-low', 'Relays on something', 'cellar-what')
            ->supply('cellar-again', 'cellar-1', 'board-5v', '5V pin again')
            ->module('cellar-again-coil', 'cellar-1', 'relay-bank-1-low', 'Coil on the pin again', 'cellar-again')
            // rail-missing, supply-unfed, supply-idle
            ->node('cellar-2', 'Cellar 2', NodeKind::Controller, 'cellar', null)
            ->module('cellar-orphan', 'cellar-2', 'packet-radio-plain', 'Radio without a board', FedFrom::Board3V3)
            ->supply('cellar-adapter', 'cellar-2', 'regulator-adapter', 'Adapter on nothing')
            ->supply('cellar-spare', 'cellar-2', 'plug-5v-1a', 'Spare plug');
    }

    private static function regulators(Sketch $sketch): void
    {
        $sketch
            ->node('cellar-3', 'Cellar 3', NodeKind::Controller, 'cellar', '8bit-5v-20io')
            ->supply('cellar-bench', 'cellar-3', 'bench', 'Bench', more: ['volts' => 14.0])
            // regulator-overfed: an adapter that stands twelve volts on fourteen
            ->supply('cellar-over', 'cellar-3', 'regulator-adapter', 'Adapter on 14 V', 'cellar-bench')
            // regulator-drops-out: an adapter on a pin of its own voltage
            ->supply('cellar-under', 'cellar-3', 'regulator-adapter', 'Adapter on 3.3 V', $sketch->pin('cellar-3', 'board-3v3'))
            ->module('cellar-under-radio', 'cellar-3', 'packet-radio-plain', 'Radio', 'cellar-under')
            // regulator-hot: a linear regulator from a car's voltage; and a radio that asks much of it
            ->supply('cellar-hot', 'cellar-3', 'linear-5v', 'Hot regulator', 'cellar-bench')
            ->supply('cellar-hot-adapter', 'cellar-3', 'regulator-adapter', 'Adapter on the hot one', 'cellar-hot')
            // supply-cannot-give
            ->supply('cellar-wrong', 'cellar-3', 'linear-5v', 'Six from five', 'cellar-bench', more: ['volts' => 6.0])
            // supply-in-circle
            ->supply('cellar-circle', 'cellar-3', 'buck', 'Hen', null)
            ->supply('cellar-round', 'cellar-3', 'buck', 'Egg', 'cellar-circle')
            ->refeed('cellar-circle', 'cellar-round');
        // board-regulator-hot: two heaters of gas sensors on the 5 V pin of a board that is fed twelve
        $sketch->node('cellar-16', 'Cellar 16', NodeKind::Controller, 'cellar', '8bit-5v-20io')
            ->supply('cellar-warm', 'cellar-16', 'bench', 'Eleven and a half', null, FeedsAt::Vin, ['volts' => 11.5])
            ->module('cellar-gas', 'cellar-16', 'sensor-gas', 'Gas', FedFrom::Board5V)
            ->module('cellar-gas-2', 'cellar-16', 'sensor-gas', 'Second gas', FedFrom::Board5V);
        foreach (range(1, 6) as $number) {
            $sketch->module("cellar-hot-{$number}", 'cellar-3', 'packet-radio-amplified', "Loud radio {$number}", 'cellar-hot-adapter');
        }
    }

    private static function boards(Sketch $sketch): void
    {
        $sketch
            // board-fed-twice, board-input-unfit: twelve volts at the USB socket, and a plug beside it
            ->node('cellar-4', 'Cellar 4', NodeKind::Controller, 'cellar', '32bit-3v3-26io')
            ->supply('cellar-twelve', 'cellar-4', 'plug-12v-2a', 'Twelve volts', null, FeedsAt::Usb)
            ->supply('cellar-five', 'cellar-4', 'plug-5v-1a', 'Five volts', null, FeedsAt::FiveVolt)
            // cable-drops, fuse-missing: a lead battery at the end of a bell wire
            ->node('cellar-5', 'Cellar 5', NodeKind::Controller, 'cellar', '8bit-5v-20io')
            ->supply('cellar-lead', 'cellar-5', 'lead-12v', 'Battery', more: ['cableM' => 40, 'cableMm2' => 0.14])
            ->supply('cellar-lead-buck', 'cellar-5', 'buck', 'Buck', 'cellar-lead', FeedsAt::FiveVolt)
            ->module('cellar-lead-relays', 'cellar-5', 'relay-bank-8-low', 'Relays', 'cellar-lead-buck')
            // fuse-unfit: four amperes behind a wire for half of one; battery-soon-empty: it is a small one
            ->node('cellar-6', 'Cellar 6', NodeKind::Handset, 'cellar', '8bit-5v-20io')
            ->supply('cellar-second', 'cellar-6', 'lead-12v', 'Second battery', more: ['cableM' => 1, 'cableMm2' => 0.14, 'fuseA' => 4.0, 'capacityMah' => 800])
            // regulator-drains: it sleeps, and its regulator does not
            ->supply('cellar-drain', 'cellar-6', 'linear-5v', 'Upright regulator', 'cellar-second', FeedsAt::FiveVolt)
            ->sleeping('cellar-6')
            // board-browns-out: old cells for a board that wants half an ampere at once
            ->node('cellar-7', 'Cellar 7', NodeKind::Controller, 'cellar', 'wifi-3v3-26io')
            ->supply('cellar-tired', 'cellar-7', 'bench', 'Long thin leads', null, FeedsAt::FiveVolt, ['sourceOhm' => 6.0]);
    }

    private static function drives(Sketch $sketch): void
    {
        $sketch
            // timer-taken: a dimmer on a pin whose timer a servo has; fed-from-board-pin; switching-impossible
            ->node('cellar-12', 'Cellar 12', NodeKind::Controller, 'cellar', '8bit-5v-20io')
            ->module('cellar-flap', 'cellar-12', 'servo-small', 'Servo', FedFrom::Board5V)
            ->output('cellar-flap-out', 'cellar-12', 'Flap', OutputKind::Servo, 'cellar-flap', 'SIG')
            ->wire('cellar-flap', 'SIG', 'D7')
            ->module('cellar-dim', 'cellar-12', 'transistor-4v5', 'Dimmer')
            ->output('cellar-dim-out', 'cellar-12', 'Cellar glow', OutputKind::Pwm, 'cellar-dim', 'GATE')
            ->wire('cellar-dim', 'GATE', 'D9')
            ->module('cellar-pad', 'cellar-12', 'button-pad-1', 'Pad')
            ->control('cellar-flip', 'cellar-12', 'Flip', ControlKind::Button, 'cellar-pad', 'K1')
            ->route('cellar-flip', Action::Toggle, 'cellar-flap-out')
            // pin-overdrawn
            ->module('cellar-beep', 'cellar-12', 'buzzer', 'Buzzer')
            ->output('cellar-beep-out', 'cellar-12', 'Beep', OutputKind::Tone, 'cellar-beep', 'SIG')
            ->wire('cellar-beep', 'SIG', 'D8')
            // strip-deafens, strip-too-long, series-missing, buffer-missing
            ->describe(ThingKind::OwnBoard, 'cellar-board', 'Board from the cellar', '8bit-5v-20io', ['own' => ['typicalMa' => 20, 'peakMa' => 40, 'sleepMa' => 8, 'brownOutV' => 2.7]])
            ->node('cellar-13', 'Cellar 13', NodeKind::Controller, 'cellar', $sketch->classOf('cellar-board'))
            ->module('cellar-strip', 'cellar-13', 'strip-pixels', 'Strip')
            ->output('cellar-strip-out', 'cellar-13', 'Stair light', OutputKind::Strip, 'cellar-strip', 'DIN', more: ['settings' => ['pixels' => 600]])
            ->wire('cellar-strip', 'DIN', 'D6')
            ->module('cellar-ear', 'cellar-13', 'infrared-receiver', 'Ear', FedFrom::Board5V)
            ->wire('cellar-ear', 'OUT', 'D2')
            // expander-fed-otherwise, expander-pins-shared, pin-too-slow
            ->node('cellar-14', 'Cellar 14', NodeKind::Controller, 'cellar', '8bit-5v-20io')
            ->module('cellar-more-pins', 'cellar-14', 'expander-i2c-16', 'Expander', FedFrom::Board3V3)
            ->module('cellar-shift', 'cellar-14', 'shift-register-8', 'Shift register', FedFrom::Board5V)
            ->module('cellar-slow', 'cellar-14', 'servo-small', 'Slow servo', FedFrom::Own)
            ->output('cellar-slow-out', 'cellar-14', 'Louvre', OutputKind::Servo, 'cellar-slow', 'SIG')
            ->wire('cellar-slow', 'SIG', 'X4')
            // software-serial-twice, software-disturbs, cell-software-too-fast
            ->node('cellar-15', 'Cellar 15', NodeKind::Controller, 'cellar', '8bit-5v-20io')
            ->module('cellar-modem', 'cellar-15', 'modem-lte-eu', 'Modem by software', FedFrom::Own)
            ->wire('cellar-modem', 'RXD', 'D7', bySoftware: true)->wire('cellar-modem', 'TXD', 'D8', bySoftware: true)
            ->module('cellar-modem-2', 'cellar-15', 'modem-lte-eu', 'Second modem', FedFrom::Own)
            ->wire('cellar-modem-2', 'RXD', 'D5', bySoftware: true)->wire('cellar-modem-2', 'TXD', 'D6', bySoftware: true)
            ->module('cellar-fob', 'cellar-15', 'keyed-receiver', 'Fob ear', FedFrom::Board5V)
            ->wire('cellar-fob', 'DATA', 'D2')
            ->link('cellar-mobile', 'Cellar mobile', 'cellular')
            ->join('cellar-mobile', 'cellar-15', Role::Both, 'cellar-modem', ['baud' => 57600])
            // switches-at-start: a relay on the pin whose lamp flashes
            ->module('cellar-click', 'cellar-14', 'relay-bank-1-high', 'Clicking relay', FedFrom::Board5V)
            ->output('cellar-click-out', 'cellar-14', 'Click', OutputKind::Relay, 'cellar-click', 'IN1')
            ->wire('cellar-click', 'IN1', 'D13')
            // low-too-high: a relay of our own that wants to see a low of next to nothing
            ->describe(ThingKind::OwnModule, 'cellar-shy', 'Shy relay', 'relay-bank-1-high', ['levels' => ['in' => ['highV' => 2.5, 'lowV' => 0.05, 'mostV' => 6.0]]])
            ->module('cellar-shy-one', 'cellar-14', $sketch->classOf('cellar-shy'), 'Shy relay', FedFrom::Board5V)
            ->wire('cellar-shy-one', 'IN1', 'D3')
            // channel-unfit: a motor on a relay
            ->module('cellar-one', 'cellar-14', 'relay-bank-1-high', 'One relay', FedFrom::Board5V)
            ->output('cellar-turn-out', 'cellar-14', 'Turntable', OutputKind::Motor, 'cellar-one', 'IN1')
            // hazard-keeps-state
            ->module('cellar-latch', 'cellar-13', 'relay-latching-1', 'Latch', FedFrom::Board5V)
            ->output('cellar-heat', 'cellar-13', 'Cellar heater', OutputKind::Relay, 'cellar-latch', 'SET', '2 kW heater', ['hazards' => ['heat', 'mains']]);
    }

    private static function levels(Sketch $sketch): void
    {
        $sketch
            // relay-holds: three volts do not let go what five hold
            ->node('cellar-8', 'Cellar 8', NodeKind::Controller, 'cellar', 'wifi-3v3-26io')
            ->module('cellar-low', 'cellar-8', 'relay-bank-1-low', 'Low relay', FedFrom::Board5V)
            ->wire('cellar-low', 'IN1', 'IO25')
            ->output('cellar-lamp', 'cellar-8', 'Cellar lamp', OutputKind::Relay, 'cellar-low', 'IN1')
            // pull-up-missing: a key on a pin that holds nothing up
            ->module('cellar-key', 'cellar-8', 'button-pad-1', 'Key')
            ->wire('cellar-key', 'K1', 'IO34')
            ->control('cellar-press', 'cellar-8', 'Cellar key', ControlKind::Button, 'cellar-key', 'K1')
            // switch-on-strap, bus-split
            ->module('cellar-lever', 'cellar-8', 'button-pad-1', 'Lever')
            ->wire('cellar-lever', 'K1', 'IO0')
            ->control('cellar-turn', 'cellar-8', 'Lever', ControlKind::Switch, 'cellar-lever', 'K1')
            ->module('cellar-split', 'cellar-8', 'packet-radio-plain', 'Radio on two buses', FedFrom::Board3V3)
            ->wire('cellar-split', 'SCK', 'IO18')->wire('cellar-split', 'MOSI', 'IO13')->wire('cellar-split', 'MISO', 'IO12')
            // ability-missing: a stick on a computer without a converter
            ->node('cellar-9', 'Cellar 9', NodeKind::Gateway, 'cellar', 'computer-40pin')
            ->module('cellar-stick', 'cellar-9', 'joystick', 'Stick', FedFrom::Board3V3)
            ->control('cellar-axis', 'cellar-9', 'Stick sideways', ControlKind::Axis, 'cellar-stick', 'X')
            // chip-overdrawn: twelve lamps, each no more than a pin gives
            ->describe(ThingKind::OwnModule, 'cellar-panel', 'Lamp panel', 'indicator-lamp', ['terminals' => array_map(
                static fn (int $lamp): array => ['name' => "L{$lamp}", 'needs' => 'digital-out', 'carries' => 'output', 'pulls' => 'down', 'diodeV' => 1.8, 'diodeOhm' => 270, 'doc' => 'High lights it.'],
                range(1, count(self::PANEL)),
            )])
            ->module('cellar-lamps', 'cellar-9', $sketch->classOf('cellar-panel'), 'Lamp panel')
            // read-too-often, reading-without-threshold, function-without-hardware
            ->module('cellar-air', 'cellar-8', 'sensor-climate', 'Air', FedFrom::Board3V3)
            ->control('cellar-damp', 'cellar-8', 'Damp', ControlKind::Reading, 'cellar-air', 'DATA', ['unit' => '%', 'intervalS' => 1])
            ->route('cellar-damp', Action::Follow, 'cellar-lamp')
            ->output('cellar-wish', 'cellar-8', 'Ventilate', OutputKind::Function)
            // pull-too-strong, edge-too-slow, part-out-of-place, part-starves, contact-unheard, part-unsaid: a drawer of parts, and none where it belongs
            ->node('cellar-24', 'Cellar 24', NodeKind::Controller, 'cellar', 'wifi-3v3-26io')
            ->module('cellar-cold', 'cellar-24', 'sensor-temperature', 'Cold', FedFrom::Board3V3)->wire('cellar-cold', 'DATA', 'IO4')->part('cellar-cold', 'DATA', PartKind::PullUp, ['ohms' => 47.0])
            ->module('cellar-wet', 'cellar-24', 'sensor-soil', 'Wet', FedFrom::Board3V3)->wire('cellar-wet', 'OUT', 'IO34')->part('cellar-wet', 'OUT', PartKind::SeriesResistor, ['ohms' => 100_000.0])
            ->part('cellar-wet', 'GND', PartKind::Capacitor)
            ->module('cellar-glow', 'cellar-24', 'indicator-lamp', 'Glow')->wire('cellar-glow', 'LED', 'IO25')->part('cellar-glow', 'LED', PartKind::SeriesResistor, ['ohms' => 10_000.0])->part('cellar-glow', 'LED', PartKind::Divider, ['ohms' => 1_000.0, 'lowerOhms' => 2_000.0])
            ->output('cellar-glows', 'cellar-24', 'Glow', OutputKind::Lamp, 'cellar-glow', 'LED')
            ->module('cellar-push', 'cellar-24', 'button-pad-1', 'Push')->wire('cellar-push', 'K1', 'IO26')->part('cellar-push', 'K1', PartKind::PullDown, ['ohms' => 1_000.0])
            ->control('cellar-pushed', 'cellar-24', 'Push', ControlKind::Button, 'cellar-push', 'K1')
            // asleep-lets-go: a relay that is let go whenever its node sleeps
            ->node('cellar-25', 'Cellar 25', NodeKind::Controller, 'cellar', 'wifi-3v3-26io')->sleeping('cellar-25')
            ->module('cellar-doze', 'cellar-25', 'relay-bank-1-high', 'Doze relay', FedFrom::Board5V)->wire('cellar-doze', 'IN1', 'IO27')
            ->output('cellar-dozes', 'cellar-25', 'Night lamp', OutputKind::Relay, 'cellar-doze', 'IN1')
            // port-shared: what hears slots on the one line of a port, what sends them on the other
            ->module('cellar-hears', 'cellar-25', 'dmx-receiver-3v3', 'Slots in', FedFrom::Board3V3)->wire('cellar-hears', 'RO', 'IO16')
            ->module('cellar-sends', 'cellar-25', 'dmx-driver-3v3', 'Slots out', FedFrom::Board3V3)->wire('cellar-sends', 'DI', 'IO17')
            // fed-from-afar: a bench that lives on the cellar's pin, and something carried that hangs there as well
            ->node('cellar-26', 'Cellar fob', NodeKind::Handset, 'cellar', '8bit-5v-20io')
            ->supply('cellar-socket', 'cellar-25', 'plug-5v-1a', 'Cellar socket')
            ->module('cellar-fob-keys', 'cellar-26', 'sensor-motion', 'Fob eye', 'cellar-socket')
            ->module('cellar-far', 'cellar-24', 'relay-bank-1-high', 'Far relay', 'cellar-socket')
            // i2c-address-shared, i2c-pulled-hard: six displays on one bus
            ->node('cellar-11', 'Cellar 11', NodeKind::Controller, 'cellar', '8bit-5v-20io')
            // ip-broker-cramped; ir-supply-differs: a resistor for five volts on three
            ->node('cellar-10', 'Cellar 10', NodeKind::Controller, 'cellar', 'wifi-3v3-11io')
            ->link('cellar-net', 'Cellar net', 'ip', ['ssid' => 'cellar'])
            ->join('cellar-net', 'cellar-10', Role::Both, null, ['broker' => true])
            ->module('cellar-ir', 'cellar-10', 'infrared-emitter', 'Emitter', FedFrom::Board3V3)
            ->link('cellar-light', 'Cellar light', 'infrared')
            ->join('cellar-light', 'cellar-10', Role::Sends, 'cellar-ir');
        foreach (self::PANEL as $at => $pin) {
            $sketch->wire('cellar-lamps', 'L'.($at + 1), $pin);
        }
        foreach (range(1, 6) as $number) {
            $sketch->module("cellar-face-{$number}", 'cellar-11', $number < 3 ? 'display-i2c' : 'clock-i2c', "Face {$number}", FedFrom::Board5V)
                ->wire("cellar-face-{$number}", 'SDA', 'A4')->wire("cellar-face-{$number}", 'SCL', 'A5');
        }
    }
}
