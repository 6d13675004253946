<?php

declare(strict_types=1);

namespace Rundfunk\Demo\Faulty;

use Rundfunk\Demo\Sketch;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Role;
use Rundfunk\Plan\SupplyFrom;

/** What can go wrong with infrared: one room in which everything does. */
final readonly class InfraredFaults
{
    public static function add(Sketch $sketch): void
    {
        self::room($sketch);
        self::remote($sketch);
        self::appliances($sketch);
    }

    private static function room(Sketch $sketch): void
    {
        $sketch
            ->place('den', 'Den')
            ->link('den-ir', 'Den', 'infrared', ['sunlit' => true])
            // ir-carrier-off
            ->node('den-hear', 'Den lamp', NodeKind::Controller, 'den', '8bit-5v-20io')
            ->module('den-eye', 'den-hear', 'infrared-receiver', 'Eye')
            ->module('den-relays', 'den-hear', 'relay-bank-1-low', 'Relay', SupplyFrom::Board5V)
            ->output('den-lamp', 'den-hear', 'Den lamp', OutputKind::Relay, 'den-relays', 'IN1')
            ->join('den-ir', 'den-hear', Role::Receives, 'den-eye', ['carrierKhz' => 56])
            // ir-led-over-pin, ir-interval-too-short
            ->node('den-send', 'Den sender', NodeKind::Controller, 'den', '8bit-5v-20io')
            ->module('den-led', 'den-send', 'infrared-emitter-pin', 'LED')
            ->module('den-keys', 'den-send', 'button-pad-4', 'Keys')
            ->join('den-ir', 'den-send', Role::Sends, 'den-led', ['intervalMs' => 20])
            // ir-led-starved, ir-out-of-reach, ir-emitters-together
            ->node('den-two', 'Second sender', NodeKind::Controller, 'den', '8bit-5v-20io')
            ->module('den-two-led', 'den-two', 'infrared-emitter', 'LEDs', SupplyFrom::Board5V)
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
}
