<?php

declare(strict_types=1);

namespace Tests\Core\Arbitration;

use Rundfunk\Arbitration\AllOff;
use Rundfunk\Demo\Sketch;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Tests\Core\CoreTestCase;

/** What "all off" reaches. */
final class AllOffTest extends CoreTestCase
{
    public function test_it_reaches_what_can_be_put_on_and_nothing_else(): void
    {
        $plan = (new Sketch('all-off', 'All off', self::assigner(), 'eu'))
            ->node('board', 'Board', NodeKind::Controller, null, null)
            ->node('phone', 'Phone', NodeKind::Phone, null, null)
            ->control('key', 'board', 'Key')
            ->output('lamp', 'board', 'Lamp')
            ->output('spare', 'board', 'Spare')
            ->output('stopped', 'board', 'Only ever stopped')
            ->node('toy', 'Toy', NodeKind::Fixture, null, null)
            ->output('speed', 'toy', 'Speed', OutputKind::Function)
            ->output('brake', 'toy', 'Only ever set to nought', OutputKind::Function)
            ->output('shown', 'board', 'Shown', OutputKind::Display)
            ->route('key', Action::Set, 'shown', value: 1)
            ->output('told', 'phone', 'Told', OutputKind::Message)
            ->route('key', Action::Toggle, 'lamp')
            ->route('key', Action::Off, 'stopped')
            ->route('key', Action::On, 'told')
            ->route('key', Action::Set, 'speed', value: 3)
            ->route('key', Action::Set, 'brake', value: 0)
            ->plan();
        self::assertSame(['Lamp', 'Speed'], array_map(static fn (string $id): string => $plan->output($id)->name, AllOff::of($plan)));
    }
}
