<?php

declare(strict_types=1);

namespace Tests\Core\Power;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Check\Finding;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Demo\Sketch;
use Rundfunk\Edit\Editor;
use Rundfunk\Plan\FeedsAt;
use Rundfunk\Plan\LoadKind;
use Rundfunk\Plan\LoadUse;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Tests\Core\CoreTestCase;

/** A row a case: what feeds what, and what each rule about supplies must say of it. Figures: the catalogue's, from data sheets of the classes (from memory). */
final class SupplyRulesTest extends CoreTestCase
{
    /** @return iterable<string, array{string, Closure(Sketch): Sketch, list<string>}> rule, plan, titles */
    public static function cases(): iterable
    {
        $on = static fn (Sketch $s, string $board = '8bit-5v-20io'): Sketch => $s->node('n', 'N', NodeKind::Controller, null, $board);
        $with = static fn (string $class, FedFrom|string|null $supply, string $board = '8bit-5v-20io'): Closure => static fn (Sketch $s): Sketch => $on($s, $board)->module('m', 'n', $class, 'Part', $supply);
        $fed = static fn (string $class, array $more, string $module = 'relay-bank-1-low', string $board = '8bit-5v-20io'): Closure => static fn (Sketch $s): Sketch => $on($s, $board)->supply('s', 'n', $class, 'Feed', more: $more)->module('m', 'n', $module, 'Part', 's');

        // E1: a 1.9 to 3.6 V radio, a 5 V coil, a 3.4 to 4.4 V modem.
        yield 'a radio on 3.3 V' => ['supply-too-high', $with('packet-radio-plain', FedFrom::Board3V3), []];
        yield 'a radio on 5 V' => ['supply-too-high', $with('packet-radio-plain', FedFrom::Board5V), ['Part gets 5 V from 5V pin and stands 3.6']];
        yield 'a radio on an adapter' => ['supply-too-high', $with('packet-radio-amplified', FedFrom::Adapter), []];
        yield 'a radio on a lithium cell' => ['supply-too-high', $fed('li-ion-cell', [], 'packet-radio-plain'), ['Part gets 3 to 4.2 V from Feed and stands 3.6']];
        foreach (['3' => [], '3.9' => [], '4.6' => ['Part gets 4.6 V from Feed and stands 4.4'], '5' => ['Part gets 5 V from Feed and stands 4.4'], '6' => ['Part gets 6 V from Feed and stands 4.4']] as $volts => $titles) {
            yield "a modem at {$volts} V, too much?" => ['supply-too-high', $fed('bench', ['volts' => (float) $volts], 'modem-2g'), $titles];
        }
        foreach (['3' => ['Part gets 3 V from Feed and needs 3.4'], '3.9' => [], '6' => []] as $volts => $titles) {
            yield "a modem at {$volts} V, too little?" => ['supply-too-low', $fed('bench', ['volts' => (float) $volts], 'modem-2g'), $titles];
        }
        yield 'a coil on 5 V' => ['supply-too-low', $with('relay-bank-1-low', FedFrom::Board5V), []];
        yield 'a coil on 3.3 V' => ['supply-too-low', $with('relay-bank-1-low', FedFrom::Board3V3), ['Part gets 3.3 V from 3V3 pin and needs 4.75']];
        yield 'a modem on the 3.3 V adapter' => ['supply-too-low', $with('modem-2g', FedFrom::Adapter), ['Part gets 3.3 V from Adapter and needs 3.4']];
        yield 'a coil at the end of a long cable' => ['supply-too-low', $fed('plug-5v-1a', ['cableM' => 30, 'cableMm2' => 0.25]), ['Part gets 4.42 V at the least from Feed and needs 4.75']];

        yield 'a part that is fed' => ['supply-missing', $with('packet-radio-plain', FedFrom::Board3V3), []];
        yield 'a part that is not' => ['supply-missing', $with('packet-radio-plain', null), ['Nothing feeds Part of N']];
        yield 'a part that needs none' => ['supply-missing', $with('button-pad-2', null), []];

        yield 'a supply that says its voltage' => ['supply-unknown', $with('relay-bank-1-low', FedFrom::Own), []];
        yield 'a supply that does not' => ['supply-unknown', $fed('other', []), ['The plan does not say what Feed gives']];
        yield 'a plug, whose class says it' => ['supply-unknown', $fed('plug-5v-1a', []), []];

        // E3: seven times 125 mA on 800; four of them through an adapter on a 450 mA pin.
        $loud = static fn (int $count, FedFrom|string $supply): Closure => static fn (Sketch $s): Sketch => array_reduce(range(1, $count), static fn (Sketch $s, int $n): Sketch => $s->module("m{$n}", 'n', 'packet-radio-amplified', "Radio {$n}", $supply), $on($s)->supply('plug', 'n', 'plug-5v-3a', 'Plug', null, FeedsAt::FiveVolt));
        yield 'six loud radios on an adapter' => ['weak-rail', $loud(6, FedFrom::Adapter), []];
        yield 'seven loud radios on an adapter' => ['weak-rail', $loud(7, FedFrom::Adapter), ['More is asked of Adapter than it gives']];
        yield 'four loud radios through an adapter on the pin of a board that USB feeds' => [
            'weak-rail',
            static fn (Sketch $s): Sketch => array_reduce(range(1, 4), static fn (Sketch $s, int $n): Sketch => $s->module("m{$n}", 'n', 'packet-radio-amplified', "Radio {$n}", FedFrom::Adapter), $on($s)),
            ['Adapter asks more of the 5 V pin than it gives'],
        ];
        yield 'what a board takes itself counts on what feeds it' => [
            'weak-rail',
            static fn (Sketch $s): Sketch => $on($s, 'wifi-3v3-26io')->supply('usb', 'n', 'usb-port', 'Port', null, FeedsAt::Usb)->module('m', 'n', 'packet-radio-plain', 'Radio', FedFrom::Board3V3),
            ['More is asked of Port than it gives'],
        ];
        yield 'four coils and a loud radio by its adapter' => [
            'weak-rail',
            static fn (Sketch $s): Sketch => $on($s)->module('r', 'n', 'relay-bank-4-low', 'Relays', FedFrom::Board5V)->module('o', 'n', 'relay-bank-1-low', 'Relay', FedFrom::Board5V)->module('m', 'n', 'packet-radio-amplified', 'Radio', FedFrom::Adapter),
            ['Relays asks more of the 5 V pin than it gives'],
        ];
        yield 'what a supply on another node feeds' => [
            'weak-rail',
            static fn (Sketch $s): Sketch => $on($s)->supply('plug', 'n', 'plug-5v-1a', 'Plug')->module('a', 'n', 'relay-bank-8-low', 'Eight', 'plug')
                ->node('far', 'Far', NodeKind::Controller, null, '8bit-5v-20io')->supply('line', 'far', 'line', 'Line', 'plug')->module('b', 'far', 'relay-bank-8-high', 'Eight more', 'line'),
            ['More is asked of Plug than it gives'],
        ];
        yield 'a buck takes less at more volts' => [
            'weak-rail',
            // 640 mA at 5 V are 303 mA at 12 V and 88 per cent.
            static fn (Sketch $s): Sketch => $on($s)->supply('plug', 'n', 'plug-12v-2a', 'Plug', more: ['limitMa' => 310])->supply('buck', 'n', 'buck', 'Buck', 'plug')->module('a', 'n', 'relay-bank-8-low', 'Eight', 'buck'),
            [],
        ];
        yield 'and not nothing' => [
            'weak-rail',
            static fn (Sketch $s): Sketch => $on($s)->supply('plug', 'n', 'plug-12v-2a', 'Plug', more: ['limitMa' => 300])->supply('buck', 'n', 'buck', 'Buck', 'plug')->module('a', 'n', 'relay-bank-8-low', 'Eight', 'buck'),
            ['More is asked of Plug than it gives'],
        ];

        $regulated = static fn (string $class, string $parent, array $more = [], string $module = 'packet-radio-plain', int $count = 1): Closure => static fn (Sketch $s): Sketch => array_reduce(range(1, $count), static fn (Sketch $s, int $n): Sketch => $s->module("m{$n}", 'n', $module, "Part {$n}", 'r'), $on($s)->supply('p', 'n', $parent, 'Parent', more: $more)->supply('r', 'n', $class, 'Regulator', 'p'));
        // Drop-out 1.1 to 1.3 V for the common adapter, 0.2 to 0.3 for low-drop ones: a lithium cell cannot feed the adapter.
        yield 'an adapter on five volts' => ['regulator-drops-out', $regulated('regulator-adapter', 'plug-5v-1a'), []];
        yield 'an adapter on a lithium cell' => ['regulator-drops-out', $regulated('regulator-adapter', 'li-ion-cell'), ['Regulator gets 3 to 4.2 V from Parent and needs 4.5 V']];
        yield 'a low-drop one on four cells' => ['regulator-drops-out', $regulated('low-drop-3v3', 'alkaline-4'), []];
        yield 'a boost regulator on a cell' => ['regulator-drops-out', $regulated('boost-5v', 'li-ion-cell', [], 'relay-bank-1-low'), []];
        yield 'five from seven' => ['regulator-drops-out', $regulated('linear-5v', 'bench', ['volts' => 7.2], 'relay-bank-1-low'), []];
        yield 'five from six' => ['regulator-drops-out', $regulated('linear-5v', 'bench', ['volts' => 6.0], 'relay-bank-1-low'), ['Regulator gets 6 V from Parent and needs 7 V']];
        yield 'an adapter on twelve volts and a little' => ['regulator-overfed', $regulated('regulator-adapter', 'plug-12v-2a'), ['Regulator gets 12.6 V at the most from Parent and stands 12']];
        yield 'a buck on twelve volts' => ['regulator-overfed', $regulated('buck', 'plug-12v-2a', [], 'relay-bank-1-low'), []];
        // (11 − 3.3) V · 5 · 45 mA = 1.73 W; the adapter's small package sheds about 1.
        yield 'two watts and less' => ['regulator-hot', $regulated('linear-5v', 'plug-12v-2a', [], 'relay-bank-1-low', 3), []];
        yield 'sixteen coils that are on: 7 V · 1.28 A' => ['regulator-hot', $regulated('linear-5v', 'plug-12v-2a', [], 'relay-bank-8-low', 2), ['Regulator sheds 8.96 W and stands 2']];
        yield 'a heap of loud radios on one adapter from 12 V' => ['regulator-hot', $regulated('regulator-adapter', 'bench', ['volts' => 11.0], 'packet-radio-amplified', 5), ['Regulator sheds 1.73 W and stands 1']];
        yield 'the same from five' => ['regulator-hot', $regulated('regulator-adapter', 'plug-5v-1a', [], 'packet-radio-amplified', 5), []];

        yield 'a buck set to four' => ['supply-cannot-give', $fed('buck', ['volts' => 4.0]), []];
        yield 'a buck set to thirty' => ['supply-cannot-give', $fed('buck', ['volts' => 30.0]), ['Feed is to give 30 V and gives 0.8 to 17']];
        yield 'an adapter set to five' => ['supply-cannot-give', $fed('regulator-adapter', ['volts' => 5.0]), ['Feed is to give 5 V and gives 3.3']];

        yield 'a regulator on a plug' => ['supply-unfed', $regulated('buck', 'plug-12v-2a', [], 'relay-bank-1-low'), []];
        yield 'a regulator on nothing' => ['supply-unfed', $fed('regulator-adapter', []), ['Nothing feeds Feed of N']];
        yield 'a plug on nothing' => ['supply-unfed', $fed('plug-5v-1a', []), []];
        yield 'an adapter on itself' => ['supply-in-circle', static fn (Sketch $s): Sketch => $on($s)->supply('s', 'n', 'regulator-adapter', 'Feed')->refeed('s', 's'), ['Feed lives on itself']];
        yield 'two that live on each other' => ['supply-in-circle', static fn (Sketch $s): Sketch => $on($s)->supply('a', 'n', 'buck', 'A')->supply('b', 'n', 'buck', 'B', 'a')->refeed('a', 'b'), ['A lives on B, and so on itself', 'B lives on A, and so on itself']];
        yield 'one that hangs on a circle' => ['supply-in-circle', static fn (Sketch $s): Sketch => $on($s)->supply('a', 'n', 'buck', 'A')->refeed('a', 'a')->supply('b', 'n', 'buck', 'B', 'a'), ['A lives on itself']];

        // 700 mA as it stalls: never from the pin of its board (common practice), however much that gives.
        yield 'a servo on the pin of its board' => ['fed-from-board-pin', $with('servo-small', FedFrom::Board5V), ['Part lives on the 5V pin of its board']];
        yield 'a servo on a supply of its own' => ['fed-from-board-pin', $with('servo-small', FedFrom::Own), []];
        yield 'coils on the pin of a board' => ['fed-from-board-pin', $with('relay-bank-1-low', FedFrom::Board5V), []];
        // By a line or a regulator it hangs on the pin all the same.
        yield 'a servo on a line from the pin of its board' => ['fed-from-board-pin', static fn (Sketch $s): Sketch => $on($s)->supply('l', 'n', 'line', 'Line', $s->pin('n', 'board-5v'))->module('m', 'n', 'servo-small', 'Part', 'l'), ['Part lives on the 5V pin of its board']];
        // 60 mA a light (trade book): sixteen of them are what a plug of an ampere gives.
        $strip = static fn (int $lights): Closure => static fn (Sketch $s): Sketch => $on($s)->supply('plug', 'n', 'plug-5v-1a', 'Plug')->module('l', 'n', 'strip-pixels', 'Strip', 'plug')->output('o', 'n', 'Stairs', OutputKind::Strip, 'l', 'DIN', more: ['settings' => ['pixels' => $lights]]);
        yield 'sixteen lights on an ampere' => ['weak-rail', $strip(16), []];
        yield 'seventeen lights on an ampere' => ['weak-rail', $strip(17), ['More is asked of Plug than it gives']];

        // What is at the pads of a charger is charged.
        $pads = static fn (string $class, array $more = []): Closure => static fn (Sketch $s): Sketch => $on($s, 'wifi-3v3-13io')->supply('s', 'n', $class, 'Feed', null, FeedsAt::Cell, $more);
        yield 'a lithium cell at the pads' => ['board-input-unfit', $pads('li-ion-cell'), []];
        yield 'three alkaline cells at the pads' => ['board-input-unfit', $pads('alkaline-3'), ['N would charge Feed, which is no lithium cell']];
        yield 'a bench supply at the pads' => ['board-input-unfit', $pads('bench', ['volts' => 3.7]), ['N would charge Feed, which is no lithium cell']];
        yield 'a cell at a board without pads' => ['board-input-unfit', static fn (Sketch $s): Sketch => $on($s)->supply('s', 'n', 'li-ion-cell', 'Feed', null, FeedsAt::Cell), ['N has no such input as Feed is to feed it at']];
        yield 'a cell and USB' => ['board-fed-twice', static fn (Sketch $s): Sketch => $pads('li-ion-cell')($s)->supply('u', 'n', 'usb-port', 'Port', null, FeedsAt::Usb), []];
        yield 'a cell, USB and a plug' => ['board-fed-twice', static fn (Sketch $s): Sketch => $pads('li-ion-cell')($s)->supply('u', 'n', 'usb-port', 'Port', null, FeedsAt::Usb)->supply('p', 'n', 'plug-5v-1a', 'Plug', null, FeedsAt::FiveVolt), ['N is fed by Feed and Port and Plug']];
        // Unplugged, it lives on the cell: what is judged is the poorer of the two.
        yield 'relays of five volts on a board that USB charges' => ['supply-too-low', static fn (Sketch $s): Sketch => $on($s, 'wifi-3v3-13io')->supply('u', 'n', 'usb-port', 'Port', null, FeedsAt::Usb)->supply('s', 'n', 'li-ion-cell', 'Feed', null, FeedsAt::Cell)->module('m', 'n', 'relay-bank-1-low', 'Relay', FedFrom::Board5V), ['Relay gets 0 V from 5V pin and needs 4.75']];
        yield 'relays of five volts on a board that lives on a cell' => ['supply-too-low', static fn (Sketch $s): Sketch => $pads('li-ion-cell')($s)->module('m', 'n', 'relay-bank-1-low', 'Relay', FedFrom::Board5V), ['Relay gets 0 V from 5V pin and needs 4.75']];
        // 3.0 V of an empty cell, 0.2 V for the regulator: 2.8 are left of 3.3.
        yield 'a climate sensor on a board whose cell is empty' => ['supply-too-low', static fn (Sketch $s): Sketch => $pads('li-ion-cell')($s)->module('m', 'n', 'sensor-climate', 'Air', FedFrom::Board3V3), ['Air gets 2.8 V at the least from 3V3 pin and needs 3']];

        yield 'a pin of a board' => ['rail-missing', $with('packet-radio-plain', FedFrom::Board3V3), []];
        yield 'a pin of no board' => ['rail-missing', static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Controller, null, null)->module('m', 'n', 'packet-radio-plain', 'Part', FedFrom::Board3V3), ['N has no board with 3V3 pin']];
        yield 'one pin' => ['rail-twice', $with('packet-radio-plain', FedFrom::Board3V3), []];
        yield 'one pin twice' => ['rail-twice', static fn (Sketch $s): Sketch => $on($s)->supply('a', 'n', 'board-5v', 'Five')->supply('b', 'n', 'board-5v', 'Five again'), ['Five again and Five of N are one pin']];

