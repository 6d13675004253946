<?php

declare(strict_types=1);

namespace Rundfunk\Demo;

use Rundfunk\Assign\Assigner;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\FeedsAt;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Rundfunk\Plan\Sleep;
use Rundfunk\Plan\ThingKind;

/** The demo: an invented smallholding, as far as its links are built. Every name and number in it is made up. */
final readonly class LindenHollow
{
    public static function plan(Assigner $assigner): Plan
    {
        $sketch = new Sketch('linden-hollow', 'Linden Hollow', $assigner, 'eu', [1, 6, 11], 'Invented, for trying things out. Wi-Fi 1 is the house, 6 the shed, 11 a faint neighbour.');
        self::nodes($sketch);
        self::links($sketch);
        self::routes($sketch);
        self::greenhouse($sketch);
        self::fob($sketch);
        self::gate($sketch);
        self::house($sketch);
        self::diggers($sketch);
        self::evening($sketch);
        self::vents($sketch);
        self::frames($sketch);
        self::shades($sketch);
        self::store($sketch);
        BenchLamps::add($sketch);
        LoadsAndCircuits::add($sketch);

        return $sketch->assigned();
    }

    private static function nodes(Sketch $sketch): void
    {
        $sketch
            ->place('carried', 'Carried')
            ->place('bench', 'Propagation bench')
            ->place('shed', 'Potting shed')
            ->place('yard', 'Hen yard')
            ->node('a', 'Pocket A', NodeKind::Handset, 'carried', '8bit-5v-20io')->sleeping('a', Sleep::UntilKey)
            ->supply('a-cell', 'a', 'li-ion-cell', 'Cell')
            ->supply('a-boost', 'a', 'boost-5v', 'Boost', 'a-cell', FeedsAt::FiveVolt)
            ->module('a-radio', 'a', 'packet-radio-plain', 'Radio')
            ->module('a-keys', 'a', 'button-pad-4', 'Keys')
            ->module('a-lamp', 'a', 'indicator-lamp', 'Sent lamp')
            ->node('b', 'Pocket B', NodeKind::Handset, 'carried', '32bit-3v3-26io')->sleeping('b', Sleep::UntilKey)
            ->supply('b-cells', 'b', 'alkaline-3', 'Cells', null, FeedsAt::FiveVolt)
            ->module('b-radio', 'b', 'packet-radio-plain', 'Radio')
            ->module('b-keys', 'b', 'button-pad-4', 'Keys')
            ->node('bench-node', 'Bench', NodeKind::Controller, 'bench', '8bit-5v-20io')
            ->supply('bench-plug', 'bench-node', 'plug-5v-1a', 'Plug', null, FeedsAt::Usb)
            ->supply('bench-coils', 'bench-node', 'plug-5v-1a', 'Coil supply')
            ->module('bench-radio', 'bench-node', 'packet-radio-plain', 'Radio')
            ->module('bench-relays', 'bench-node', 'relay-bank-4-low', 'Relays', 'bench-coils')
            ->module('bench-keys', 'bench-node', 'button-pad-2', 'Wall keys')
            ->node('shed-node', 'Shed', NodeKind::Gateway, 'shed', 'computer-40pin')
            ->supply('shed-plug', 'shed-node', 'plug-5v-3a', 'Plug', null, FeedsAt::Usb)
            ->supply('shed-coils', 'shed-node', 'plug-5v-1a', 'Coil supply')
            ->module('shed-near', 'shed-node', 'packet-radio-plain', 'Radio near')
            ->module('shed-far', 'shed-node', 'packet-radio-amplified', 'Radio far', FedFrom::Adapter)
            ->module('shed-relays', 'shed-node', 'relay-bank-2-high', 'Relays', 'shed-coils')
            ->module('shed-keys', 'shed-node', 'button-pad-2', 'Door keys')
            ->describe(ThingKind::OwnModule, 'wet-relays', 'Relay pair, potted', 'relay-bank-2-high', ['supply' => ['minV' => 4.5, 'maxV' => 5.5, 'typicalMa' => 3.0, 'peakMa' => 120.0], 'advice' => 'Potted by ourselves for damp places: nothing in it can be mended.'])
            ->node('hens', 'Hen house', NodeKind::Controller, 'yard', 'wifi-3v3-11io')
            ->supply('hens-plug', 'hens', 'plug-5v-1a', 'Plug', null, FeedsAt::Usb)
            ->supply('hens-coils', 'hens', 'plug-5v-1a', 'Coil supply')
            ->module('hens-radio', 'hens', 'packet-radio-plain', 'Radio')
            ->module('hens-relays', 'hens', $sketch->classOf('wet-relays'), 'Relays', 'hens-coils');
    }

    private static function links(Sketch $sketch): void
    {
        $sketch
            ->link('handsets', 'Handsets', 'packet-radio', ['payloadBytes' => 8])
            ->join('handsets', 'a', Role::Sends, 'a-radio')
            ->join('handsets', 'b', Role::Sends, 'b-radio')
            ->join('handsets', 'bench-node', Role::Receives, 'bench-radio')
            ->join('handsets', 'shed-node', Role::Receives, 'shed-near')
            ->link('yard-link', 'Yard', 'packet-radio', ['payloadBytes' => 8, 'powerDbm' => -6, 'wholeState' => true])
            ->join('yard-link', 'shed-node', Role::Both, 'shed-far')
            ->join('yard-link', 'hens', Role::Both, 'hens-radio');
    }

    private static function routes(Sketch $sketch): void
    {
        $sketch
            ->output('sent', 'a', 'Sent', OutputKind::Lamp)
            ->output('mist', 'bench-node', 'Mist', load: '24 V valve')
            ->output('fan', 'bench-node', 'Fan', load: '12 V fan')
            ->output('mat', 'bench-node', 'Warm mat', load: '60 W mat with its own thermostat')
            ->output('shed-lamp', 'shed-node', 'Shed lamp', load: '12 V lamp')
            ->output('hen-lamp', 'hens', 'Hen lamp', load: '12 V lamp')
            ->output('hen-fan', 'hens', 'Hen fan', load: '12 V fan')
            // From the shed the yard cannot be seen: its page shows what the hen house says of itself.
            ->output('hen-lamp-shown', 'shed-node', 'Page: hen lamp', OutputKind::Display)
            ->state('hen-lamp', 'hen-lamp-state', 'Hen lamp is')
            ->route('hen-lamp-state', Action::Follow, 'hen-lamp-shown')
            ->control('a1', 'a', 'Key 1')
            ->control('a2', 'a', 'Key 2')
            ->control('a3', 'a', 'Key 3')
            ->control('a4', 'a', 'Key 4')
            ->control('b1', 'b', 'Key 1')
            ->control('b2', 'b', 'Key 2')
            ->control('b3', 'b', 'Key 3')
            ->control('b4', 'b', 'Key 4')
            ->control('bench-1', 'bench-node', 'Mist key')
            ->control('bench-2', 'bench-node', 'Stop key')
            ->control('shed-1', 'shed-node', 'Door key')
            ->route('a1', Action::Pulse, 'mist', 20_000)
            ->route('a1', Action::Pulse, 'sent', 200)
            ->route('a2', Action::Toggle, 'fan')
            ->route('a3', Action::Toggle, 'hen-lamp')
            ->route('a4', Action::Off, 'mist')
            ->route('a4', Action::Off, 'fan')
            ->route('a4', Action::Off, 'mat')
            ->route('a4', Action::Off, 'shed-lamp')
            ->route('b1', Action::Toggle, 'shed-lamp')
            ->route('b2', Action::Toggle, 'mat')
            ->route('b3', Action::On, 'hen-fan')
            ->route('b4', Action::Off, 'hen-fan')
            ->route('bench-1', Action::Pulse, 'mist', 20_000)
            ->route('bench-2', Action::Off, 'mist')
            ->route('bench-2', Action::Off, 'fan')
            ->route('bench-2', Action::Off, 'mat')
            ->route('shed-1', Action::Toggle, 'shed-lamp');
    }

    /** An air heater that was there already, worked by its own remote and by ours. */
    private static function greenhouse(Sketch $sketch): void
    {
        $sketch
            ->place('glass', 'Greenhouse')
            ->node('glass-node', 'Greenhouse', NodeKind::Controller, 'glass', 'wifi-3v3-26io')
            ->supply('glass-plug', 'glass-node', 'plug-5v-1a', 'Plug', null, FeedsAt::Usb)
            ->supply('glass-coils', 'glass-node', 'plug-5v-1a', 'Coil supply')
            ->module('glass-radio', 'glass-node', 'packet-radio-plain', 'Radio')
            ->module('glass-ir', 'glass-node', 'infrared-both', 'Infrared')
            ->module('glass-relays', 'glass-node', 'relay-bank-2-high', 'Relays', 'glass-coils')
            ->module('glass-keys', 'glass-node', 'button-pad-4', 'Wall keys')
            ->node('heater', 'Air heater', NodeKind::Fixture, 'glass', null)
            ->node('heater-remote', 'Heater remote', NodeKind::Remote, 'glass', null)
            ->join('handsets', 'glass-node', Role::Receives, 'glass-radio')
            ->link('warm', 'Warm air', 'infrared')
            ->join('warm', 'glass-node', Role::Both, 'glass-ir', ['distanceM' => 4])
            ->join('warm', 'heater', Role::Receives)
            ->join('warm', 'heater-remote', Role::Sends)
            ->output('heat', 'heater', 'Heat', OutputKind::Function, load: '2 kW fan heater with its own thermostat', more: ['hazards' => ['heat', 'mains'], 'precedence' => 'off-first'])
            ->output('glass-lamp', 'glass-node', 'Work lamp', load: '12 V lamp', more: ['precedence' => 'holder-first'])
            ->control('remote-sleep', 'heater-remote', 'Sleep', ControlKind::Key)
            ->control('glass-1', 'glass-node', 'Heat on')
            ->control('glass-2', 'glass-node', 'Heat off')
            ->control('glass-3', 'glass-node', 'Lamp switch', ControlKind::Switch)
            ->control('glass-late', 'glass-node', 'Late', ControlKind::Timer, settings: ['at' => '22:30'])
            ->keyCode('heater-remote', 'Sleep', 'nec', 0x2D, 0x1A, control: 'remote-sleep')
            ->keyCode('heater', 'Heat on', 'nec', 0x2D, 0x10, output: 'heat', action: Action::On)
            ->keyCode('heater', 'Heat off', 'nec', 0x2D, 0x11, output: 'heat', action: Action::Off)
            ->output('blow', 'heater', 'Fan', OutputKind::Function, load: 'blows without heating', more: ['settings' => ['lowest' => 0, 'highest' => 3]])
            ->keyCode('heater', 'Fan off', 'nec', 0x2D, 0x14, output: 'blow', action: Action::Set, more: ['value' => 0])
            ->keyCode('heater', 'Fan low', 'nec', 0x2D, 0x15, output: 'blow', action: Action::Set, more: ['value' => 1])
            ->keyCode('heater', 'Fan middle', 'nec', 0x2D, 0x16, output: 'blow', action: Action::Set, more: ['value' => 2])
            ->keyCode('heater', 'Fan high', 'nec', 0x2D, 0x17, output: 'blow', action: Action::Set, more: ['value' => 3])
            ->route('glass-3', Action::Follow, 'glass-lamp')
            ->route('glass-late', Action::Off, 'glass-lamp')
            ->route('glass-1', Action::On, 'heat')
            ->route('glass-2', Action::Off, 'heat')
            ->route('a4', Action::Off, 'heat')
            ->control('glass-4', 'glass-node', 'Air')
            ->route('glass-4', Action::Set, 'blow', value: 1)
            ->route('glass-2', Action::Set, 'blow', value: 0)
            ->route('a4', Action::Set, 'blow', value: 0)
            ->route('remote-sleep', Action::Toggle, 'glass-lamp');
    }

    /** A fob that was bought for a few coins: it may switch a lamp and a fan, and nothing that could hurt. */
    private static function fob(Sketch $sketch): void
    {
        $sketch
            ->module('hens-ear', 'hens', 'keyed-receiver', 'Fob receiver')
            ->node('fob', 'Hen fob', NodeKind::Remote, 'carried', null)
            ->link('fob-link', 'Fob', 'keyed-radio')
            ->join('fob-link', 'fob', Role::Sends)
            ->join('fob-link', 'hens', Role::Receives, 'hens-ear');
        foreach (['A' => [0x3C71E1, Action::On, 'hen-lamp'], 'B' => [0x3C71E2, Action::Off, 'hen-lamp'], 'C' => [0x3C71E4, Action::On, 'hen-fan'], 'D' => [0x3C71E8, Action::Off, 'hen-fan']] as $key => [$code, $action, $output]) {
            $sketch
                ->control("fob-{$key}", 'fob', "Key {$key}", ControlKind::Key)
                ->keyCode('fob', "Key {$key}", 'keyed', null, $code, control: "fob-{$key}")
                ->route("fob-{$key}", $action, $output);
        }
    }

    /** The gate post on the lane: a lamp by call, the gate by text and secret, and a text when there is frost. */
    private static function gate(Sketch $sketch): void
    {
        $sketch
            ->place('lane', 'Lane')
            ->node('post', 'Gate post', NodeKind::Controller, 'lane', '32bit-3v3-26io')
            ->supply('post-battery', 'post', 'lead-12v', 'Battery', more: ['fuseA' => 1.0, 'capacityMah' => 44_000])
            ->supply('post-5v', 'post', 'buck', '5 V for the board', 'post-battery', FeedsAt::FiveVolt)
            ->supply('post-modem-supply', 'post', 'buck', '3.9 V for the modem', 'post-battery', more: ['volts' => 3.9])
            ->module('post-modem', 'post', 'modem-lte-eu', 'Modem', 'post-modem-supply')
            ->module('post-relays', 'post', 'relay-bank-2-high', 'Relays', 'post-5v')
            ->module('post-frost', 'post', 'sensor-temperature', 'Frost sensor')
            ->node('rowan', 'Rowan\'s phone', NodeKind::Phone, 'carried', null)
            ->link('mobile', 'Mobile', 'cellular', ['country' => 'GB'])
            ->join('mobile', 'post', Role::Both, 'post-modem', ['baud' => 38400, 'reportTo' => 'https://station.example/gate', 'accessPoint' => 'internet.example', 'reportMin' => 30])
            // Numbers of a range that is kept for fiction.
            ->join('mobile', 'rowan', Role::Both, null, ['listed' => true])->address('mobile', 'rowan', 0, '+442079460321', true)
            ->output('gate', 'post', 'Gate', load: 'gate drive with guards and limit switches', more: ['hazards' => ['motion', 'access']])
            ->output('post-lamp', 'post', 'Post lamp', load: '12 V lamp')
            ->output('told', 'rowan', 'Frost text', OutputKind::Message, more: ['settings' => ['words' => 'Frost at the gate: {value} C']])
            ->control('rowan-call', 'rowan', 'Call', ControlKind::Call)
            ->control('rowan-open', 'rowan', 'Open the gate', ControlKind::Text, settings: ['secret' => true])
            ->control('rowan-off', 'rowan', 'Lamp off', ControlKind::Text, settings: ['reply' => false])
            // A call says nothing back: the lamp itself is texted, when it changes and when it was asked for.
            ->output('lamp-told', 'rowan', 'Lamp text', OutputKind::Message, more: ['settings' => ['words' => 'Lamp at the gate: {value}']])
            ->state('post-lamp', 'post-lamp-state', 'Post lamp is', settings: ['everyS' => 0])
            ->control('frost', 'post', 'Frost', ControlKind::Reading, settings: ['unit' => '°C', 'threshold' => 1.0, 'hysteresis' => 1.0, 'beyond' => 'below', 'intervalS' => 60])
            ->route('rowan-call', Action::Pulse, 'post-lamp', 300_000)
            ->route('rowan-open', Action::Pulse, 'gate', 1_000)
            ->route('rowan-off', Action::Off, 'post-lamp')
            ->route('post-lamp-state', Action::Follow, 'lamp-told')
            ->route('frost', Action::On, 'told');
    }

    /** The house network: the shed keeps the broker, the greenhouse tells its climate and is told about its lamp. */
    private static function house(Sketch $sketch): void
    {
        $sketch
            ->link('house', 'House', 'ip', ['ssid' => 'linden-hollow'])
            ->join('house', 'shed-node', Role::Both, null, ['broker' => true])
            ->join('house', 'glass-node', Role::Both)
            ->module('glass-climate', 'glass-node', 'sensor-climate', 'Climate')
            ->module('glass-soil', 'glass-node', 'sensor-soil', 'Soil probe')
            ->control('air-cold', 'glass-node', 'Air cold', ControlKind::Reading, settings: ['unit' => '°C', 'threshold' => 4.0, 'beyond' => 'below', 'intervalS' => 30])
            ->control('air-warm', 'glass-node', 'Air warm', ControlKind::Reading, settings: ['unit' => '°C', 'threshold' => 12.0, 'intervalS' => 30, 'onFailure' => 'on'])
            ->control('humidity', 'glass-node', 'Humidity', ControlKind::Reading, settings: ['unit' => '%', 'intervalS' => 30])
            ->control('soil', 'glass-node', 'Soil moisture', ControlKind::Reading, 'glass-soil', 'OUT', ['unit' => '%', 'intervalS' => 600, 'rawFrom' => 2_900, 'unitFrom' => 0.0, 'rawTo' => 1_300, 'unitTo' => 100.0, 'between' => '2400=25, 1800=70'])
            ->control('page-on', 'shed-node', 'Page: work lamp on', ControlKind::Widget)
            ->control('page-off', 'shed-node', 'Page: work lamp off', ControlKind::Widget)
            ->control('dusk', 'shed-node', 'Dusk', ControlKind::Timer, settings: ['at' => '17:30'])
            ->route('air-cold', Action::On, 'heat')
            ->route('air-warm', Action::Off, 'heat')
            ->route('page-on', Action::On, 'glass-lamp')
            ->route('page-off', Action::Off, 'glass-lamp')
            ->route('dusk', Action::On, 'hen-lamp');
    }

    /** Two toy diggers that came as a set: each listens on a channel of its own, and a box with two sticks drives both. */
    private static function diggers(Sketch $sketch): void
    {
        $sketch
            ->place('sand', 'Sand pit')
            // A toy's 28 codes are 3 kB of tables: more than a smaller board has.
            ->node('box', 'Stick box', NodeKind::Handset, 'sand', '8bit-5v-70io')
            // Two side by side: it is awake as long as somebody plays.
            ->supply('box-cell', 'box', 'li-ion-cell', 'Cells', null, null, ['capacityMah' => 6_000])
            ->supply('box-boost', 'box', 'boost-5v', 'Boost', 'box-cell', FeedsAt::FiveVolt)
            ->module('box-ir', 'box', 'infrared-emitter', 'Emitter', FedFrom::Board5V)
            ->node('diggers', 'Toy diggers', NodeKind::Fixture, 'sand', null)
            ->link('sand-ir', 'Sand pit', 'infrared', ['sunlit' => true])
            ->join('sand-ir', 'box', Role::Sends, 'box-ir', ['distanceM' => 5])
            ->join('sand-ir', 'diggers', Role::Receives);
        foreach ([1, 2] as $channel) {
            $sketch->module("box-stick-{$channel}", 'box', 'joystick', "Stick {$channel}", FedFrom::Board5V);
            foreach (['Drive' => 'Y', 'Turn' => 'X'] as $function => $axis) {
                $key = strtolower($function).$channel;
                $sketch
                    ->output($key, 'diggers', "{$function} {$channel}", OutputKind::Function, channel: (string) $channel, more: ['hazards' => ['motion'], 'settings' => ['lowest' => -3, 'highest' => 3]])
                    ->control("box-{$key}", 'box', "{$function} {$channel}", ControlKind::Axis, "box-stick-{$channel}", $axis, ['everyMs' => 600])
                    ->route("box-{$key}", Action::Set, $key);
                foreach (range(-3, 3) as $value) {
                    $sketch->keyCode('diggers', "{$function} {$channel} {$value}", 'nec', 0x30 + $channel, ($function === 'Drive' ? 0 : 8) + $value + 3, output: $key, action: Action::Set, more: ['value' => $value]);
                }
            }
        }
    }

    /** The round that somebody used to walk each evening, and the lights of the shed as one. */
    private static function evening(Sketch $sketch): void
    {
        $sketch
            ->supply('shed-lights-coils', 'shed-node', 'plug-5v-1a', 'Supply of the lights')
            ->module('shed-lights', 'shed-node', 'relay-bank-2-high', 'Lights', 'shed-lights-coils')
            ->output('bench-light', 'shed-node', 'Bench light', load: '12 V lamp')
            ->output('store-light', 'shed-node', 'Store light', load: '12 V lamp')
            ->output('shed-lights-all', 'shed-node', 'Shed lights', OutputKind::Group)
            ->step('shed-lights-all', 'shed-lights-step', 'Shed lights: each')
            ->route('shed-lights-step', Action::Follow, 'bench-light')
            ->route('shed-lights-step', Action::Follow, 'store-light')
            ->control('page-lights', 'shed-node', 'Page: shed lights', ControlKind::Widget, settings: ['shape' => 'switch'])
            ->route('page-lights', Action::Follow, 'shed-lights-all')
            ->output('round', 'shed-node', 'Evening round', OutputKind::Sequence)
            ->step('round', 'round-1', 'Light the shed')
            ->step('round', 'round-2', 'Air the hens', 5_000)
            ->step('round', 'round-3', 'Light for the hens', 30_000)
            ->step('round', 'round-4', 'Hens to roost', 120_000)
            ->step('round', 'round-5', 'Shed dark', 20_000)
            ->step('round', 'round-stop', 'When it is stopped', when: 'stopped')
            ->route('round-1', Action::On, 'shed-lamp')
            ->route('round-2', Action::Pulse, 'hen-fan', 90_000)
            ->route('round-3', Action::On, 'hen-lamp')
            ->route('round-4', Action::Off, 'hen-lamp')
            ->route('round-5', Action::Off, 'shed-lamp')
            ->route('round-stop', Action::Off, 'shed-lamp')
            ->control('page-round', 'shed-node', 'Page: evening round', ControlKind::Widget)
            ->route('page-round', Action::Toggle, 'round');
    }

    /** Three vents on one twisted pair under the ridge: the greenhouse asks them in turn, and each says whether it is open. The rain is felt at the last, and shuts all. */
    private static function vents(Sketch $sketch): void
    {
        $sketch
            ->link('vents', 'Vents', 'serial', ['topology' => 'polled', 'levels' => 'rs-485', 'baud' => 19_200, 'lengthM' => 24.0])
            ->module('glass-pair', 'glass-node', 'rs485-3v3', 'Vent line', FedFrom::Board3V3)
            ->module('glass-vent-keys', 'glass-node', 'button-pad-2', 'Vent keys')
            ->control('vents-open', 'glass-node', 'Vents open')
            ->control('vents-shut', 'glass-node', 'Vents shut')
            ->join('vents', 'glass-node', Role::Both, 'glass-pair', ['asks' => true]);
        foreach ([1, 2, 3] as $vent) {
            $sketch
                ->node("vent-{$vent}", "Vent {$vent}", NodeKind::Controller, 'glass', '8bit-5v-70io')
                ->supply("vent-{$vent}-plug", "vent-{$vent}", 'plug-5v-1a', 'Plug', null, FeedsAt::Usb)
                ->supply("vent-{$vent}-coils", "vent-{$vent}", 'plug-5v-1a', 'Coil supply')
                ->module("vent-{$vent}-pair", "vent-{$vent}", 'rs485-5v', 'Vent line', FedFrom::Board5V)
                ->module("vent-{$vent}-relay", "vent-{$vent}", 'relay-bank-1-low', 'Relay', "vent-{$vent}-coils")
                ->output("vent-{$vent}-open", "vent-{$vent}", "Vent {$vent}", load: '24 V drive that a spring shuts')
                ->join('vents', "vent-{$vent}", Role::Both, "vent-{$vent}-pair", ['restMs' => 20_000])
                ->state("vent-{$vent}-open", "vent-{$vent}-state", "Vent {$vent} is", settings: ['everyS' => 10])
                ->output("vent-{$vent}-shown", 'glass-node', "Shown: vent {$vent}", OutputKind::Display)
                ->route("vent-{$vent}-state", Action::Follow, "vent-{$vent}-shown")
                ->route('vents-open', Action::On, "vent-{$vent}-open")
                ->route('vents-shut', Action::Off, "vent-{$vent}-open");
        }
        foreach (['glass-node' => 'vent-1', 'vent-1' => 'vent-2', 'vent-2' => 'vent-3'] as $from => $to) {
            $sketch->cable("cable-{$to}", $from, $to, 'Vent cable '.substr($to, -1), ['lengthM' => 8.0, 'mm2' => 0.22, 'twisted' => true, 'screened' => true, 'connector' => 'screw terminals']);
        }
        $sketch
            ->module('vent-3-rain', 'vent-3', 'button-pad-1', 'Rain contact')
            ->control('rain', 'vent-3', 'Rain', ControlKind::Switch)
            ->route('rain', Action::Off, 'vent-1-open')
            ->route('rain', Action::Off, 'vent-2-open')
            ->route('rain', Action::Off, 'vent-3-open');
    }

    /** Cold frames along a wall: each hands on to the next what is not for it, on the cheapest cable there is. */
    private static function frames(Sketch $sketch): void
    {
        $sketch
            ->place('wall', 'South wall')
            ->link('frames', 'Cold frames', 'serial', ['topology' => 'ring', 'levels' => 'rs-232', 'lengthM' => 12.0]);
        foreach ([1, 2, 3] as $frame) {
            $sketch
                ->node("frame-{$frame}", "Frame {$frame}", NodeKind::Controller, 'wall', '8bit-5v-70io')
                ->supply("frame-{$frame}-plug", "frame-{$frame}", 'plug-5v-1a', 'Plug', null, FeedsAt::Usb)
                ->supply("frame-{$frame}-coils", "frame-{$frame}", 'plug-5v-1a', 'Coil supply')
                ->module("frame-{$frame}-line", "frame-{$frame}", 'rs232-converter', 'Line', FedFrom::Board5V)
                ->module("frame-{$frame}-relay", "frame-{$frame}", 'relay-bank-1-low', 'Relay', "frame-{$frame}-coils")
                ->output("frame-{$frame}-lid", "frame-{$frame}", "Lid {$frame}", load: '12 V drive', more: ['settings' => ['silenceMs' => 0]])
                ->join('frames', "frame-{$frame}", Role::Both, "frame-{$frame}-line");
        }
        foreach (['frame-1' => 'frame-2', 'frame-2' => 'frame-3', 'frame-3' => 'frame-1'] as $from => $to) {
            $sketch->cable("cable-{$from}", $from, $to, 'Frame cable '.substr($from, -1), ['lengthM' => $from === 'frame-3' ? 6.0 : 3.0, 'mm2' => 0.14, 'connector' => '9-pin plugs'], [
                // TIA-574, from memory: a plug of a terminal says at 3 and hears at 2; 5 is ground.
                ['core' => 1, 'use' => 'forward', 'link' => 'frames', 'fromPin' => '3', 'toPin' => '2'], ['core' => 2, 'use' => 'ground', 'fromPin' => '5', 'toPin' => '5'],
            ]);
        }
        $sketch
            ->module('frame-1-keys', 'frame-1', 'button-pad-2', 'Keys')
            ->control('lids-up', 'frame-1', 'Lids up')
            ->control('lids-down', 'frame-1', 'Lids down');
        foreach ([1, 2, 3] as $frame) {
            $sketch->route('lids-up', Action::On, "frame-{$frame}-lid")->route('lids-down', Action::Off, "frame-{$frame}-lid");
        }
    }

    /** Rollers from a shop draw a cloth over the frames: they speak as their manual says, and one of our boards speaks so to them. */
    private static function shades(Sketch $sketch): void
    {
        $answered = ['answered' => true, 'answers' => [['name' => 'state', 'bits' => 8]]];
        $sketch
            ->protocol('roller', 'Cloth roller', [
                'parts' => [['is' => 'fixed', 'value' => 0x55], ['is' => 'id'], ['is' => 'length', 'value' => 1], ['is' => 'function'], ['is' => 'values'], ['is' => 'check']],
                'check' => 'crc-8', 'checkFrom' => 1, 'note' => 'Manual of the roller, third edition, pages 12 to 15.',
                'items' => [
                    ['name' => 'Position', 'kind' => 'does', 'code' => 1, ...$answered, 'answerCode' => 0x81, 'takesMs' => 40_000, 'done' => 'polled', 'doneBy' => 'Moving', 'sends' => [['name' => 'position', 'given' => true, 'lowest' => 0, 'highest' => 100, 'unit' => '%']]],
                    ['name' => 'Stop', 'kind' => 'does', 'code' => 2, ...$answered, 'answerCode' => 0x82],
                    ['name' => 'Moving', 'kind' => 'answers', 'code' => 3, 'answerCode' => 0x83, 'everyMs' => 1_000, 'answers' => [['name' => 'moving', 'given' => true]]],
                    ['name' => 'Place', 'kind' => 'answers', 'code' => 4, 'answerCode' => 0x84, 'everyMs' => 2_000, 'answers' => [['name' => 'position', 'given' => true, 'unit' => '%']]],
                ],
            ])
            ->link('shades', 'Shades', 'serial', ['topology' => 'polled', 'levels' => 'rs-485', 'lengthM' => 15.0])
            ->module('frame-1-shades', 'frame-1', 'rs485-5v', 'Shade line', FedFrom::Board5V)
            ->module('frame-1-shade-keys', 'frame-1', 'button-pad-2', 'Shade keys')
            ->control('shade-out', 'frame-1', 'Shade out')
            ->control('shade-in', 'frame-1', 'Shade in')
            ->join('shades', 'frame-1', Role::Both, 'frame-1-shades', ['asks' => true]);
        foreach ([1, 2] as $roller) {
            $sketch
                ->node("roller-{$roller}", "Roller {$roller}", NodeKind::Fixture, 'wall', null, ['protocolId' => $sketch->id('roller')])
                ->join('shades', "roller-{$roller}", Role::Both)
                ->output("roller-{$roller}-cloth", "roller-{$roller}", "Cloth {$roller}", OutputKind::Function, null, 'Position', 'cloth of 4 m on a roller', ['settings' => ['lowest' => 0, 'highest' => 100, 'unit' => '%']])
                ->control("roller-{$roller}-place", "roller-{$roller}", "Place of cloth {$roller}", ControlKind::Reading, null, 'Place', ['unit' => '%', 'intervalS' => 2])
                ->output("roller-{$roller}-shown", 'frame-1', "Shown: cloth {$roller}", OutputKind::Display, more: ['settings' => ['lowest' => 0, 'highest' => 100, 'unit' => '%']])
                ->route("roller-{$roller}-place", Action::Set, "roller-{$roller}-shown")
                ->route('shade-out', Action::Set, "roller-{$roller}-cloth", value: 100)
                ->route('shade-in', Action::Set, "roller-{$roller}-cloth", value: 0);
        }
        foreach (['frame-1' => 'roller-1', 'roller-1' => 'roller-2'] as $from => $to) {
            $sketch->cable("cable-{$to}", $from, $to, 'Shade cable '.substr($to, -1), ['lengthM' => 7.5, 'mm2' => 0.22, 'twisted' => true, 'connector' => 'screw terminals']);
        }
    }

    /** The solar store and its charger speak on a bus of their own; a board listens, and lets go of what can wait when the store runs low. */
    private static function store(Sketch $sketch): void
    {
        $sketch
            ->place('battery', 'Battery shed')
            ->link('store-bus', 'Store bus', 'can', ['bitrate' => 250_000, 'foreign' => true, 'lengthM' => 6.0])
            ->node('store', 'Solar store', NodeKind::Fixture, 'battery', null)
            ->node('charger', 'Solar charger', NodeKind::Fixture, 'battery', null)
            ->node('store-node', 'Store board', NodeKind::Controller, 'battery', '8bit-5v-70io')
            ->supply('store-plug', 'store-node', 'plug-5v-1a', 'Plug', null, FeedsAt::Usb)
            ->supply('store-coils', 'store-node', 'plug-5v-1a', 'Coil supply')
            ->module('store-can', 'store-node', 'can-spi-5v', 'Bus', FedFrom::Board5V)
            ->module('store-relays', 'store-node', 'relay-bank-2-low', 'Relays', 'store-coils')
            ->output('store-cooler', 'store-node', 'Seed cooler', load: '230 V cooler, 80 W')
            ->output('store-heat', 'store-node', 'Bench heat mat', load: '230 V heat mat, 150 W', more: ['hazards' => ['heat']])
            ->join('store-bus', 'store', Role::Both, null, ['terminated' => true])
            ->busMessage('store-state', 'store-bus', 'store', 'Store state', 0x2A1, ['periodMs' => 500, 'evidence' => 'Description of the store, as its maker gives it.'], [
                ['name' => 'Charge', 'start' => 0, 'bits' => 10, 'scale' => 0.1, 'unit' => '%'],
                ['name' => 'Volts', 'start' => 16, 'bits' => 16, 'scale' => 0.01, 'unit' => 'V'],
                ['name' => 'Current', 'start' => 39, 'bits' => 16, 'highFirst' => true, 'signed' => true, 'scale' => 0.1, 'unit' => 'A'],
                ['name' => 'Mode', 'start' => 56, 'bits' => 3, 'names' => '0=resting, 1=charging, 2=feeding, 5=fault'],
                ['name' => 'Faulty', 'start' => 56, 'bits' => 3, 'names' => '5=fault', 'equals' => 5],
            ])
            ->busMessage('store-warmth', 'store-bus', 'store', 'Store warmth', 0x2A8, ['bytes' => 4, 'periodMs' => 2_000], [['name' => 'Warmest cell', 'start' => 0, 'bits' => 8, 'offset' => -40.0, 'unit' => '°C']])
            ->join('store-bus', 'store-node', Role::Receives, 'store-can', ['listenOnly' => true, 'stubM' => 0.5])
            ->join('store-bus', 'charger', Role::Both, null, ['terminated' => true])
            ->busMessage('charger-state', 'store-bus', 'charger', 'Charger state', 0x18FF5021, ['extended' => true, 'periodMs' => 1_000], [['name' => 'Sun power', 'start' => 0, 'bits' => 16, 'unit' => 'W']])
            ->cable('store-cable-1', 'store', 'store-node', 'Store cable 1', ['lengthM' => 4.0, 'mm2' => 0.34, 'twisted' => true, 'connector' => 'screw terminals'])
            ->cable('store-cable-2', 'store-node', 'charger', 'Store cable 2', ['lengthM' => 2.0, 'mm2' => 0.34, 'twisted' => true, 'connector' => 'screw terminals'])
            ->control('store-charge', 'store', 'Charge', ControlKind::Reading, null, 'Charge', ['threshold' => 40.0, 'hysteresis' => 10.0, 'unit' => '%', 'intervalS' => 1, 'onFailure' => 'off'])
            ->control('store-faulty', 'store', 'Faulty', ControlKind::Reading, null, 'Faulty', ['threshold' => 0.5, 'hysteresis' => 0.2, 'intervalS' => 1])
            ->route('store-charge', Action::Follow, 'store-cooler')
            ->route('store-charge', Action::Follow, 'store-heat')
            ->module('store-lamp-part', 'store-node', 'indicator-lamp', 'Lamp')
            ->output('store-lamp', 'store-node', 'Store lamp', OutputKind::Lamp)
            ->route('store-faulty', Action::Follow, 'store-lamp');
    }
}
