<?php

declare(strict_types=1);

namespace Tests\Core\Arbitration;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rundfunk\Arbitration\Arbiter;
use Rundfunk\Arbitration\Ask;
use Rundfunk\Arbitration\Range;
use Rundfunk\Arbitration\Standing;
use Rundfunk\Arbitration\Turn;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Precedence;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\ValueSpan;

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
        yield 'a pulse that has run out bars nobody' => [Precedence::OffFirst, [['call', Action::Pulse, Turn::Worked], ['call', Action::Pulse, Turn::LetGo], $dusk], [true, false, true]];
        yield 'a held key that is let go bars nobody' => [Precedence::OffFirst, [['door', Action::Momentary, Turn::Worked], ['door', Action::Momentary, Turn::LetGo], $dusk], [true, false, true]];
        yield 'a wall switch put off bars the timer' => [Precedence::OffFirst, [$wall, $wallOff, $dusk, $wall], [true, false, false, true]];
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
        $standing = new Standing(0);
        $masters = array_flip(array_keys($kinds));
        $seen = [];
        foreach ($messages as [$name, $action, $turn]) {
            $route = new Route('route', $name, 'output', $action);
            $standing = $arbiter->hear($standing, Ask::of(new Control($name, 'node', $name, $kinds[$name]), $route, $masters[$name]), $turn);
            $seen[] = $arbiter->isOn($standing);
        }
        self::assertSame($states, $seen);
    }

    /** @return iterable<string, array{Precedence, array{int, int}, list<array{Action, int|null, Turn}>, list<int>}> precedence, lowest and highest, what is asked, where it stands */
    public static function values(): iterable
    {
        $worked = Turn::Worked;
        yield 'a dimmer is set, stepped and put off' => [Precedence::LastWriter, [0, 100], [[Action::Set, 40, $worked], [Action::Step, 25, $worked], [Action::Step, 50, $worked], [Action::Off, null, $worked], [Action::Toggle, null, $worked]], [40, 65, 100, 0, 100]];
        yield 'what is beyond the span stops at its end' => [Precedence::LastWriter, [-100, 100], [[Action::Set, 300, $worked], [Action::Set, -300, $worked], [Action::Set, 0, $worked]], [100, -100, 0]];
        yield 'a span without nought rests at its lowest' => [Precedence::LastWriter, [1000, 2000], [[Action::On, null, $worked], [Action::Off, null, $worked], [Action::Step, -50, $worked], [Action::Step, 20, $worked]], [2000, 1000, 1000, 1020]];
        yield 'a span below nought goes on at its lowest' => [Precedence::LastWriter, [-5, 0], [[Action::On, null, $worked], [Action::Toggle, null, $worked]], [-5, 0]];
        yield 'while it is held, another may dim it and not put it off' => [Precedence::HolderFirst, [0, 100], [[Action::Follow, null, $worked], [Action::Set, 30, $worked], [Action::Set, 0, $worked], [Action::Off, null, $worked], [Action::Follow, null, Turn::LetGo]], [100, 30, 30, 30, 0]];
        yield 'a set to nought by hand bars a step' => [Precedence::OffFirst, [0, 10], [[Action::Set, 5, $worked], [Action::Set, 0, $worked], [Action::Step, 1, $worked], [Action::Set, 2, $worked], [Action::Step, 1, $worked]], [5, 0, 0, 2, 3]];
    }

    /**
     * @param  array{int, int}  $span
     * @param  list<array{Action, int|null, Turn}>  $asked
     * @param  list<int>  $values
     */
    #[DataProvider('values')]
    public function test_an_output_of_values_stands_where_it_is_put(Precedence $precedence, array $span, array $asked, array $values): void
    {
        $range = Range::over(new ValueSpan(...$span));
        $arbiter = new Arbiter($precedence, $range);
        $standing = new Standing($range->off);
        $seen = [];
        foreach ($asked as [$action, $value, $turn]) {
            $standing = $arbiter->hear($standing, new Ask(0, $action, true, $value), $turn);
            $seen[] = $standing->value;
        }
        self::assertSame($values, $seen);
    }
}
