<?php

declare(strict_types=1);

namespace Rundfunk\Demo;

use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\FeedsAt;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Role;

/** Lamps of Linden Hollow: over the propagation bench by wire, told through a bridge at the shed; in the orchard over the house's network. */
final readonly class BenchLamps
{
    public static function add(Sketch $sketch): void
    {
        self::types($sketch);
        self::bench($sketch);
        self::orchard($sketch);
    }

    private static function types(Sketch $sketch): void
    {
        $sketch
            ->fixtureType('grow', 'Grow lamp, four colours', [
                'addressBy' => 'switches', 'unitLoads' => 0.5, 'onLoss' => 'holds', 'note' => 'Manual of the lamp, page 7.',
                'modes' => [
                    ['name' => '6 slots', 'slots' => [
                        ['name' => 'Dimmer', 'at' => 1, 'is' => 'dimmer', 'opensFrom' => 1, 'ranges' => '0=dark, 1-255=to full'],
                        ['name' => 'Shutter', 'at' => 2, 'is' => 'shutter', 'rest' => 12, 'on' => 12, 'opensFrom' => 8, 'opensTo' => 15, 'ranges' => '0-7=closed, 8-15=open, 16-255=flashes, slow to fast'],
                        ['name' => 'Red', 'at' => 3, 'is' => 'colour'],
                        ['name' => 'Far red', 'at' => 4, 'is' => 'colour'],
                        ['name' => 'Blue', 'at' => 5, 'is' => 'colour'],
                        ['name' => 'White', 'at' => 6, 'is' => 'colour'],
                    ]],
                    ['name' => '1 slot', 'slots' => [['name' => 'White', 'at' => 1, 'is' => 'dimmer']]],
                ],
            ])
            ->fixtureType('row', 'Row light, warm and cold', [
                'addressBy' => 'switches-plus-one', 'unitLoads' => 0.25, 'onLoss' => 'dark',
                'modes' => [['name' => '16 bits', 'slots' => [
                    ['name' => 'Warm', 'at' => 1, 'fineAt' => 2, 'is' => 'colour'],
                    ['name' => 'Cold', 'at' => 3, 'fineAt' => 4, 'is' => 'colour'],
                ]]],
            ])
            ->fixtureType('string', 'Light string, three zones', [
                'onLoss' => 'dark',
                'modes' => [['name' => '9 slots', 'slots' => array_map(static fn (int $at): array => ['name' => ['Red', 'Green', 'Blue'][($at - 1) % 3].' '.(intdiv($at - 1, 3) + 1), 'at' => $at, 'is' => 'colour'], range(1, 9))]],
            ]);
    }

    private static function bench(Sketch $sketch): void
    {
        $slot = ['settings' => ['lowest' => 0, 'highest' => 255]];
        $sketch
            ->link('bench-lamps', 'Bench lamps', 'dmx', ['lengthM' => 18.0])
            ->module('shed-bridge', 'shed-node', 'dmx-bridge-usb', 'Lamp bridge')
            ->join('bench-lamps', 'shed-node', Role::Sends, 'shed-bridge', ['baud' => 38_400]);
        foreach ([1, 2, 3] as $lamp) {
            $sketch
                ->node("grow-{$lamp}", "Grow lamp {$lamp}", NodeKind::Fixture, 'bench', null, ['fixtureTypeId' => $sketch->id('grow')])
                ->join('bench-lamps', "grow-{$lamp}", Role::Receives, null, ['together' => 'grow']);
            foreach (['Dimmer', 'Red', ...($lamp === 3 ? [] : ['Blue']), 'White'] as $name) {
                $sketch->output("grow-{$lamp} {$name}", "grow-{$lamp}", $name, OutputKind::Function, null, $name, more: $slot);
            }
        }
        foreach ([1, 2] as $row) {
            $sketch
                ->node("row-{$row}", "Row light {$row}", NodeKind::Fixture, 'bench', null, ['fixtureTypeId' => $sketch->id('row')])
                ->join('bench-lamps', "row-{$row}", Role::Receives)
                ->output("row-{$row} Warm", "row-{$row}", 'Warm', OutputKind::Function, null, 'Warm', more: ['settings' => ['lowest' => 0, 'highest' => 1_000, 'unit' => '‰']]);
        }
        $sketch
            ->control('lamps-dawn', 'shed-node', 'Page: dawn', ControlKind::Widget)
            ->control('lamps-look', 'shed-node', 'Page: look at the plants', ControlKind::Widget)
            ->control('lamps-dark', 'shed-node', 'Page: bench dark', ControlKind::Widget)
            ->output('potting', 'shed-node', 'Potting party', OutputKind::Sequence, more: ['settings' => ['passes' => 0, 'pauseMs' => 600]])
            ->step('potting', 'potting-1', 'First beat')
            ->step('potting', 'potting-2', 'Second beat', 600)
            ->step('potting', 'potting-stop', 'Bench dark again', when: 'stopped')
            ->control('page-potting', 'shed-node', 'Page: potting party', ControlKind::Widget)
            ->route('page-potting', Action::Toggle, 'potting');
        foreach ([1, 2, 3] as $lamp) {
            $sketch
                ->route('lamps-dawn', Action::Set, "grow-{$lamp} Dimmer", value: 180, more: ['fadeMs' => 30_000])
                ->route('lamps-dawn', Action::Set, "grow-{$lamp} Red", value: 200, more: ['fadeMs' => 30_000])
                ->route('lamps-look', Action::Set, "grow-{$lamp} Dimmer", value: 255)
                ->route('lamps-look', Action::Set, "grow-{$lamp} White", value: 255)
                ->route('lamps-dark', Action::Set, "grow-{$lamp} Dimmer", value: 0, more: ['fadeMs' => 2_000]);
        }
        foreach ([1, 2] as $row) {
            $sketch
                ->route('lamps-dawn', Action::Set, "row-{$row} Warm", value: 400, more: ['fadeMs' => 30_000])
                ->route('lamps-dark', Action::Set, "row-{$row} Warm", value: 0, more: ['fadeMs' => 2_000]);
        }
        foreach (['potting-1' => [1 => 255, 2 => 0], 'potting-2' => [1 => 0, 2 => 255]] as $step => $values) {
            foreach ($values as $lamp => $value) {
                $sketch->route($step, Action::Set, "grow-{$lamp} Dimmer", value: 255)->route($step, Action::Set, "grow-{$lamp} Blue", value: $value, more: ['fadeMs' => 400]);
            }
        }
        $sketch->route('potting-stop', Action::Set, 'grow-1 Dimmer', value: 0)->route('potting-stop', Action::Set, 'grow-2 Dimmer', value: 0)
            ->route('potting-stop', Action::Set, 'grow-1 Blue', value: 0)->route('potting-stop', Action::Set, 'grow-2 Blue', value: 0);
        $before = 'shed-node';
        foreach (['grow-1' => 9.0, 'grow-2' => 2.5, 'grow-3' => 2.5, 'row-1' => 2.0, 'row-2' => 2.0] as $node => $lengthM) {
            $sketch->cable("lamp-cable-{$node}", $before, $node, 'Lamp cable to '.strtr($node, '-', ' '), ['lengthM' => $lengthM, 'mm2' => 0.22, 'twisted' => true, 'connector' => 'plug of 3 pins, or of 5']);
            $before = $node;
        }
    }

    /** What hangs far off goes over the network that is there: a string of lights that was bought, and a board of ours for the path. */
    private static function orchard(Sketch $sketch): void
    {
        $sketch
            ->place('orchard', 'Orchard')
            ->link('orchard-lights', 'Orchard lights', 'dmx', ['form' => 'network'])
            ->join('orchard-lights', 'shed-node', Role::Sends)
            ->node('string-box', 'Light string', NodeKind::Fixture, 'orchard', null, ['fixtureTypeId' => $sketch->id('string')])
            ->join('orchard-lights', 'string-box', Role::Receives)
            ->node('path-node', 'Path board', NodeKind::Controller, 'orchard', 'wifi-3v3-11io')
            ->supply('path-plug', 'path-node', 'plug-5v-1a', 'Plug', null, FeedsAt::Usb)
            ->supply('path-lamps', 'path-node', 'plug-12v-2a', 'Supply of the lamps')
            ->module('path-gate', 'path-node', 'transistor-2v5', 'Path gate', 'path-lamps')
            ->output('path-light', 'path-node', 'Path light', OutputKind::Pwm, 'path-gate', load: '12 V lamps, 8 W', more: ['settings' => ['lowest' => 0, 'highest' => 100, 'unit' => '%']])
            ->join('house', 'path-node', Role::Both)
            ->join('orchard-lights', 'path-node', Role::Receives)
            ->control('page-path', 'shed-node', 'Page: path light', ControlKind::Widget)
            ->control('page-path-dark', 'shed-node', 'Page: orchard dark', ControlKind::Widget)
            ->route('page-path', Action::Set, 'path-light', value: 60)->hop('page-path path-light set', 'orchard-lights', 'shed-node', 'path-node', null)
            ->route('page-path-dark', Action::Set, 'path-light', value: 0)->hop('page-path-dark path-light set', 'orchard-lights', 'shed-node', 'path-node', null);
        foreach (['Red 1' => 255, 'Green 2' => 120, 'Red 3' => 255] as $name => $value) {
            $sketch
                ->output("string {$name}", 'string-box', $name, OutputKind::Function, null, $name, more: ['settings' => ['lowest' => 0, 'highest' => 255]])
                ->route('page-path', Action::Set, "string {$name}", value: $value, more: ['fadeMs' => 3_000])
                ->route('page-path-dark', Action::Set, "string {$name}", value: 0, more: ['fadeMs' => 3_000]);
        }
    }
}
