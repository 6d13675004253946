<?php

declare(strict_types=1);

namespace Tests\Core\Arbitration;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rundfunk\Arbitration\Arbiter;
use Rundfunk\Arbitration\Standing;
use Rundfunk\Arbitration\Turn;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Precedence;
use Rundfunk\Plan\Route;

/** Who wins, message by message. Common practice of stair switches (follow), push switches (toggle) and emergency stops (off wins until put on by hand). */
final class ArbiterTest extends TestCase
{
    /** @return iterable<string, array{Precedence, list<array{string, Action, Turn}>, list<bool>}> precedence, messages by control, what the output does */
    public static function stories(): iterable
    {
        $wall = ['wall', Action::Follow, Turn::Worked];
        $wallOff = ['wall', Action::Follow, Turn::LetGo];
        $push = ['push', Action::Toggle, Turn::Worked];
        $text = ['text', Action::Off, Turn::Worked];
        $app = ['app', Action::On, Turn::Worked];
        $dusk = ['dusk', Action::On, Turn::Worked];
        $dawn = ['dusk', Action::Off, Turn::Worked];
        yield 'the last message counts: a latching switch stands on while the lamp is off' => [Precedence::LastWriter, [$wall, $push, $wallOff, $push, $wall], [true, false, false, true, true]];
        yield 'a released push key changes nothing' => [Precedence::LastWriter, [$push, ['push', Action::Toggle, Turn::LetGo], $push], [true, true, false]];
        yield 'a pulse ends by itself' => [Precedence::LastWriter, [['call', Action::Pulse, Turn::Worked], ['call', Action::Pulse, Turn::LetGo]], [true, false]];
        yield 'a switch that holds wins' => [Precedence::HolderFirst, [$wall, $push, $text, $dawn, $wallOff, $push], [true, true, true, true, false, true]];
        yield 'of two that hold, the last to let go counts' => [Precedence::HolderFirst, [$wall, ['door', Action::Momentary, Turn::Worked], $wallOff, ['door', Action::Momentary, Turn::LetGo]], [true, true, true, false]];
        yield 'off by hand bars timer and toggle until an on by hand' => [Precedence::OffFirst, [$dusk, $text, $dusk, $push, $app, $push], [true, false, false, false, true, false]];
        yield 'a timer that puts off bars nobody' => [Precedence::OffFirst, [$dusk, $dawn, $dusk], [true, false, true]];
        yield 'after a bar that an on has lifted, the timer works again' => [Precedence::OffFirst, [$text, $app, $dawn, $dusk], [false, true, false, true]];
    }

    /**
     * @param  list<array{string, Action, Turn}>  $messages
     * @param  list<bool>  $states
     */
    #[DataProvider('stories')]
    public function test_the_output_obeys_as_its_precedence_says(Precedence $precedence, array $messages, array $states): void
    {
        $kinds = ['wall' => ControlKind::Switch, 'push' => ControlKind::Button, 'text' => ControlKind::Text, 'app' => ControlKind::Widget, 'dusk' => ControlKind::Timer, 'call' => ControlKind::Call, 'door' => ControlKind::Button];
        $arbiter = new Arbiter($precedence);
        $standing = new Standing(false);
        $seen = [];
        foreach ($messages as [$name, $action, $turn]) {
            $route = new Route('route', $name, 'output', $action);
            $standing = $arbiter->hear($standing, new Control($name, 'node', $name, $kinds[$name]), $route, $turn);
            $seen[] = $standing->on;
        }
        self::assertSame($states, $seen);
    }

    public function test_setting_to_nought_stops_it_and_setting_to_anything_else_starts_it(): void
    {
        $arbiter = new Arbiter(Precedence::LastWriter);
        $key = new Control('key', 'node', 'Key', ControlKind::Button);
        $set = static fn (int $value): Route => new Route('route', 'key', 'output', Action::Set, value: $value);
        self::assertTrue($arbiter->hear(new Standing(false), $key, $set(-3), Turn::Worked)->on);
        self::assertFalse($arbiter->hear(new Standing(true), $key, $set(0), Turn::Worked)->on);
        self::assertTrue((new Arbiter(Precedence::OffFirst))->hear(new Standing(true), $key, $set(0), Turn::Worked)->barred);
    }
}
