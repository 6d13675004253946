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

/** What can go wrong with infrared: one room in which everything does. */
final readonly class InfraredFaults
{
    public static function add(Sketch $sketch): void
    {
        self::room($sketch);
        self::remote($sketch);
        self::appliances($sketch);
        self::toys($sketch);
    }

    private static function room(Sketch $sketch): void
    {
        $sketch
            ->place('den', 'Den')
            ->link('den-ir', 'Den', 'infrared', ['sunlit' => true])
            // ir-carrier-off
            ->node('den-hear', 'Den lamp', NodeKind::Controller, 'den', '8bit-5v-20io')
            ->module('den-eye', 'den-hear', 'infrared-receiver', 'Eye')
            ->module('den-relays', 'den-hear', 'relay-bank-1-low', 'Relay', FedFrom::Board5V)
            ->output('den-lamp', 'den-hear', 'Den lamp', OutputKind::Relay, 'den-relays', 'IN1')
            ->join('den-ir', 'den-hear', Role::Receives, 'den-eye', ['carrierKhz' => 56])
            // ir-led-over-pin, ir-interval-too-short
            ->node('den-send', 'Den sender', NodeKind::Controller, 'den', '8bit-5v-20io')
            ->module('den-led', 'den-send', 'infrared-emitter-pin', 'LED')
            ->module('den-keys', 'den-send', 'button-pad-4', 'Keys')
            ->join('den-ir', 'den-send', Role::Sends, 'den-led', ['intervalMs' => 20])
            // ir-led-starved, ir-out-of-reach, ir-emitters-together
            ->node('den-two', 'Second sender', NodeKind::Controller, 'den', '8bit-5v-20io')
            ->module('den-two-led', 'den-two', 'infrared-emitter', 'LEDs', FedFrom::Board5V)
            ->join('den-ir', 'den-two', Role::Sends, 'den-two-led', ['leds' => 4, 'distanceM' => 40]);
    }

    private static function remote(Sketch $sketch): void
    {
        $sketch->node('den-remote', 'Old remote', NodeKind::Remote, 'den', null)->join('den-ir', 'den-remote', Role::Sends);
        foreach (range(1, 8) as $number) {
            $sketch->control("den-k{$number}", 'den-remote', "Key {$number}", ControlKind::Key);
        }
        $raw = '300 900 1500 400 700 2500 1100 300 2000';
        $near = '400 1200 1150 540 910 2500 800 400 1500';
        $sketch
            // ir-keys-alike
            ->keyCode('den-remote', 'Key 1', 'nec', 4, 8, control: 'den-k1')
            ->keyCode('den-remote', 'Key 2', 'nec', 4, 8, control: 'den-k2')
            // ir-key-two-codes
            ->keyCode('den-remote', 'Key 3', 'nec', 4, 9, control: 'den-k3')
            ->keyCode('den-remote', 'Key 3 again', 'nec', 4, 10, control: 'den-k3')
            // ir-raw-only, ir-raw-too-alike
            ->keyCode('den-remote', 'Key 4', 'raw', control: 'den-k4', more: ['timings' => $raw])
            ->keyCode('den-remote', 'Key 5', 'raw', control: 'den-k5', more: ['timings' => $near])
            // ir-known-by-name-only
            ->keyCode('den-remote', 'Key 6', 'named', control: 'den-k6', more: ['number' => '0x1d', 'format' => 'unknown'])
            // ir-held-key-flips; key 7 was never learned: ir-code-unknown
            ->keyCode('den-remote', 'Key 8', 'sirc12', 1, 21, control: 'den-k8');
        foreach ([[1, Action::On], [2, Action::Off], [3, Action::On], [4, Action::Off], [6, Action::On], [7, Action::Off], [8, Action::Toggle]] as [$number, $action]) {
            $sketch->route("den-k{$number}", $action, 'den-lamp')->hop("den-k{$number} den-lamp {$action->value}", 'den-ir', 'den-remote', 'den-hear', null);
        }
    }

    private static function appliances(Sketch $sketch): void
    {
        foreach (['fan' => 'Fan', 'stove' => 'Stove'] as $key => $name) {
            // ir-heard-by-two
            $sketch
                ->node("den-{$key}", $name, NodeKind::Fixture, 'den', null)
                ->join('den-ir', "den-{$key}", Role::Receives)
                ->output("den-{$key}-power", "den-{$key}", 'Power', OutputKind::Function)
                ->keyCode("den-{$key}", 'Power', 'nec', 7, 1, output: "den-{$key}-power", action: Action::On)
                ->control("den-send-{$key}", 'den-send', $name, ControlKind::Button, 'den-keys', $key === 'fan' ? 'K1' : 'K2')
                ->route("den-send-{$key}", Action::On, "den-{$key}-power")
                ->hop("den-send-{$key} den-{$key}-power on", 'den-ir', 'den-send', "den-{$key}", null);
        }
    }

    /** A toy whose speeds were learned in a hurry. */
    private static function toys(Sketch $sketch): void
    {
        $sketch
            ->node('den-toy', 'Toy train', NodeKind::Fixture, 'den', null)
            ->join('den-ir', 'den-toy', Role::Receives)
            ->output('den-toy-speed', 'den-toy', 'Speed', OutputKind::Function, more: ['settings' => ['lowest' => -3, 'highest' => 3]])
            ->output('den-toy-horn', 'den-toy', 'Horn', OutputKind::Function)
            // ir-functions-alike: the horn was learned from the key of a speed
            ->keyCode('den-toy', 'Horn', 'nec', 0x51, 0x13, output: 'den-toy-horn', action: Action::On)
            // value-span-unknown
            ->keyCode('den-toy', 'Horn loud', 'nec', 0x51, 0x21, output: 'den-toy-horn', action: Action::Set, more: ['value' => 2])
            // value-outside
            ->keyCode('den-toy', 'Speed 4', 'nec', 0x51, 0x14, output: 'den-toy-speed', action: Action::Set, more: ['value' => 4]);
        // ir-set-incomplete: two of them are missing
        foreach ([-3, -1, 0, 1, 3] as $value) {
            $sketch->keyCode('den-toy', "Speed {$value}", 'nec', 0x51, 0x10 + $value, output: 'den-toy-speed', action: Action::Set, more: ['value' => $value]);
        }
        $sketch
            ->control('den-fast', 'den-send', 'Fast', ControlKind::Button, 'den-keys', 'K3')
            ->control('den-blow', 'den-send', 'Horn', ControlKind::Button, 'den-keys', 'K4')
            // value-missing
            ->route('den-fast', Action::Set, 'den-toy-speed')
            ->route('den-blow', Action::On, 'den-toy-horn')
            // value-impossible
            ->route('den-fast', Action::Set, 'den-lamp', value: 3)
            // stream-crowds
            ->control('den-lever', 'den-send', 'Lever', ControlKind::Axis)
            ->route('den-lever', Action::Set, 'den-toy-speed')
            ->hop('den-lever den-toy-speed set', 'den-ir', 'den-send', 'den-toy', null);
    }
}
