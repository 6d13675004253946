<?php

declare(strict_types=1);

namespace Tests\Core\Check;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Check\Finding;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Demo\Sketch;
use Rundfunk\Edit\Editor;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\PartKind;
use Rundfunk\Plan\Role;
use Rundfunk\Plan\ThingKind;
use Tests\Core\CoreTestCase;

/** A row a case: what is wired, and what each rule about pins and supplies must say of it. */
final class PinRulesTest extends CoreTestCase
{
    /** @return iterable<string, array{string, Closure(Sketch): Sketch, list<string>}> rule, plan, titles */
    public static function cases(): iterable
    {
        $plain = static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io');
        $small = static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Controller, null, 'wifi-3v3-11io');
        $keys = static fn (Sketch $s): Sketch => $s->module('k', 'n', 'button-pad-4', 'Keys');
        $relays = static fn (Sketch $s, string $kind = 'low'): Sketch => $s->module('r', 'n', "relay-bank-4-{$kind}", 'Relays', FedFrom::Own);
        $radio = static fn (Sketch $s): Sketch => $s->module('x', 'n', 'packet-radio-plain', 'Radio', FedFrom::Board3V3);

        yield 'a node with a board' => ['node-without-board', $plain, []];
        yield 'a node without one' => [
            'node-without-board',
            static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Handset, null, null),
            ['N has no board yet'],
        ];

        yield 'two keys on two pins' => [
            'pin-used-twice',
            static fn (Sketch $s): Sketch => $keys($plain($s))->wire('k', 'K1', 'D2')->wire('k', 'K2', 'D3'),
            [],
        ];
        yield 'two keys on one pin' => [
            'pin-used-twice',
            static fn (Sketch $s): Sketch => $keys($plain($s))->wire('k', 'K1', 'D2')->wire('k', 'K2', 'D2'),
            ['D2 of N is used twice'],
        ];
        yield 'two radios on one bus' => [
            'pin-used-twice',
            static fn (Sketch $s): Sketch => $radio($plain($s))
                ->module('y', 'n', 'packet-radio-plain', 'Other')
                ->wire('x', 'SCK', 'D13')
                ->wire('y', 'SCK', 'D13'),
            [],
        ];
        yield 'data out and data in on one pin' => [
            'pin-used-twice',
            static fn (Sketch $s): Sketch => $radio($plain($s))
                ->wire('x', 'MOSI', 'D11')
                ->wire('x', 'MISO', 'D11'),
            ['D11 of N is used twice'],
        ];

        // Two of one address on a board with one bus: wired or not, there is no way; with two buses there is.
        $faces = static fn (Sketch $s): Sketch => $s->module('f', 'n', 'display-i2c', 'Face', FedFrom::Board3V3)->module('g', 'n', 'display-i2c', 'Other face', FedFrom::Board3V3);
        yield 'two displays, not wired yet' => ['i2c-address-shared', static fn (Sketch $s): Sketch => $faces($plain($s)), ['Face and Other face of N have one address on one bus']];
        yield 'two displays on a board with two buses' => ['i2c-address-shared', static fn (Sketch $s): Sketch => $faces($s->node('n', 'N', NodeKind::Controller, null, '32bit-3v3-26io')), []];

        // Timers of the 8-bit boards: a servo takes 1 (pins 9, 10), a tone 2 (3, 11), the clock has 0 (5, 6); of the large one 5, 2 and 0. From memory.
        $servo = static fn (Sketch $s): Sketch => $s->module('s', 'n', 'servo-small', 'Servo', FedFrom::Own)->output('so', 'n', 'Flap', OutputKind::Servo, 's', 'SIG');
        $fan = static fn (Sketch $s, string $pin): Sketch => $s->module('f', 'n', 'transistor-4v5', 'Fan')->output('fo', 'n', 'Air', OutputKind::Pwm, 'f', 'GATE')->wire('f', 'GATE', $pin);
        $eye = static fn (Sketch $s, string $pin): Sketch => $s->module('e', 'n', 'infrared-emitter', 'Emitter', FedFrom::Board5V)->wire('e', 'IN', $pin);
        yield 'PWM alone' => ['timer-taken', static fn (Sketch $s): Sketch => $fan($plain($s), 'D9'), []];
        yield 'PWM beside a servo' => ['timer-taken', static fn (Sketch $s): Sketch => $servo($fan($plain($s), 'D9')), ['D9 of N makes no PWM: timer 1 makes servo pulses']];
        yield 'PWM of another timer beside a servo' => ['timer-taken', static fn (Sketch $s): Sketch => $servo($fan($plain($s), 'D5')), []];
        yield 'PWM beside a servo on the large board' => ['timer-taken', static fn (Sketch $s): Sketch => $servo($fan($s->node('n', 'N', NodeKind::Controller, null, '8bit-5v-70io'), 'D9')), []];
        yield 'PWM of the timer that a servo has on the large board' => ['timer-taken', static fn (Sketch $s): Sketch => $servo($fan($s->node('n', 'N', NodeKind::Controller, null, '8bit-5v-70io'), 'D45')), ['D45 of N makes no PWM: timer 5 makes servo pulses']];
        yield 'a carrier on the clock\'s timer' => ['timer-taken', static fn (Sketch $s): Sketch => $eye($plain($s), 'D5'), ['D5 of N makes no infrared carrier: timer 0 keeps the program\'s time']];
        yield 'a carrier beside PWM of its timer' => ['timer-taken', static fn (Sketch $s): Sketch => $eye($fan($plain($s), 'D11'), 'D3'), ['D11 of N makes no PWM: timer 2 makes infrared carrier']];
        yield 'a carrier beside PWM of another' => ['timer-taken', static fn (Sketch $s): Sketch => $eye($fan($plain($s), 'D6'), 'D3'), []];
        yield 'a board whose pins have a timer each' => ['timer-taken', static fn (Sketch $s): Sketch => $servo($s->node('n', 'N', NodeKind::Controller, null, 'wifi-3v3-26io')->module('f', 'n', 'transistor-2v5', 'Fan')->output('fo', 'n', 'Air', OutputKind::Pwm, 'f', 'GATE')->wire('f', 'GATE', 'IO25')), []];

        // 30 µs a light with interrupts off: thirty of them swallow a mark and a space of any remote.
        $strip = static fn (Sketch $s, int $lights): Sketch => $s->module('l', 'n', 'strip-pixels', 'Strip')->output('lo', 'n', 'Stairs', OutputKind::Strip, 'l', 'DIN', more: ['settings' => ['pixels' => $lights]])->wire('l', 'DIN', 'D6')->module('ear', 'n', 'infrared-receiver', 'Ear')->wire('ear', 'OUT', 'D2');
        yield 'a strip beside an ear' => ['strip-deafens', static fn (Sketch $s): Sketch => $strip($plain($s), 30), ['Ear of N hears nothing while Strip is written']];
        yield 'four lights beside an ear' => ['strip-deafens', static fn (Sketch $s): Sketch => $strip($plain($s), 4), []];
        yield 'a strip beside an ear on a board that sends by itself' => ['strip-deafens', static fn (Sketch $s): Sketch => $strip($s->node('n', 'N', NodeKind::Controller, null, '32bit-3v3-26io'), 30), []];
        // Three bytes a light: 2 kB hold 682 of them, and a program besides some 400.
        yield 'a strip that fits' => ['strip-too-long', static fn (Sketch $s): Sketch => $strip($plain($s), 409), []];
        yield 'a strip that does not' => ['strip-too-long', static fn (Sketch $s): Sketch => $strip($plain($s), 410), ['410 lights of Stairs do not fit the memory of the 8-bit 5 V board, 20 I/O']];
        $latch = static fn (Sketch $s, string $class, array $hazards): Sketch => $s->module('h', 'n', $class, 'Relay', FedFrom::Board5V)->output('ho', 'n', 'Heat', OutputKind::Relay, 'h', $class === 'relay-latching-1' ? 'SET' : 'IN1', more: ['hazards' => $hazards]);
        yield 'a heater on a relay that latches' => ['hazard-keeps-state', static fn (Sketch $s): Sketch => $latch($plain($s), 'relay-latching-1', ['heat']), ['Heat stays on when its board is dead']];
        yield 'a lamp on a relay that latches' => ['hazard-keeps-state', static fn (Sketch $s): Sketch => $latch($plain($s), 'relay-latching-1', []), []];
        yield 'a heater on a relay that falls back' => ['hazard-keeps-state', static fn (Sketch $s): Sketch => $latch($plain($s), 'relay-bank-1-high', ['heat']), []];

        yield 'a relay on a relay' => ['channel-unfit', static fn (Sketch $s): Sketch => $relays($plain($s))->output('o', 'n', 'Fan', OutputKind::Relay, 'r', 'IN1'), []];
        yield 'a motor on a relay' => ['channel-unfit', static fn (Sketch $s): Sketch => $relays($plain($s))->output('o', 'n', 'Fan', OutputKind::Motor, 'r', 'IN1'), ['Fan of N is a motor, and Relays IN1 carries none']];
        yield 'a stick on a key' => ['channel-unfit', static fn (Sketch $s): Sketch => $keys($plain($s))->control('c', 'n', 'Stick', ControlKind::Axis, 'k', 'K1'), ['Stick of N is an axis, and Keys K1 carries none']];
        yield 'a key on a key' => ['channel-unfit', static fn (Sketch $s): Sketch => $keys($plain($s))->control('c', 'n', 'Press', ControlKind::Button, 'k', 'K1'), []];

        // Serial by software: any plain pin, one listener at a time (common practice).
        $modem = static fn (Sketch $s, string $key = 'm', array $pins = ['D7', 'D8'], bool $soft = true): Sketch => $s->module($key, 'n', 'modem-lte-eu', ucfirst($key), FedFrom::Own)->wire($key, 'RXD', $pins[0], bySoftware: $soft)->wire($key, 'TXD', $pins[1], bySoftware: $soft);
        yield 'a modem on plain pins' => ['pin-incapable', static fn (Sketch $s): Sketch => $modem($plain($s), soft: false), ['D7 of N is no UART TX pin', 'D8 of N is no UART RX pin']];
        yield 'a modem on plain pins by software' => ['pin-incapable', static fn (Sketch $s): Sketch => $modem($plain($s)), []];
        yield 'by software on two plain pins is no split bus' => ['bus-split', static fn (Sketch $s): Sketch => $modem($plain($s)), []];
        yield 'by software on an input alone' => ['pin-incapable', static fn (Sketch $s): Sketch => $modem($s->node('n', 'N', NodeKind::Controller, null, 'wifi-3v3-26io'), pins: ['IO34', 'IO35']), ['IO34 of N is no digital output']];
        yield 'one line by software' => ['software-serial-twice', static fn (Sketch $s): Sketch => $modem($plain($s)), []];
        yield 'two lines by software' => ['software-serial-twice', static fn (Sketch $s): Sketch => $modem($modem($plain($s)), 'k', ['D5', 'D6']), ['N can listen to one of M and K at a time']];
        yield 'a line by software beside an ear' => ['software-disturbs', static fn (Sketch $s): Sketch => $modem($plain($s))->module('ear', 'n', 'keyed-receiver', 'Ear')->wire('ear', 'DATA', 'D2'), ['M by software and Ear of N disturb each other']];
        // A port holds two characters of ten bits: 2,083 µs at 9600 baud, 174 at 115,200; bits by software are missed at once.
        $lit = static fn (Sketch $s, int $lights): Sketch => $s->module('l', 'n', 'strip-pixels', 'Strip')->output('lo', 'n', 'Stairs', OutputKind::Strip, 'l', 'DIN', more: ['settings' => ['pixels' => $lights]])->wire('l', 'DIN', 'D6');
        $port = static fn (Sketch $s, int $lights, int $baud): Sketch => $lit($modem($s->node('n', 'N', NodeKind::Controller, null, '8bit-5v-70io'), pins: ['D18', 'D19'], soft: false), $lights)->link('mobile', 'Mobile', 'cellular')->join('mobile', 'n', Role::Both, 'm', ['baud' => $baud]);
        $deaf = ['M of N hears nothing while Strip is written'];
        yield 'sixty-nine lights beside a port of 9600 baud' => ['strip-deafens', static fn (Sketch $s): Sketch => $port($s, 69, 9_600), []];
        yield 'seventy' => ['strip-deafens', static fn (Sketch $s): Sketch => $port($s, 70, 9_600), $deaf];
        yield 'five lights beside a port of 115,200' => ['strip-deafens', static fn (Sketch $s): Sketch => $port($s, 5, 115_200), []];
        yield 'six' => ['strip-deafens', static fn (Sketch $s): Sketch => $port($s, 6, 115_200), $deaf];
        yield 'four lights beside a line by software' => ['strip-deafens', static fn (Sketch $s): Sketch => $lit($modem($plain($s)), 4), []];
        yield 'five beside it' => ['strip-deafens', static fn (Sketch $s): Sketch => $lit($modem($plain($s)), 5), $deaf];
        yield 'a strip beside a line of no link' => ['strip-deafens', static fn (Sketch $s): Sketch => $lit($modem($s->node('n', 'N', NodeKind::Controller, null, '8bit-5v-70io'), pins: ['D18', 'D19'], soft: false), 300), []];
        yield 'a strip beside what only sends by software' => ['strip-deafens', static fn (Sketch $s): Sketch => $lit($plain($s), 300)->module('e', 'n', 'infrared-emitter', 'Emitter')->wire('e', 'IN', 'D7', bySoftware: true), []];
        yield 'a short strip before a long one' => ['strip-deafens', static fn (Sketch $s): Sketch => $lit($plain($s)->module('short', 'n', 'strip-pixels', 'Short')->output('so', 'n', 'Shelf', OutputKind::Strip, 'short', 'DIN', more: ['settings' => ['pixels' => 4]])->wire('short', 'DIN', 'D5'), 30)->module('ear', 'n', 'infrared-receiver', 'Ear')->wire('ear', 'OUT', 'D2'), ['Ear of N hears nothing while Strip is written']];
        yield 'a line on a port beside an ear' => ['software-disturbs', static fn (Sketch $s): Sketch => $modem($s->node('n', 'N', NodeKind::Controller, null, '8bit-5v-70io'), pins: ['D18', 'D19'], soft: false)->module('ear', 'n', 'keyed-receiver', 'Ear')->wire('ear', 'DATA', 'D2'), []];
        yield 'a carrier by software on any pin' => ['pin-incapable', static fn (Sketch $s): Sketch => $plain($s)->module('e', 'n', 'infrared-emitter', 'Emitter')->wire('e', 'IN', 'D7', bySoftware: true), []];
        yield 'a carrier by software needs no timer' => ['timer-taken', static fn (Sketch $s): Sketch => $plain($s)->module('e', 'n', 'infrared-emitter', 'Emitter')->wire('e', 'IN', 'D5', bySoftware: true), []];

        // At reset and in the boot loader (data sheets of the classes, from memory): the 8-bit board's lamp flashes, the small Wi-Fi board's 16 is high.
        $click = static fn (Sketch $s, string $board, string $class, string $pin): Sketch => $s->node('n', 'N', NodeKind::Controller, null, $board)->module('r', 'n', $class, 'Relay', FedFrom::Own)->output('o', 'n', 'Horn', OutputKind::Relay, 'r', 'IN1')->wire('r', 'IN1', $pin);
        yield 'a relay on the lamp pin' => ['switches-at-start', static fn (Sketch $s): Sketch => $click($s, '8bit-5v-20io', 'relay-bank-1-high', 'D13'), ['Horn of N is worked by D13 while the board waits for a new program, at each start']];
        yield 'one that low switches on there' => ['switches-at-start', static fn (Sketch $s): Sketch => $click($s, '8bit-5v-20io', 'relay-bank-1-low', 'D13'), ['Horn of N is worked by D13 while the board waits for a new program, at each start']];
        yield 'a relay on a quiet pin' => ['switches-at-start', static fn (Sketch $s): Sketch => $click($s, '8bit-5v-20io', 'relay-bank-1-high', 'D7'), []];
        yield 'a relay on a pin that is high' => ['switches-at-start', static fn (Sketch $s): Sketch => $click($s, 'wifi-3v3-11io', 'relay-bank-1-high', 'IO16'), ['Horn of N is worked by IO16 at power-up and reset']];
        yield 'one that low switches on, on a pin that is high' => ['switches-at-start', static fn (Sketch $s): Sketch => $click($s, 'wifi-3v3-11io', 'relay-bank-1-low', 'IO16'), []];
        yield 'behind a transistor' => ['switches-at-start', static fn (Sketch $s): Sketch => $click($s, 'wifi-3v3-11io', 'relay-bank-1-low', 'IO16')->part('r', 'IN1', PartKind::Driver, ['ohms' => 1000]), ['Horn of N is worked by IO16 at power-up and reset']];
        yield 'a weak pull works no coil' => ['switches-at-start', static fn (Sketch $s): Sketch => $click($s, '32bit-3v3-26io', 'relay-bank-1-low', 'GP2'), []];
        yield 'a key on the lamp pin' => ['switches-at-start', static fn (Sketch $s): Sketch => $keys($plain($s))->wire('k', 'K1', 'D13'), []];

        // Expanders: their pins are called by a letter and a number; they are for what can wait for a bus.
        $more = static fn (Sketch $s, FedFrom $fed = FedFrom::Board5V): Sketch => $plain($s)->module('x', 'n', 'expander-i2c-16', 'Expander', $fed);
        yield 'a relay on an expander' => ['pin-incapable', static fn (Sketch $s): Sketch => $relays($more($s))->wire('r', 'IN1', 'X15'), []];
        yield 'a relay beyond an expander' => ['pin-incapable', static fn (Sketch $s): Sketch => $relays($more($s))->wire('r', 'IN1', 'X16'), ['N has no pin X16']];
        yield 'a relay on an expander that is not there' => ['pin-incapable', static fn (Sketch $s): Sketch => $relays($plain($s))->wire('r', 'IN1', 'X0'), ['N has no pin X0']];
        yield 'a key on outputs alone' => ['pin-incapable', static fn (Sketch $s): Sketch => $keys($plain($s))->module('x', 'n', 'shift-register-8', 'Register', FedFrom::Board5V)->wire('k', 'K1', 'X0'), ['X0 of N is no digital input']];
        yield 'a relay can wait' => ['pin-too-slow', static fn (Sketch $s): Sketch => $relays($more($s))->wire('r', 'IN1', 'X3'), []];
        yield 'what a radio is selected by cannot' => ['pin-too-slow', static fn (Sketch $s): Sketch => $more($s)->module('y', 'n', 'packet-radio-plain', 'Other')->wire('y', 'CSN', 'X3'), ['X3 of Expander is too slow for Other CSN']];
        yield 'a servo cannot' => ['pin-too-slow', static fn (Sketch $s): Sketch => $servo($more($s))->wire('s', 'SIG', 'X3'), ['X3 of Expander is too slow for Servo SIG']];
        yield 'one expander' => ['expander-pins-shared', $more, []];
        yield 'two of one letter' => ['expander-pins-shared', static fn (Sketch $s): Sketch => $more($s)->module('y', 'n', 'shift-register-8', 'Register'), ['X0 is a pin of Expander and of Register']];
        yield 'two of two letters' => ['expander-pins-shared', static fn (Sketch $s): Sketch => $more($s)->module('y', 'n', 'shift-register-8', 'Register', more: ['prefix' => 'Y']), []];
        yield 'one called as the board' => ['expander-pins-shared', static fn (Sketch $s): Sketch => $plain($s)->module('y', 'n', 'shift-register-8', 'Register', more: ['prefix' => 'D']), ['D0 is a pin of N and of Register']];
        yield 'an expander fed as its board' => ['expander-fed-otherwise', $more, []];
        yield 'an expander fed otherwise' => ['expander-fed-otherwise', static fn (Sketch $s): Sketch => $more($s, FedFrom::Board3V3), ['The pins of Expander give 3.3 V, those of its board 5']];
        yield 'a heater on an expander' => ['hazard-keeps-state', static fn (Sketch $s): Sketch => $relays($more($s))->output('h', 'n', 'Heat', OutputKind::Relay, 'r', 'IN1', more: ['hazards' => ['heat']])->wire('r', 'IN1', 'X0'), ['Heat stays as it is when its board starts anew']];

        // E5: a serial port joins two ends, whatever may hang on an SPI bus.
        yield 'two modems on one port' => [
            'pin-used-twice',
            static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Controller, null, '8bit-5v-70io')->module('a', 'n', 'modem-lte-eu', 'A', FedFrom::Own)->module('b', 'n', 'modem-lte-eu', 'B', FedFrom::Own)->wire('a', 'RXD', 'D18')->wire('b', 'RXD', 'D18'),
            ['D18 of N is used twice'],
        ];
        $big = static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Controller, null, 'wifi-3v3-26io')->module('x', 'n', 'packet-radio-plain', 'Radio', FedFrom::Board3V3);
        // A file may call anything made by software; only serial lines and carriers are.
        yield 'a bus line cannot be made by software' => ['bus-split', static fn (Sketch $s): Sketch => $big($s)->wire('x', 'SCK', 'IO18', bySoftware: true)->wire('x', 'MOSI', 'IO13', bySoftware: true)->wire('x', 'MISO', 'IO12', bySoftware: true), ['The lines of Radio of N are on different buses']];
        yield 'nor can a dimmer' => ['timer-taken', static fn (Sketch $s): Sketch => $servo($plain($s)->module('f', 'n', 'transistor-4v5', 'Fan')->output('fo', 'n', 'Air', OutputKind::Pwm, 'f', 'GATE')->wire('f', 'GATE', 'D9', bySoftware: true)), ['D9 of N makes no PWM: timer 1 makes servo pulses']];
        yield 'one bus' => ['bus-split', static fn (Sketch $s): Sketch => $big($s)->wire('x', 'SCK', 'IO18')->wire('x', 'MOSI', 'IO23')->wire('x', 'MISO', 'IO19'), []];
        yield 'the clock of one, the data of another' => ['bus-split', static fn (Sketch $s): Sketch => $big($s)->wire('x', 'SCK', 'IO18')->wire('x', 'MOSI', 'IO13')->wire('x', 'MISO', 'IO12'), ['The lines of Radio of N are on different buses']];
        yield 'the port of one, the port of another' => [
            'bus-split',
            static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Controller, null, '8bit-5v-70io')->module('a', 'n', 'modem-lte-eu', 'A', FedFrom::Own)->wire('a', 'RXD', 'D18')->wire('a', 'TXD', 'D17'),
            ['The lines of A of N are on different buses'],
        ];
        yield 'what says on a pin that says' => [
            'pin-incapable',
            static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Controller, null, '8bit-5v-70io')->module('a', 'n', 'modem-lte-eu', 'A', FedFrom::Own)->wire('a', 'TXD', 'D18'),
            ['D18 of N is no UART RX pin'],
        ];
        $switch = static fn (Sketch $s, string $pin, ControlKind $kind): Sketch => $keys($small($s))->control('c', 'n', 'Lever', $kind, 'k', 'K1')->wire('k', 'K1', $pin);
        yield 'a switch on a plain pin' => ['switch-on-strap', static fn (Sketch $s): Sketch => $switch($s, 'IO4', ControlKind::Switch), []];
        yield 'a switch on a boot pin' => ['switch-on-strap', static fn (Sketch $s): Sketch => $switch($s, 'IO0', ControlKind::Switch), ['Lever of N decides at IO0 whether the board starts']];
        yield 'a button on a boot pin' => ['switch-on-strap', static fn (Sketch $s): Sketch => $switch($s, 'IO0', ControlKind::Button), []];
        // E9: "taken" was said where no pin has that ability.
        $stick = static fn (Sketch $s, string $board): Sketch => $s->node('n', 'N', NodeKind::Controller, null, $board)->module('j', 'n', 'joystick', 'Stick', FedFrom::Board3V3)->control('a', 'n', 'Sideways', ControlKind::Axis, 'j', 'X');
        yield 'a stick on a board with a converter' => ['ability-missing', static fn (Sketch $s): Sketch => $stick($s, '32bit-3v3-26io'), []];
        yield 'a stick on a board without' => ['ability-missing', static fn (Sketch $s): Sketch => $stick($s, 'computer-40pin'), ['N has no analogue input for Stick X']];
        yield 'which is no matter of room' => ['no-pin-left', static fn (Sketch $s): Sketch => $stick($s, 'computer-40pin'), []];

        // The common humidity sensor measures every two seconds, the one-wire thermometer takes 750 ms (data sheets, from memory).
        $read = static fn (Sketch $s, string $class, int $every): Sketch => $plain($s)->module('t', 'n', $class, 'Sensor', FedFrom::Board5V)->control('r', 'n', 'Air', ControlKind::Reading, 't', 'DATA', ['intervalS' => $every]);
        yield 'read every two seconds' => ['read-too-often', static fn (Sketch $s): Sketch => $read($s, 'sensor-climate', 2), []];
        yield 'read every second' => ['read-too-often', static fn (Sketch $s): Sketch => $read($s, 'sensor-climate', 1), ['Air is read every 1 s, and its sensor measures every 2']];
        $slow = static fn (Sketch $s, float $leastS, int $every): Sketch => $read($s->describe(ThingKind::OwnModule, 'own', 'Own', 'sensor-climate', ['figures' => ['leastIntervalS' => $leastS]]), $s->classOf('own'), $every);
        yield 'a sensor of 2.5 s read every three' => ['read-too-often', static fn (Sketch $s): Sketch => $slow($s, 2.5, 3), []];
        yield 'read every two' => ['read-too-often', static fn (Sketch $s): Sketch => $slow($s, 2.5, 2), ['Air is read every 2 s, and its sensor measures every 2.5']];
        yield 'another read every second' => ['read-too-often', static fn (Sketch $s): Sketch => $read($s, 'sensor-temperature', 1), []];

        $bus = static fn (Sketch $s, string $board, string ...$classes): Sketch => array_reduce(array_keys($classes), static fn (Sketch $s, int|string $n): Sketch => $s->module("i{$n}", 'n', $classes[$n], "M{$n}", $board === '8bit-5v-20io' ? FedFrom::Board5V : FedFrom::Board3V3)->wire("i{$n}", 'SDA', $board === '8bit-5v-20io' ? 'A4' : 'GPIO2'), $s->node('n', 'N', NodeKind::Controller, null, $board));
        yield 'two addresses' => ['i2c-address-shared', static fn (Sketch $s): Sketch => $bus($s, '8bit-5v-20io', 'display-i2c', 'clock-i2c'), []];
        yield 'one address' => ['i2c-address-shared', static fn (Sketch $s): Sketch => $bus($s, '8bit-5v-20io', 'display-i2c', 'display-i2c'), ['M0 and M1 of N have one address on one bus']];
        // (5 − 0.4) V / 3 mA = 1533 Ω; three of 4.7 kΩ are 1567, four 1175. (3.3 − 0.4) / 3 mA = 967; a 40-pin computer brings 1.8 kΩ of its own.
        yield 'three on five volts' => ['i2c-pulled-hard', static fn (Sketch $s): Sketch => $bus($s, '8bit-5v-20io', 'display-i2c', 'clock-i2c', 'clock-i2c'), []];
        yield 'four on five volts' => ['i2c-pulled-hard', static fn (Sketch $s): Sketch => $bus($s, '8bit-5v-20io', 'display-i2c', 'clock-i2c', 'clock-i2c', 'clock-i2c'), ['The pull-ups of A4 of N are 1.18 kΩ together']];
        yield 'two on a computer' => ['i2c-pulled-hard', static fn (Sketch $s): Sketch => $bus($s, 'computer-40pin', 'display-i2c', 'clock-i2c'), []];
        yield 'three on a computer' => ['i2c-pulled-hard', static fn (Sketch $s): Sketch => $bus($s, 'computer-40pin', 'display-i2c', 'clock-i2c', 'clock-i2c'), ['The pull-ups of GPIO2 of N are 838 Ω together']];

        yield 'a stick on an analogue pin' => [
            'pin-incapable',
            static fn (Sketch $s): Sketch => $plain($s)
                ->module('j', 'n', 'joystick', 'Stick')
                ->wire('j', 'X', 'A0'),
            [],
        ];
        yield 'a stick on a digital pin' => [
            'pin-incapable',
            static fn (Sketch $s): Sketch => $plain($s)
                ->module('j', 'n', 'joystick', 'Stick')
                ->wire('j', 'X', 'D4'),
            ['D4 of N is no analogue input'],
        ];
        yield 'a pin that does not exist' => [
            'pin-incapable',
            static fn (Sketch $s): Sketch => $keys($plain($s))->wire('k', 'K1', 'D99'),
            ['N has no pin D99'],
        ];
        yield 'a relay on an input-only pin' => [
            'pin-incapable',
            static fn (Sketch $s): Sketch => $relays($s->node('n', 'N', NodeKind::Controller, null, 'wifi-3v3-26io'))->wire('r', 'IN1', 'IO34'),
            ['IO34 of N is no digital output'],
        ];
        yield 'a bus line on the wrong bus pin' => [
            'pin-incapable',
            static fn (Sketch $s): Sketch => $radio($plain($s))->wire('x', 'SCK', 'D12'),
            ['D12 of N is no SPI SCK pin'],
        ];

        yield 'a pull that suits the strap' => [
            'strap-pin-pulled',
            static fn (Sketch $s): Sketch => $relays($small($s), 'low')->wire('r', 'IN1', 'IO0'),
            [],
        ];
        yield 'a pull against the strap' => [
            'strap-pin-pulled',
            static fn (Sketch $s): Sketch => $relays($small($s), 'high')->wire('r', 'IN1', 'IO0'),
            ['Relays pulls boot pin IO0 low'],
        ];
        yield 'a pull against the other strap' => [
            'strap-pin-pulled',
            static fn (Sketch $s): Sketch => $relays($small($s), 'low')->wire('r', 'IN1', 'IO15'),
            ['Relays pulls boot pin IO15 high'],
        ];

        $slots = static fn (string $hears, string $sends): Closure => static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Controller, null, 'wifi-3v3-26io')
            ->module('i', 'n', 'dmx-receiver-3v3', 'In', FedFrom::Board3V3)->wire('i', 'RO', $hears)->module('o', 'n', 'dmx-driver-3v3', 'Out', FedFrom::Board3V3)->wire('o', 'DI', $sends);
        yield 'a port each' => ['port-shared', $slots('IO16', 'IO1'), []];
        yield 'one port for two' => ['port-shared', $slots('IO16', 'IO17'), ['In and Out share a serial port of N']];
        yield 'both lines of one module' => ['port-shared', static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Controller, null, 'wifi-3v3-26io')->module('m', 'n', 'modem-2g', 'Modem', FedFrom::Own)->wire('m', 'RXD', 'IO17')->wire('m', 'TXD', 'IO16'), []];

        // What somebody put there holds the pin, whatever the module does by itself.
        yield 'a resistor against the strap' => [
            'strap-pin-pulled',
            static fn (Sketch $s): Sketch => $relays($small($s), 'low')->wire('r', 'IN1', 'IO0')->part('r', 'IN1', PartKind::PullDown, ['ohms' => 10_000.0]),
            ['Relays pulls boot pin IO0 low'],
        ];
        yield 'a resistor with the strap' => [
            'strap-pin-pulled',
            static fn (Sketch $s): Sketch => $small($s)->module('d', 'n', 'buzzer-driven', 'Buzzer', FedFrom::Board3V3)->wire('d', 'SIG', 'IO0')->part('d', 'SIG', PartKind::PullUp, ['ohms' => 10_000.0]),
            [],
        ];
        yield 'a resistor with the strap, which has to go' => [
            'strap-pin-pulled',
            static fn (Sketch $s): Sketch => $relays($small($s), 'high')->wire('r', 'IN1', 'IO0')->part('r', 'IN1', PartKind::PullUp, ['ohms' => 10_000.0]),
            ['Relays pulls boot pin IO0 low'],
        ];
        yield 'the base of a transistor at the strap' => [
            'strap-pin-pulled',
            static fn (Sketch $s): Sketch => $relays($small($s), 'low')->wire('r', 'IN1', 'IO0')->part('r', 'IN1', PartKind::Driver, ['ohms' => 4_700.0]),
            ['Relays pulls boot pin IO0 low'],
        ];

        // A strip of 5 V wants 3.5 V for a high: a shifter from 3.3 V, whose own resistors hold both its sides high.
        $strip = static fn (string $pin, FedFrom $fed = FedFrom::Board5V): Closure => static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Controller, null, 'wifi-3v3-26io')->module('p', 'n', 'strip-pixels', 'Strip', $fed)->wire('p', 'DIN', $pin)->output('o', 'n', 'Light', OutputKind::Strip, 'p', 'DIN');
        yield 'what will want a shifter, on a pin that must be low' => ['strap-pin-pulled', $strip('IO12'), ['Strip pulls boot pin IO12 high']];
        yield 'on one that must be high' => ['strap-pin-pulled', $strip('IO15'), []];
        yield 'on one that may be either' => ['strap-pin-pulled', $strip('IO25'), []];
        yield 'the shifter is there' => ['strap-pin-pulled', static fn (Sketch $s): Sketch => $strip('IO2')($s)->part('p', 'DIN', PartKind::Shifter), ['Strip pulls boot pin IO2 high']];
        // What a receiver of 5 V hears goes through a divider, whose lower resistor holds the pin while the receiver is not awake yet.
        $line = static fn (string $hears): Closure => static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Controller, null, 'wifi-3v3-26io')->module('m', 'n', 'keyed-receiver', 'Line', FedFrom::Board5V)->wire('m', 'DATA', $hears);
        yield 'what will want a divider, on a pin that must be high' => ['strap-pin-pulled', $line('IO5'), ['Line pulls boot pin IO5 low']];
        yield 'that on one that must be low' => ['strap-pin-pulled', $line('IO2'), []];
        yield 'the divider is there' => ['strap-pin-pulled', static fn (Sketch $s): Sketch => $line('IO5')($s)->part('m', 'DATA', PartKind::Divider, ['ohms' => 1_000.0, 'lowerOhms' => 2_000.0]), ['Line pulls boot pin IO5 low']];
        yield 'one of 3.3 V wants none' => ['strap-pin-pulled', static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Controller, null, 'wifi-3v3-26io')->module('m', 'n', 'keyed-receiver', 'Line', FedFrom::Board3V3)->wire('m', 'DATA', 'IO5'), []];
        // What holds its own line says so through a divider as well.
        yield 'an output that is low by itself' => ['strap-pin-pulled', static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Controller, null, 'wifi-3v3-26io')->module('m', 'n', 'infrared-receiver', 'Eye', FedFrom::Board5V)->wire('m', 'OUT', 'IO5'), []];

        yield 'a key on the select pin, no bus' => [
            'select-pin-as-input',
            static fn (Sketch $s): Sketch => $keys($plain($s))->wire('k', 'K1', 'D10'),
            [],
        ];
        yield 'a key on the select pin of a used bus' => [
            'select-pin-as-input',
            static fn (Sketch $s): Sketch => $keys($radio($plain($s)))
                ->wire('x', 'SCK', 'D13')
                ->wire('k', 'K1', 'D10'),
            ['D10 of N must stay an output'],
        ];
        yield 'a relay on the select pin of a used bus' => [
            'select-pin-as-input',
            static fn (Sketch $s): Sketch => $relays($radio($plain($s)))
                ->wire('x', 'SCK', 'D13')
                ->wire('r', 'IN1', 'D10'),
            [],
        ];

        yield 'a relay off the console' => [
            'console-pin-taken',
            static fn (Sketch $s): Sketch => $relays($plain($s))->wire('r', 'IN1', 'D2'),
            [],
        ];
        yield 'a relay on the console' => [
            'console-pin-taken',
            static fn (Sketch $s): Sketch => $relays($plain($s))->wire('r', 'IN1', 'D1'),
            ['Relays sits on the console of N'],
        ];

        yield 'a radio with a free bus' => ['bus-pins-missing', static fn (Sketch $s): Sketch => $radio($plain($s)), []];
        yield 'a radio whose bus pin is fixed elsewhere' => [
            'bus-pins-missing',
            static fn (Sketch $s): Sketch => $radio($relays($plain($s)))->wire('r', 'IN1', 'D13', true),
            ['Radio of N cannot have its bus'],
        ];
        yield 'a bus pin that can be freed' => [
            'bus-pins-missing',
            static fn (Sketch $s): Sketch => $radio($relays($plain($s)))->wire('r', 'IN1', 'D13'),
            [],
        ];

        yield 'eight relays on eleven pins' => [
            'no-pin-left',
            static fn (Sketch $s): Sketch => self::relays($small($s), 8, 'low'),
            [],
        ];
        yield 'twelve relays on eleven pins' => [
            'no-pin-left',
            static fn (Sketch $s): Sketch => self::relays($small($s), 12, 'low'),
            ['2 things on N have no pin left'],
        ];

        yield 'a plain radio on a 50 mA pin' => ['weak-rail', static fn (Sketch $s): Sketch => $radio($plain($s)), []];
        yield 'an amplified radio on a 50 mA pin' => [
            'weak-rail',
            static fn (Sketch $s): Sketch => $plain($s)->module('x', 'n', 'packet-radio-amplified', 'Radio', FedFrom::Board3V3),
            ['Radio asks more of the 3.3 V pin than it gives'],
        ];
        yield 'an amplified radio on a 300 mA pin' => [
            'weak-rail',
            static fn (Sketch $s): Sketch => $s
                ->node('n', 'N', NodeKind::Controller, null, '32bit-3v3-26io')
                ->module('x', 'n', 'packet-radio-amplified', 'Radio', FedFrom::Board3V3),
            [],
        ];
        yield 'an amplified radio on its adapter' => [
            'weak-rail',
            static fn (Sketch $s): Sketch => $plain($s)->module('x', 'n', 'packet-radio-amplified', 'Radio', FedFrom::Adapter),
            [],
        ];
        yield 'eight coils on the 5 V pin' => [
            'weak-rail',
            static fn (Sketch $s): Sketch => $plain($s)->module('r', 'n', 'relay-bank-8-low', 'Relays', FedFrom::Board5V),
            ['Relays asks more of the 5 V pin than it gives'],
        ];

        yield 'everything wired' => ['pins-unassigned', static fn (Sketch $s): Sketch => $keys($plain($s)), []];
        yield 'a key without a pin' => [
            'pins-unassigned',
            static fn (Sketch $s): Sketch => $keys($plain($s))->control('c', 'n', 'C', ControlKind::Button, 'k', 'K1'),
            ['One terminal of N has no pin yet'],
        ];

        yield 'an output on a channel' => [
            'channel-missing',
            static fn (Sketch $s): Sketch => $relays($plain($s))->output('o', 'n', 'Lamp', OutputKind::Relay, 'r', 'IN1'),
            [],
        ];
        yield 'an output on none' => [
            'channel-missing',
            static fn (Sketch $s): Sketch => $relays($plain($s))->output('o', 'n', 'Lamp'),
            ['Lamp of N is on no channel yet'],
        ];
        yield 'an output on a channel that is not there' => [
            'channel-missing',
            static fn (Sketch $s): Sketch => $relays($plain($s))->output('o', 'n', 'Lamp', OutputKind::Relay, 'r', 'IN9'),
            ['Lamp of N is on no channel yet'],
        ];

        yield 'two outputs on two channels' => [
            'channel-shared',
            static fn (Sketch $s): Sketch => $relays($plain($s))
                ->output('o', 'n', 'A', OutputKind::Relay, 'r', 'IN1')
                ->output('p', 'n', 'B', OutputKind::Relay, 'r', 'IN2'),
            [],
        ];
        yield 'a relay on two pins' => [
            'terminal-wired-twice',
            static fn (Sketch $s): Sketch => $relays($plain($s))->wire('r', 'IN1', 'D4')->wireAgain('r', 'IN1', 'D5'),
            ['IN1 of Relays is wired twice'],
        ];
        yield 'two relays on a pin each' => [
            'terminal-wired-twice',
            static fn (Sketch $s): Sketch => $relays($plain($s))->wire('r', 'IN1', 'D4')->wire('r', 'IN2', 'D5'),
            [],
        ];
        yield 'a relay twice on one pin, which is one wire' => [
            'pin-used-twice',
            static fn (Sketch $s): Sketch => $relays($plain($s))->wire('r', 'IN1', 'D4')->wireAgain('r', 'IN1', 'D4'),
            [],
        ];
        yield 'two outputs on one channel' => [
            'channel-shared',
            static fn (Sketch $s): Sketch => $relays($plain($s))
                ->output('o', 'n', 'A', OutputKind::Relay, 'r', 'IN1')
                ->output('p', 'n', 'B', OutputKind::Relay, 'r', 'IN1'),
            ['A and B are both on Relays IN1'],
        ];
        yield 'a message that once was a relay' => [
            'channel-shared',
            static fn (Sketch $s): Sketch => $relays($plain($s))
                ->output('o', 'n', 'A', OutputKind::Message, 'r', 'IN1')
                ->output('p', 'n', 'B', OutputKind::Relay, 'r', 'IN1'),
            [],
        ];
    }

    private static function relays(Sketch $sketch, int $count, string $kind): Sketch
    {
        for ($channel = 1; $channel <= $count; $channel++) {
            $sketch->module("r{$channel}", 'n', "relay-bank-1-{$kind}", "Relay {$channel}", FedFrom::Own)
                ->output("o{$channel}", 'n', "Lamp {$channel}", OutputKind::Relay, "r{$channel}", 'IN1');
        }

        return $sketch;
    }

    /**
     * @param  Closure(Sketch): Sketch  $plan
     * @param  list<string>  $titles
     */
    #[DataProvider('cases')]
    public function test_the_rule_says(string $rule, Closure $plan, array $titles): void
    {
        self::assertSame($titles, array_map(static fn (Finding $finding): string => $finding->title, self::found($plan(self::sketch())->plan(), $rule)));
    }

    public function test_what_makes_room_is_named_for_what_can_wait_for_a_bus(): void
    {
        $remedies = static function (int $count, string $class, OutputKind $kind, string $terminal, string $board = '8bit-5v-20io'): array {
            $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, $board);
            for ($number = 0; $number < $count; $number++) {
                $sketch->module("m{$number}", 'n', $class, "M{$number}")->output("o{$number}", 'n', "O{$number}", $kind, "m{$number}", $terminal);
            }

            return array_map(static fn (Finding $finding): string => $finding->remedy, self::found($sketch->plan(), 'no-pin-left'));
        };
        $register = 'put the relay channels behind a shift register: three pins drive any number (hold its output-enable until the first write)';
        $expander = 'add an I²C expander: two pins become sixteen';
        self::assertSame([], $remedies(20, 'relay-bank-1-high', OutputKind::Relay, 'IN1'));
        [$relays] = $remedies(21, 'relay-bank-1-high', OutputKind::Relay, 'IN1');
        self::assertStringContainsString("Drop M0 IN1, or {$register}, or {$expander}, or build it on the ", $relays);
        // Six pins make PWM, and no expander does.
        [$dimmers] = $remedies(7, 'transistor-4v5', OutputKind::Pwm, 'GATE');
        self::assertStringNotContainsString('expander', $dimmers);
        self::assertStringNotContainsString('register', $dimmers);
        self::assertStringContainsString('build it on the ', $dimmers);
        // A tone is timed by its program's own clock.
        [$tones] = $remedies(21, 'buzzer', OutputKind::Tone, 'SIG');
        self::assertStringNotContainsString('expander', $tones);
    }

    public function test_a_sensor_is_offered_the_next_whole_second(): void
    {
        foreach (['2.5' => 'Read it every 3 s', '2.1' => 'Read it every 3 s', '2' => 'Read it every 2 s'] as $leastS => $label) {
            $sketch = self::sketch()->describe(ThingKind::OwnModule, 'own', 'Own', 'sensor-climate', ['figures' => ['leastIntervalS' => (float) $leastS]])->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io');
            $sketch->module('t', 'n', $sketch->classOf('own'), 'Sensor', FedFrom::Board5V)->control('r', 'n', 'Air', ControlKind::Reading, 't', 'DATA', ['intervalS' => 1]);
            self::assertSame([$label], array_map(static fn (Finding $finding): ?string => $finding->fix?->label, self::found($sketch->plan(), 'read-too-often')));
        }
    }

    public function test_of_two_pins_of_a_terminal_the_pinned_one_stays(): void
    {
        foreach ([['D4', 'D5'], ['D5', 'D4'], ['D6', 'D7'], ['D8', 'D2']] as [$pinned, $other]) {
            $plan = self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->module('r', 'n', 'relay-bank-2-low', 'Relays', FedFrom::Own)
                ->wire('r', 'IN1', $pinned, true)->wireAgain('r', 'IN1', $other)->plan();
            self::assertSame("Forget {$other}", self::found($plan, 'terminal-wired-twice')[0]->fix?->label);
        }
    }

    public function test_a_wire_stays_on_its_pin_when_its_expander_is_called_otherwise(): void
    {
        $plan = self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')
            ->module('s', 'n', 'shift-register-8', 'Register')->module('x', 'n', 'expander-i2c-16', 'Expander')->module('k', 'n', 'button-pad-2', 'Keys')
            ->control('a', 'n', 'A', ControlKind::Button, 'k', 'K1')->control('b', 'n', 'B', ControlKind::Button, 'k', 'K2')
            ->wire('k', 'K1', 'X9')->wire('k', 'K2', 'X1')->plan();
        // Of two with one name the first counts, in the order of the plan: X1 is the register's, X9 the expander's alone.
        self::assertSame(['X1 of N is no digital input'], array_map(static fn (Finding $one): string => $one->title, self::found($plan, 'pin-incapable')));
        $fix = self::found($plan, 'expander-pins-shared')[0]->fix;
        self::assertNotNull($fix);
        $after = (new Editor(self::knowledge()))->apply($plan, $fix->operations)->plan;
        self::assertEquals(['K1' => 'Y9', 'K2' => 'X1'], array_column($after->pinUsesOf($after->modulesOf($after->nodes()[0])[2]), 'pin', 'terminal'));
        self::assertSame([], self::found($after, 'expander-pins-shared'));
        self::assertCount(1, self::found($after, 'pin-incapable'));
    }
}
