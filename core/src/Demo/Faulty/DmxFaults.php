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
use Rundfunk\Plan\ThingKind;

/** What can go wrong with lamps: a barn stage whose patch nobody keeps, and two universes on one network. */
final readonly class DmxFaults
{
    private const SLOT = ['settings' => ['lowest' => 0, 'highest' => 255]];

    public static function add(Sketch $sketch): void
    {
        $sketch->place('stage', 'Barn stage')
            // dmx-loss-unsaid
            ->fixtureType('can', 'Stage lamp', ['addressBy' => 'switches', 'modes' => [
                ['name' => '4 slots', 'slots' => [
                    ['name' => 'Shutter', 'at' => 1, 'is' => 'shutter', 'opensFrom' => 8, 'opensTo' => 15],
                    ['name' => 'Red', 'at' => 2, 'is' => 'colour'], ['name' => 'Green', 'at' => 3, 'is' => 'colour'], ['name' => 'Blue', 'at' => 4, 'is' => 'colour'],
                ]],
                ['name' => 'one', 'slots' => [['name' => 'Red', 'at' => 1, 'is' => 'colour']]],
            ]])
            // dmx-fixture-odd
            ->fixtureType('moving', 'Moving lamp', ['onLoss' => 'holds', 'modes' => [['name' => '3 slots', 'slots' => [['name' => 'Pan', 'at' => 1, 'is' => 'position'], ['name' => 'Tilt', 'at' => 1, 'is' => 'position'], ['name' => 'Lamp', 'at' => 3, 'is' => 'dimmer']]]]])
            ->fixtureType('heavy', 'Old dimmer', ['unitLoads' => 4.0, 'onLoss' => 'dark', 'modes' => [['name' => '1 slot', 'slots' => [['name' => 'Level', 'at' => 1, 'is' => 'dimmer']]]]]);
        self::stage($sketch);
        self::bridge($sketch);
        self::lost($sketch);
        self::network($sketch);
    }

    private static function desk(Sketch $sketch, string $key, string $name, string $part, string $board = '8bit-5v-70io'): void
    {
        $sketch->node($key, $name, NodeKind::Controller, 'stage', $board)->module("{$key}-out", $key, $part, 'Lamp line', FedFrom::Board5V)
            ->module("{$key}-keys", $key, 'button-pad-1', 'Key')->control("{$key}-key", $key, "{$name} key");
    }

    /** @param  array<string, bool|float|int|string|null>  $settings */
    private static function lamp(Sketch $sketch, string $link, string $key, string $name, string $type, array $settings = [], string $slot = 'Red'): void
    {
        $sketch->node($key, $name, NodeKind::Fixture, 'stage', null, ['fixtureTypeId' => $sketch->id($type)])->join($link, $key, Role::Receives, null, $settings)
            ->output("{$key}-slot", $key, $slot, OutputKind::Function, null, $slot, more: self::SLOT);
    }

    /** @param  array<string, bool|int|string|null>  $more */
    private static function tell(Sketch $sketch, string $link, string $from, string $to, Action $action, array $more = [], ?int $value = null): void
    {
        $sketch->route("{$from}-key", $action, "{$to}-slot", $action === Action::Pulse ? 500 : null, $value, $more)->hop("{$from}-key {$to}-slot {$action->value}", $link, $from, $to, null);
    }

    private static function stage(Sketch $sketch): void
    {
        // dmx-too-long, dmx-timing-short, dmx-slots-short
        $sketch->link('stage-line', 'Stage line', 'dmx', ['lengthM' => 420.0, 'breakUs' => 88, 'markUs' => 8, 'slots' => 30]);
        self::desk($sketch, 'stage-desk', 'Stage desk', 'dmx-wire');
        self::desk($sketch, 'second-desk', 'Second desk', 'dmx-driver-5v');
        // dmx-sender-between: the first lamp stands before it
        self::lamp($sketch, 'stage-line', 'can-1', 'Lamp left', 'can', ['start' => 1]);
        // dmx-bare-pin, dmx-two-senders
        $sketch->join('stage-line', 'stage-desk', Role::Sends, 'stage-desk-out')->join('stage-line', 'second-desk', Role::Sends, 'second-desk-out');
        // dmx-slots-overlap, dmx-terminators
        self::lamp($sketch, 'stage-line', 'can-2', 'Lamp right', 'can', ['start' => 3, 'terminated' => true]);
        // dmx-switches-cannot
        self::lamp($sketch, 'stage-line', 'can-3', 'Lamp back', 'can', ['start' => 512, 'mode' => 'one']);
        // dmx-beyond-universe
        self::lamp($sketch, 'stage-line', 'can-4', 'Lamp top', 'can', ['start' => 510]);
        // dmx-address-missing
        self::lamp($sketch, 'stage-line', 'can-5', 'Lamp door', 'can');
        // dmx-mode-unknown
        self::lamp($sketch, 'stage-line', 'can-6', 'Lamp loft', 'can', ['start' => 40, 'mode' => '9 slots']);
        // dmx-segment-unfed
        self::lamp($sketch, 'stage-line', 'moving-1', 'Moving lamp', 'moving', ['start' => 60, 'segment' => 3], 'Lamp');
        // dmx-undescribed
        $sketch->node('smoke', 'Fog box', NodeKind::Fixture, 'stage', null)->join('stage-line', 'smoke', Role::Receives, null, ['start' => 90])
            ->output('smoke-slot', 'smoke', 'Fog', OutputKind::Function, null, 'Fog', more: self::SLOT)
            // dmx-hazard, dmx-slot-unknown
            ->node('hoist', 'Curtain hoist', NodeKind::Fixture, 'stage', null, ['fixtureTypeId' => $sketch->id('heavy')])->join('stage-line', 'hoist', Role::Receives, null, ['start' => 100])
            ->output('hoist-slot', 'hoist', 'Curtain', OutputKind::Function, null, 'Up', more: [...self::SLOT, 'hazards' => ['motion']]);
        // dmx-too-many-loads, dmx-idle
        foreach (range(1, 8) as $dimmer) {
            $sketch->node("dimmer-{$dimmer}", "Old dimmer {$dimmer}", NodeKind::Fixture, 'stage', null, ['fixtureTypeId' => $sketch->id('heavy')])->join('stage-line', "dimmer-{$dimmer}", Role::Receives, null, ['start' => 110 + $dimmer]);
        }
        // dmx-shut-at-once
        $sketch->output('can-2-shutter', 'can-2', 'Shutter', OutputKind::Function, null, 'Shutter', more: self::SLOT)
            ->route('stage-desk-key', Action::Set, 'can-2-shutter', value: 20)->hop('stage-desk-key can-2-shutter set', 'stage-line', 'stage-desk', 'can-2', null);
        // dmx-nothing-shows, dmx-fade-jumps, dmx-fade-coarse
        self::tell($sketch, 'stage-line', 'stage-desk', 'can-1', Action::Set, ['fadeMs' => 100], 255);
        self::tell($sketch, 'stage-line', 'stage-desk', 'can-2', Action::Set, ['fadeMs' => 120_000], 255);
        // fade-unfinished
        self::tell($sketch, 'stage-line', 'stage-desk', 'can-5', Action::Pulse, ['fadeMs' => 2_000]);
        foreach (['can-3', 'can-4', 'can-6', 'moving-1', 'smoke', 'hoist'] as $to) {
            self::tell($sketch, 'stage-line', 'stage-desk', $to, Action::On);
        }
    }

    private static function bridge(Sketch $sketch): void
    {
        // dmx-bridge-words, dmx-part-unlike, dmx-bridge-slow
        $sketch->link('porch-line', 'Porch line', 'dmx')->link('yard-line', 'Yard line', 'dmx')->link('loft-line', 'Loft line', 'dmx');
        self::desk($sketch, 'porch-desk', 'Porch desk', 'dmx-bridge');
        self::desk($sketch, 'yard-desk', 'Yard desk', 'dmx-bridge');
        // dmx-usb-missing
        self::desk($sketch, 'loft-desk', 'Loft desk', 'dmx-bridge-usb');
        $sketch->join('porch-line', 'porch-desk', Role::Sends, 'porch-desk-out', ['bridges' => true, 'template' => '{slot}{value}'])
            ->join('yard-line', 'yard-desk', Role::Sends, 'yard-desk-out')
            ->join('loft-line', 'loft-desk', Role::Sends, 'loft-desk-out', ['bridges' => true]);
        self::lamp($sketch, 'porch-line', 'door-lamp-1', 'Porch lamp', 'heavy', ['start' => 1, 'terminated' => true], 'Level');
        self::lamp($sketch, 'yard-line', 'yard-lamp-1', 'Yard lamp', 'heavy', ['start' => 1, 'terminated' => true], 'Level');
        self::tell($sketch, 'porch-line', 'porch-desk', 'door-lamp-1', Action::On);
        self::tell($sketch, 'yard-line', 'yard-desk', 'yard-lamp-1', Action::On);
        foreach (range(1, 8) as $lamp) {
            self::lamp($sketch, 'loft-line', "loft-lamp-{$lamp}", "Loft lamp {$lamp}", 'heavy', ['start' => $lamp, ...($lamp === 8 ? ['terminated' => true] : [])], 'Level');
            self::tell($sketch, 'loft-line', 'loft-desk', "loft-lamp-{$lamp}", Action::Set, ['fadeMs' => 300], 200);
        }
    }

    private static function lost(Sketch $sketch): void
    {
        // dmx-sender-missing, dmx-one-way
        $sketch->link('lone-line', 'Lone line', 'dmx')
            ->node('lone-lamp', 'Lone lamp', NodeKind::Fixture, 'stage', null, ['fixtureTypeId' => $sketch->id('heavy')])->join('lone-line', 'lone-lamp', Role::Receives, null, ['start' => 1, 'terminated' => true])
            ->link('back-line', 'Back line', 'dmx')
            ->node('back-lamp', 'Back lamp', NodeKind::Fixture, 'stage', null, ['fixtureTypeId' => $sketch->id('heavy')])->join('back-line', 'back-lamp', Role::Sends)
            ->control('back-warm', 'back-lamp', 'Warm', ControlKind::Reading, settings: ['threshold' => 60.0, 'unit' => '°C'])
            ->node('back-board', 'Back board', NodeKind::Controller, 'stage', '8bit-5v-70io')->module('back-in', 'back-board', 'dmx-receiver-5v', 'Lamp line', FedFrom::Board5V)->join('back-line', 'back-board', Role::Receives, 'back-in', ['start' => 1, 'terminated' => true])
            ->module('back-relays', 'back-board', 'relay-bank-1-high', 'Relay', FedFrom::Own)->output('back-fan', 'back-board', 'Fan', OutputKind::Relay, 'back-relays')
            ->route('back-warm', Action::Follow, 'back-fan')->hop('back-warm back-fan follow', 'back-line', 'back-lamp', 'back-board', null);
        // dmx-by-software, dmx-sleeps
        self::desk($sketch, 'soft-desk', 'Soft desk', 'dmx-driver-5v');
        $sketch->wire('soft-desk-out', 'DI', 'D40', false, true)->sleeping('soft-desk')->link('soft-line', 'Soft line', 'dmx')->join('soft-line', 'soft-desk', Role::Sends, 'soft-desk-out');
        self::lamp($sketch, 'soft-line', 'soft-lamp-1', 'Soft lamp', 'heavy', ['start' => 1, 'terminated' => true], 'Level');
        self::tell($sketch, 'soft-line', 'soft-desk', 'soft-lamp-1', Action::On);
        // dmx-clock-unfit, dmx-cannot, fade-lost
        $sketch->describe(ThingKind::OwnBoard, 'odd-clock', 'Old board, 7.3 MHz', '8bit-5v-70io', ['clockMhz' => 7.3728])
            ->link('odd-line', 'Odd line', 'dmx');
        self::desk($sketch, 'odd-desk', 'Odd desk', 'dmx-driver-5v', $sketch->classOf('odd-clock'));
        $sketch->join('odd-line', 'odd-desk', Role::Sends, 'odd-desk-out')
            ->node('odd-board', 'Odd dimmer', NodeKind::Controller, 'stage', '8bit-5v-70io')->module('odd-in', 'odd-board', 'dmx-receiver-5v', 'Lamp line', FedFrom::Board5V)->join('odd-line', 'odd-board', Role::Receives, 'odd-in', ['start' => 1, 'terminated' => true])
            ->module('odd-relays', 'odd-board', 'relay-bank-1-high', 'Relay', FedFrom::Own)->output('odd-slot', 'odd-board', 'Lamp', OutputKind::Relay, 'odd-relays')
            ->route('odd-desk-key', Action::Toggle, 'odd-slot')->hop('odd-desk-key odd-slot toggle', 'odd-line', 'odd-desk', 'odd-board', null)
            // dmx-loss-holds
            ->output('odd-fan', 'odd-board', 'Fan')->route('odd-desk-key', Action::Momentary, 'odd-fan')->hop('odd-desk-key odd-fan momentary', 'odd-line', 'odd-desk', 'odd-board', null)
            ->module('odd-desk-gate', 'odd-desk', 'transistor-4v5', 'Gate')->output('odd-gate', 'odd-desk', 'Desk lamp', OutputKind::Pwm, 'odd-desk-gate')
            ->route('odd-desk-key', Action::Set, 'odd-gate', value: 50, more: ['fadeMs' => 2_000]);
    }

    private static function network(Sketch $sketch): void
    {
        // dmx-universe-missing, dmx-universe-shared, dmx-priority-tied
        $sketch->link('net-1', 'Hall lights', 'dmx', ['form' => 'network'])->link('net-2', 'Garden lights', 'dmx', ['form' => 'network', 'universe' => 7])->link('net-3', 'Roof lights', 'dmx', ['form' => 'network', 'universe' => 7])
            ->node('net-one', 'Hall desk', NodeKind::Gateway, 'stage', 'computer-40pin')->node('net-two', 'Garden desk', NodeKind::Gateway, 'stage', 'computer-40pin');
        foreach ([1, 2, 3] as $net) {
            $sketch->join("net-{$net}", 'net-one', Role::Sends);
            self::lamp($sketch, "net-{$net}", "net-lamp-{$net}", "Net lamp {$net}", 'heavy', ['start' => 1], 'Level');
        }
        // dmx-fade-jumps
        $sketch->join('net-2', 'net-two', Role::Sends)->control('net-one-key', 'net-one', 'Page', ControlKind::Widget);
        self::tell($sketch, 'net-2', 'net-one', 'net-lamp-2', Action::Set, ['fadeMs' => 100], 255);
        self::tell($sketch, 'net-3', 'net-one', 'net-lamp-3', Action::On);
    }
}