        yield 'a supply that feeds' => ['supply-idle', $fed('plug-5v-1a', []), []];
        yield 'one that feeds the board' => ['supply-idle', static fn (Sketch $s): Sketch => $on($s)->supply('s', 'n', 'plug-5v-1a', 'Feed', null, FeedsAt::Usb), []];
        yield 'one that feeds nothing' => ['supply-idle', static fn (Sketch $s): Sketch => $on($s)->supply('s', 'n', 'plug-5v-1a', 'Feed'), ['Feed of N feeds nothing']];
        yield 'a pin on which nothing hangs' => ['supply-idle', static fn (Sketch $s): Sketch => $on($s)->supply('s', 'n', 'board-5v', 'Five'), []];

        $board = static fn (string $class, FeedsAt $at, string $board = '8bit-5v-20io', array $more = []): Closure => static fn (Sketch $s): Sketch => $on($s, $board)->supply('s', 'n', $class, 'Feed', null, $at, $more);
        yield 'a board that is fed' => ['board-unfed', $board('plug-5v-1a', FeedsAt::Usb), []];
        yield 'a board that is not' => ['board-unfed', $on, ['The plan does not say what feeds N']];
        yield 'no board' => ['board-unfed', static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Phone, null, null), []];
        yield 'a board fed once' => ['board-fed-twice', $board('plug-5v-1a', FeedsAt::Usb), []];
        yield 'a board fed twice' => ['board-fed-twice', static fn (Sketch $s): Sketch => $on($s)->supply('a', 'n', 'usb-port', 'Port', null, FeedsAt::Usb)->supply('b', 'n', 'plug-12v-2a', 'Plug', null, FeedsAt::Vin), ['N is fed by Port and Plug']];

        yield 'five volts at the socket' => ['board-input-unfit', $board('plug-5v-1a', FeedsAt::Usb), []];
        yield 'twelve at the socket' => ['board-input-unfit', $board('plug-12v-2a', FeedsAt::Usb), ['N gets 12 V at its USB socket, which wants 4.75 to 5.25']];
        yield 'four cells at VIN' => ['board-input-unfit', $board('alkaline-4', FeedsAt::Vin), ['N gets 3.6 to 6.4 V at its VIN pin, which wants 7 to 12']];
        yield 'three cells at a pin that takes them' => ['board-input-unfit', $board('alkaline-3', FeedsAt::FiveVolt, '32bit-3v3-26io'), []];
        yield 'an input that the board has not' => ['board-input-unfit', $board('plug-12v-2a', FeedsAt::Vin, 'wifi-3v3-11io'), ['N has no such input as Feed is to feed it at']];

        // 500 mA through 6 Ω are 3 V of five.
        yield 'stiff leads' => ['board-browns-out', $board('plug-5v-1a', FeedsAt::FiveVolt, 'wifi-3v3-26io'), []];
        yield 'long thin leads' => ['board-browns-out', $board('bench', FeedsAt::FiveVolt, 'wifi-3v3-26io', ['sourceOhm' => 6.0]), ['N sags to 1.9 V when everything draws at once, and starts again below 2.4']];
        // Three cells that a cable leaves below what the pin wants: both are said, or whoever takes a thicker one is told of the other only then.
        yield 'what was never made for the input' => ['board-browns-out', $board('li-ion-cell', FeedsAt::Usb, 'computer-40pin'), ['N sags to 2.75 V when everything draws at once, and starts again below 4.63']];
        // A 40-pin computer warns at 4.63 V: 2.5 A through a quarter of an ohm is the lead it came without.
        yield 'a computer on a good plug' => ['board-browns-out', $board('plug-5v-3a', FeedsAt::Usb, 'computer-40pin'), []];
        yield 'a computer on a thin lead' => ['board-browns-out', $board('plug-5v-3a', FeedsAt::Usb, 'computer-40pin', ['sourceOhm' => 0.25]), ['N sags to 4.23 V when everything draws at once, and starts again below 4.63']];

        // 2 · 10 m · 17.24 mΩ·mm²/m / 0.25 mm² · 0.08 A = 0.11 V.
        yield 'a cable of ten metres' => ['cable-drops', $fed('plug-5v-1a', ['cableM' => 10, 'cableMm2' => 0.25]), []];
        yield 'a cable of thirty' => ['cable-drops', $fed('plug-5v-1a', ['cableM' => 30, 'cableMm2' => 0.25]), ['The cable of Feed loses 0.331 V']];

        yield 'a battery behind a fuse' => ['fuse-missing', $board('lead-12v', FeedsAt::Vin, '8bit-5v-20io', ['fuseA' => 1.0]), []];
        yield 'a battery without' => ['fuse-missing', $board('lead-12v', FeedsAt::Vin), ['Feed of N has no fuse']];
        yield 'a plug needs none' => ['fuse-missing', $board('plug-5v-1a', FeedsAt::Usb), []];
        yield 'a fuse that holds and blows' => ['fuse-unfit', $fed('lead-12v', ['fuseA' => 1.0, 'cableM' => 1, 'cableMm2' => 0.5]), []];
        yield 'a fuse that blows for nothing' => ['fuse-unfit', $fed('lead-12v', ['fuseA' => 0.08]), ['The fuse of Feed blows when all is on']];
        yield 'a fuse that outlives the cable' => ['fuse-unfit', $fed('lead-12v', ['fuseA' => 5.0, 'cableM' => 1, 'cableMm2' => 0.5]), ['The cable of Feed burns before its fuse blows']];

        // A pump of 12 W takes an ampere, and ten when it starts: a slow fuse of 2.5 A holds that for a moment.
        $pump = static fn (array $more): Closure => static fn (Sketch $s): Sketch => $on($s)->supply('s', 'n', 'lead-12v', 'Feed', more: $more)->load('p', 'Pump', null, null, LoadKind::Motor, 12.0, ['supplyId' => $s->id('s'), 'use' => LoadUse::AlwaysOn->value]);
        yield 'a fuse that lets a pump start' => ['fuse-unfit', $pump(['fuseA' => 2.5]), []];
        yield 'a fuse that does not' => ['fuse-unfit', $pump(['fuseA' => 2.0]), ['The fuse of Feed blows when Pump starts']];
        yield 'a fuse twice of what a battery may give' => ['fuse-unfit', $fed('lead-12v', ['fuseA' => 8.0]), []];
        yield 'a larger one that saves its cable' => ['fuse-unfit', $fed('lead-12v', ['fuseA' => 10.0, 'cableM' => 2, 'cableMm2' => 1.5]), []];
        yield 'a fuse that a fault never blows' => ['fuse-unfit', $fed('lead-12v', ['fuseA' => 8.1]), ['The fuse of Feed saves nothing']];
        // A coil of 80 mA: 3 Ω more than its class leave 0.24 V less of 4.85; 5 Ω 0.4. The class's own are in its tolerance.
        yield 'a lead that leaves enough' => ['supply-too-low', $fed('plug-5v-3a', ['sourceOhm' => 1.2]), []];
        yield 'a lead that does not' => ['supply-too-low', $fed('plug-5v-3a', ['sourceOhm' => 1.4]), ['Part gets 4.74 V at the least from Feed and needs 4.75']];

        $sleeps = static fn (string $class, bool $sleeps): Closure => static fn (Sketch $s): Sketch => ($sleeps ? $on($s)->sleeping('n') : $on($s))->supply('b', 'n', 'alkaline-4', 'Cells')->supply('r', 'n', $class, 'Regulator', 'b', FeedsAt::FiveVolt);
        yield 'an adapter that never sleeps' => ['regulator-drains', $sleeps('regulator-adapter', true), ['Regulator takes 5 mA from Cells, asleep or not']];
        yield 'one that takes microamperes' => ['regulator-drains', $sleeps('low-drop-3v3', true), []];
        yield 'a node that never sleeps either' => ['regulator-drains', $sleeps('regulator-adapter', false), []];

        // 30 mA and what the cells lose by themselves; of what is on them 90 %, and of that 0.7 for worn ones: 1,145 mAh are a day.
        $cells = static fn (float $mah, string $sleep = 'never'): Closure => static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Handset, null, '8bit-5v-20io', ['sleep' => $sleep])->supply('b', 'n', 'nimh-4', 'Cells', null, FeedsAt::FiveVolt, ['capacityMah' => $mah]);
        yield 'cells of a day' => ['battery-soon-empty', $cells(1_146.0), []];
        yield 'cells of less' => ['battery-soon-empty', $cells(1_142.0), ['N empties Cells in 24 to 34 h']];
        yield 'as many, asleep' => ['battery-soon-empty', $cells(1_142.0, 'until-key'), []];
        yield 'by way of a regulator' => ['battery-soon-empty', static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Handset, null, '8bit-5v-20io')->supply('b', 'n', 'li-ion-cell', 'Cell', null, null, ['capacityMah' => 500])->supply('u', 'n', 'boost-5v', 'Boost', 'b', FeedsAt::FiveVolt), ['N empties Cell in 7 to 9 h']];
        $charged = static fn (?FeedsAt $plugAt): Closure => static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Controller, null, 'wifi-3v3-13io')->supply('b', 'n', 'li-ion-cell', 'Cell', null, FeedsAt::Cell, ['capacityMah' => 300])->supply('p', 'n', 'plug-5v-3a', 'Plug', null, $plugAt)->module('e', 'n', 'sensor-climate', 'Climate', FedFrom::Board3V3);
        yield 'there for when the mains fail' => ['battery-soon-empty', $charged(FeedsAt::Usb), []];
        yield 'a plug for something else' => ['battery-soon-empty', $charged(null), ['N empties Cell in 2 to 3 h']];
    }

    /**
     * @param  Closure(Sketch): Sketch  $draw
     * @param  list<string>  $titles
     */
    #[DataProvider('cases')]
    public function test_the_rule_says(string $rule, Closure $draw, array $titles): void
    {
        $plan = $draw(self::sketch())->plan();
        $found = self::found($plan, $rule);
        self::assertEqualsCanonicalizing($titles, array_map(static fn (Finding $finding): string => $finding->title, $found));
        foreach ($found as $finding) {
            if ($finding->fix !== null) {
                $after = (new Editor(self::knowledge()))->apply($plan, $finding->fix->operations)->plan;
                self::assertNotContains($finding->id(), array_map(static fn (Finding $still): string => $still->id(), self::found($after, $rule)), "\"{$finding->fix->label}\" mends it");
            }
        }
    }
}
