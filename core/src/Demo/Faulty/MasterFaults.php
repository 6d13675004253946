<?php

declare(strict_types=1);

namespace Rundfunk\Demo\Faulty;

use Rundfunk\Demo\FedFrom;
use Rundfunk\Demo\Sketch;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;

/** What can go wrong where several controls drive one output. */
final readonly class MasterFaults
{
    public static function add(Sketch $sketch): void
    {
        $sketch
            ->place('workshop', 'Workshop')
            ->node('workshop-node', 'Workshop', NodeKind::Controller, 'workshop', 'wifi-3v3-26io')
            ->module('workshop-relays', 'workshop-node', 'relay-bank-4-low', 'Relays', FedFrom::Own)
            ->module('workshop-keys', 'workshop-node', 'button-pad-4', 'Keys')
            ->output('vice-lamp', 'workshop-node', 'Vice lamp', OutputKind::Relay, 'workshop-relays', 'IN1', '12 V lamp', ['precedence' => 'holder-first'])
            ->output('dust-fan', 'workshop-node', 'Dust fan', OutputKind::Relay, 'workshop-relays', 'IN2', '12 V fan', ['precedence' => 'off-first'])
            ->output('stove-fan', 'workshop-node', 'Stove fan', OutputKind::Relay, 'workshop-relays', 'IN3', '12 V fan')
            ->output('radio-set', 'workshop-node', 'Wireless set', OutputKind::Relay, 'workshop-relays', 'IN4', '12 V wireless set')
            ->control('workshop-1', 'workshop-node', 'Lamp key')
            ->control('workshop-2', 'workshop-node', 'Fan key')
            ->control('workshop-3', 'workshop-node', 'Music key')
            ->control('workshop-4', 'workshop-node', 'Everything off')
            ->control('workshop-noon', 'workshop-node', 'Noon', ControlKind::Timer, settings: ['at' => '12:00'])
            // precedence-idle
            ->route('workshop-1', Action::Toggle, 'vice-lamp')
            // off-for-good
            ->route('workshop-2', Action::Toggle, 'dust-fan')
            ->route('workshop-noon', Action::On, 'dust-fan')
            ->route('workshop-2', Action::Toggle, 'stove-fan')
            // all-off-misses
            ->route('workshop-3', Action::Toggle, 'radio-set')
            ->route('workshop-4', Action::Off, 'vice-lamp')
            ->route('workshop-4', Action::Off, 'dust-fan')
            ->route('workshop-4', Action::Off, 'stove-fan');
    }
}
