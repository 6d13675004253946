<?php

declare(strict_types=1);

namespace Tests\Core\Check;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Check\Finding;
use Rundfunk\Demo\Sketch;
use Rundfunk\Edit\Editor;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Role;
use Rundfunk\Plan\ThingKind;
use Tests\Core\CoreTestCase;

/** A row a case: what is routed, and what each rule about routes must say of it. */
final class RouteRulesTest extends CoreTestCase
{
    /** @return iterable<string, array{string, Closure(Sketch): Sketch, list<string>}> rule, plan, titles */
    public static function cases(): iterable
    {
        $link = static fn (Sketch $s, Role $hand = Role::Sends, Role $board = Role::Receives): Sketch => $s
            ->link('l', 'Air', 'packet-radio')
            ->join('l', 'hand', $hand, 'hand-radio')
            ->join('l', 'board', $board, 'board-radio');
        $ends = static fn (Sketch $s, ControlKind $kind = ControlKind::Button): Sketch => $s->control('k', 'hand', 'Key', $kind)->output('o', 'board', 'Lamp');

        // E14: silent, all of these.
        $follows = static fn (Sketch $s, array $settings, Action $action = Action::Follow): Sketch => $s->control('r', 'hand', 'Frost', ControlKind::Reading, settings: $settings)->output('o', 'board', 'Lamp')->route('r', $action, 'o');
        yield 'a reading with a threshold' => ['reading-without-threshold', static fn (Sketch $s): Sketch => $follows($s, ['threshold' => 2.0]), []];
        yield 'a reading without' => ['reading-without-threshold', static fn (Sketch $s): Sketch => $follows($s, []), ['Lamp follows Frost, and nothing says from which value on']];
        yield 'a reading that only hands its value on' => ['reading-without-threshold', static fn (Sketch $s): Sketch => $follows($s, [], Action::Set), []];
        yield 'a function of a bought thing' => ['function-without-hardware', static fn (Sketch $s): Sketch => $s->node('h', 'Heater', NodeKind::Fixture, null, null)->output('f', 'h', 'Heat', OutputKind::Function), []];
        yield 'a function of a board of ours' => ['function-without-hardware', static fn (Sketch $s): Sketch => $s->output('f', 'board', 'Heat', OutputKind::Function), ['Heat of Board is a function of nothing']];

        $flap = static fn (Sketch $s, Action $action, ?int $value, OutputKind $kind): Sketch => $ends($s)->output('f', 'board', 'Flap', $kind)->route('k', $action, 'f', value: $value);
        yield 'a servo to a place' => ['switching-impossible', static fn (Sketch $s): Sketch => $flap($s, Action::Set, 30, OutputKind::Servo), []];
        yield 'a servo on' => ['switching-impossible', static fn (Sketch $s): Sketch => $flap($s, Action::On, null, OutputKind::Servo), ['Flap cannot "on"']];
        yield 'a motor off' => ['switching-impossible', static fn (Sketch $s): Sketch => $flap($s, Action::Off, null, OutputKind::Motor), []];
        yield 'a motor as fast as it goes' => ['value-outside', static fn (Sketch $s): Sketch => $flap($s, Action::Set, 100, OutputKind::Motor), []];
        yield 'a motor faster' => ['value-outside', static fn (Sketch $s): Sketch => $flap($s, Action::Set, 101, OutputKind::Motor), ['Flap has no 101: it goes from -100 to 100']];

        yield 'a radio for the link' => ['endpoint-without-module', $link, []];
        yield 'no radio for the link' => [
            'endpoint-without-module',
            static fn (Sketch $s): Sketch => $s
                ->link('l', 'Air', 'packet-radio')
                ->join('l', 'hand', Role::Sends),
            ['Hand has no radio for Air'],
        ];
        yield 'a key pad for a radio' => [
            'endpoint-without-module',
            static fn (Sketch $s): Sketch => $s
                ->link('l', 'Air', 'packet-radio')
                ->join('l', 'hand', Role::Sends, 'hand-keys'),
            ['Hand has no radio for Air'],
        ];
        yield 'one radio on two links' => [
            'endpoint-without-module',
            static fn (Sketch $s): Sketch => $link($s)
                ->link('m', 'Other', 'packet-radio')
                ->join('m', 'hand', Role::Sends, 'hand-radio'),
            ['Radio of Hand serves two links'],
        ];

        yield 'a key that does something' => [
            'control-without-route',
            static fn (Sketch $s): Sketch => $ends($s)->route('k', Action::On, 'o'),
            [],
        ];
        yield 'a key that does nothing' => ['control-without-route', $ends, ['Key of Hand does nothing']];
        yield 'an output that is driven' => [
            'output-undriven',
            static fn (Sketch $s): Sketch => $ends($s)->route('k', Action::On, 'o'),
            [],
        ];
        yield 'an output nobody drives' => ['output-undriven', $ends, ['Nothing drives Lamp of Board']];

        yield 'a path that holds' => [
            'route-without-path',
            static fn (Sketch $s): Sketch => $ends($link($s))
                ->route('k', Action::On, 'o')
                ->hop('k o on', 'l', 'hand', 'board', 1),
            [],
        ];
        yield 'a path not chosen yet' => [
            'route-without-path',
            static fn (Sketch $s): Sketch => $ends($link($s))->route('k', Action::On, 'o'),
            ['Hand · Key → Board · Lamp has no path yet'],
        ];
        yield 'a link the wrong way round' => [
            'route-without-path',
            static fn (Sketch $s): Sketch => $ends($link($s, Role::Receives, Role::Sends))->route('k', Action::On, 'o'),
            ['No way leads along Hand · Key → Board · Lamp'],
        ];
        yield 'no link at all' => [
            'route-without-path',
            static fn (Sketch $s): Sketch => $ends($s)->route('k', Action::On, 'o'),
            ['No way leads along Hand · Key → Board · Lamp'],
        ];
        yield 'a route inside one node' => [
            'route-without-path',
            static fn (Sketch $s): Sketch => $s
                ->control('k', 'board', 'Key')
                ->output('o', 'board', 'Lamp')
                ->route('k', Action::On, 'o'),
            [],
        ];

        yield 'a code' => [
            'code-missing',
            static fn (Sketch $s): Sketch => $ends($link($s))
                ->route('k', Action::On, 'o')
                ->hop('k o on', 'l', 'hand', 'board', 1),
            [],
        ];
        yield 'no code' => [
            'code-missing',
            static fn (Sketch $s): Sketch => $ends($link($s))
                ->route('k', Action::On, 'o')
                ->hop('k o on', 'l', 'hand', 'board', null),
            ['Hand · Key → Board · Lamp has no command code yet'],
        ];
        yield 'two codes' => ['code-shared', static fn (Sketch $s): Sketch => self::twoCommands($ends($link($s)), 1, 2), []];
        yield 'one code for two commands' => [
            'code-shared',
            static fn (Sketch $s): Sketch => self::twoCommands($ends($link($s)), 1, 1),
            ['Two commands to Board have the code 0x01'],
        ];
        yield 'one code for one command of two keys' => [
            'code-shared',
            static fn (Sketch $s): Sketch => $ends($link($s))
                ->control('k2', 'hand', 'Other')
                ->route('k', Action::On, 'o')
                ->route('k2', Action::On, 'o')
                ->hop('k o on', 'l', 'hand', 'board', 1)
                ->hop('k2 o on', 'l', 'hand', 'board', 1),
            [],
        ];

        yield 'a button toggles' => [
            'action-unfit',
            static fn (Sketch $s): Sketch => $ends($s)->route('k', Action::Toggle, 'o'),
            [],
        ];
        yield 'a switch toggles' => [
            'action-unfit',
            static fn (Sketch $s): Sketch => $ends($s, ControlKind::Switch)->route('k', Action::Toggle, 'o'),
            ['A switch cannot do "toggle"'],
        ];
        yield 'a switch is followed' => [
            'action-unfit',
            static fn (Sketch $s): Sketch => $ends($s, ControlKind::Switch)->route('k', Action::Follow, 'o'),
            [],
        ];
        yield 'a button is followed' => [
            'action-unfit',
            static fn (Sketch $s): Sketch => $ends($s)->route('k', Action::Follow, 'o'),
            ['A button cannot do "follow"'],
        ];
        yield 'a stick switches on' => [
            'action-unfit',
            static fn (Sketch $s): Sketch => $ends($s, ControlKind::Axis)->route('k', Action::On, 'o'),
            ['A stick cannot do "on"'],
        ];
        yield 'a pulse without a length' => [
            'action-unfit',
            static fn (Sketch $s): Sketch => $ends($s)->route('k', Action::Pulse, 'o'),
            ['A pulse has no length yet'],
        ];
        yield 'a pulse with one' => [
            'action-unfit',
            static fn (Sketch $s): Sketch => $ends($s)->route('k', Action::Pulse, 'o', 500),
            [],
        ];

        yield 'two keys that toggle' => [
            'routes-fight',
            static fn (Sketch $s): Sketch => $ends($s)
                ->control('k2', 'hand', 'Other')
                ->route('k', Action::Toggle, 'o')
                ->route('k2', Action::Toggle, 'o'),
            [],
        ];
        yield 'a switch against a key' => [
            'routes-fight',
            static fn (Sketch $s): Sketch => $ends($s)
                ->control('k2', 'hand', 'Other', ControlKind::Switch)
                ->route('k', Action::Toggle, 'o')
                ->route('k2', Action::Follow, 'o'),
            ['Lamp of Board has two masters that contradict each other'],
        ];
        yield 'one key for on and off' => [
            'routes-fight',
            static fn (Sketch $s): Sketch => $ends($s)
                ->route('k', Action::On, 'o')
                ->route('k', Action::Off, 'o'),
            ['Lamp of Board has two masters that contradict each other'],
        ];
        $masters = static fn (Sketch $s, string $precedence): Sketch => $s
            ->control('k', 'hand', 'Key')->control('sw', 'hand', 'Switch', ControlKind::Switch)->control('t', 'board', 'Noon', ControlKind::Timer)
            ->output('o', 'board', 'Lamp', more: ['precedence' => $precedence]);
        yield 'a switch that is to win over a key' => [
            'routes-fight',
            static fn (Sketch $s): Sketch => $masters($s, 'holder-first')->route('k', Action::Toggle, 'o')->route('sw', Action::Follow, 'o'),
            [],
        ];
        yield 'a switch that off is to win over' => [
            'routes-fight',
            static fn (Sketch $s): Sketch => $masters($s, 'off-first')->route('k', Action::Toggle, 'o')->route('sw', Action::Follow, 'o'),
            ['Lamp of Board has two masters that contradict each other'],
        ];
        yield 'a switch is to win and there is one' => [
            'precedence-idle',
            static fn (Sketch $s): Sketch => $masters($s, 'holder-first')->route('sw', Action::Follow, 'o'),
            [],
        ];
        yield 'a switch is to win and there is none' => [
            'precedence-idle',
            static fn (Sketch $s): Sketch => $masters($s, 'holder-first')->route('k', Action::Toggle, 'o'),
            ['Nothing holds Lamp'],
        ];
        yield 'off is to win, and only a timer puts on again' => [
            'off-for-good',
            static fn (Sketch $s): Sketch => $masters($s, 'off-first')->route('k', Action::Toggle, 'o')->route('t', Action::On, 'o'),
            ['Lamp of Board, once off, stays off'],
        ];
        yield 'off is to win, and a hand can put on again' => [
            'off-for-good',
            static fn (Sketch $s): Sketch => $masters($s, 'off-first')->control('k2', 'hand', 'On')->route('k', Action::Off, 'o')->route('k2', Action::On, 'o'),
            [],
        ];
        yield 'off is to win, and nothing puts off by hand' => [
            'off-for-good',
            static fn (Sketch $s): Sketch => $masters($s, 'off-first')->route('t', Action::On, 'o'),
            [],
        ];
        $everything = static fn (Sketch $s, string ...$off): Sketch => array_reduce(
            $off,
            static fn (Sketch $s, string $output): Sketch => $s->route('all', Action::Off, $output),
            array_reduce(
                ['a', 'b', 'c', 'd'],
                static fn (Sketch $s, string $key): Sketch => $s->output($key, 'board', strtoupper($key))->control("key-{$key}", 'hand', "Key {$key}")->route("key-{$key}", Action::Toggle, $key),
                $s->control('all', 'hand', 'All off'),
            ),
        );
        yield 'everything off, and one forgotten' => [
            'all-off-misses',
            static fn (Sketch $s): Sketch => $everything($s, 'a', 'b', 'd'),
            ['All off of Hand leaves C of Board on'],
        ];
        yield 'everything off' => ['all-off-misses', static fn (Sketch $s): Sketch => $everything($s, 'a', 'b', 'c', 'd'), []];
        yield 'two off are not everything' => ['all-off-misses', static fn (Sketch $s): Sketch => $everything($s, 'a', 'b'), []];

        $toy = static fn (Sketch $s, array $settings = ['lowest' => -3, 'highest' => 3], ControlKind $kind = ControlKind::Button, array $control = []): Sketch => $s
            ->node('toy', 'Toy', NodeKind::Fixture, null, null)
            ->output('o', 'toy', 'Speed', OutputKind::Function, more: ['settings' => $settings])
            ->node('page', 'Page', NodeKind::Gateway, null, '8bit-5v-20io')
            ->control('k', $kind->isWired() ? 'hand' : 'page', 'Key', $kind, settings: $control);
        yield 'a value for something that takes values' => ['value-impossible', static fn (Sketch $s): Sketch => $toy($s)->route('k', Action::Set, 'o', value: 2), []];
        yield 'a value for a relay' => ['value-impossible', static fn (Sketch $s): Sketch => $ends($s)->route('k', Action::Set, 'o', value: 2), ['Lamp cannot "set 2"']];
        yield 'a step of a relay' => ['value-impossible', static fn (Sketch $s): Sketch => $ends($s)->route('k', Action::Step, 'o', value: -1), ['Lamp cannot "step -1"']];
        yield 'a stick on a relay' => ['value-impossible', static fn (Sketch $s): Sketch => $ends($s, ControlKind::Axis)->route('k', Action::Set, 'o'), ['Lamp cannot "set"']];
        yield 'a switch on a relay' => ['value-impossible', static fn (Sketch $s): Sketch => $ends($s)->route('k', Action::On, 'o'), []];
        yield 'a key that says which value' => ['value-missing', static fn (Sketch $s): Sketch => $toy($s)->route('k', Action::Set, 'o', value: 0), []];
        yield 'a key that does not' => ['value-missing', static fn (Sketch $s): Sketch => $toy($s)->route('k', Action::Set, 'o'), ['A set has no value yet']];
        yield 'a step to nowhere' => ['value-missing', static fn (Sketch $s): Sketch => $toy($s)->route('k', Action::Step, 'o'), ['A step has no direction yet']];
        yield 'a stick, whose position is the value' => ['value-missing', static fn (Sketch $s): Sketch => $toy($s, kind: ControlKind::Axis)->route('k', Action::Set, 'o'), []];
        yield 'a slider, likewise' => ['value-missing', static fn (Sketch $s): Sketch => $toy($s, kind: ControlKind::Widget, control: ['shape' => 'slider'])->route('k', Action::Set, 'o'), []];
        yield 'a button of a page' => ['value-missing', static fn (Sketch $s): Sketch => $toy($s, kind: ControlKind::Widget, control: ['shape' => 'button'])->route('k', Action::Set, 'o'), ['A set has no value yet']];
        yield 'the highest value there is' => ['value-outside', static fn (Sketch $s): Sketch => $toy($s)->route('k', Action::Set, 'o', value: 3), []];
        yield 'one more than the highest' => ['value-outside', static fn (Sketch $s): Sketch => $toy($s)->route('k', Action::Set, 'o', value: 4), ['Speed has no 4: it goes from -3 to 3']];
        yield 'one less than the lowest' => ['value-outside', static fn (Sketch $s): Sketch => $toy($s)->route('k', Action::Set, 'o', value: -4), ['Speed has no -4: it goes from -3 to 3']];
        yield 'a code for a value there is not' => ['value-outside', static fn (Sketch $s): Sketch => $toy($s)->keyCode('toy', 'Fast', 'nec', 1, 2, output: 'o', action: Action::Set, more: ['value' => 9]), ['Speed has no 9: it goes from -3 to 3']];
        yield 'a far step is not a value' => ['value-outside', static fn (Sketch $s): Sketch => $toy($s)->route('k', Action::Step, 'o', value: 9), []];
        yield 'something set to nobody knows what' => ['value-span-unknown', static fn (Sketch $s): Sketch => $toy($s, [])->route('k', Action::Set, 'o', value: 3), ['Nobody has said what Speed can be set to']];
        yield 'a span upside down' => ['value-span-unknown', static fn (Sketch $s): Sketch => $toy($s, ['lowest' => 3, 'highest' => -3])->route('k', Action::Set, 'o', value: 3), ['Nobody has said what Speed can be set to']];
        yield 'something that is never set' => ['value-span-unknown', static fn (Sketch $s): Sketch => $toy($s, [])->route('k', Action::On, 'o'), []];
        yield 'a stick and a key on one speed' => ['routes-fight', static fn (Sketch $s): Sketch => $toy($s, kind: ControlKind::Axis)->control('k2', 'hand', 'Stop')->route('k', Action::Set, 'o')->route('k2', Action::Set, 'o', value: 0), ['Speed of Toy has two masters that contradict each other']];
        yield 'two keys for two speeds' => ['routes-fight', static fn (Sketch $s): Sketch => $toy($s)->control('k2', 'hand', 'Stop')->route('k', Action::Set, 'o', value: 2)->route('k2', Action::Set, 'o', value: 0), []];
    }

    private static function twoCommands(Sketch $sketch, int $first, int $second): Sketch
    {
        return $sketch->control('k2', 'hand', 'Other')
            ->route('k', Action::On, 'o')->route('k2', Action::Off, 'o')
            ->hop('k o on', 'l', 'hand', 'board', $first)->hop('k2 o off', 'l', 'hand', 'board', $second);
    }

    /**
     * @param  Closure(Sketch): Sketch  $plan
     * @param  list<string>  $titles
     */
    #[DataProvider('cases')]
    public function test_the_rule_says(string $rule, Closure $plan, array $titles): void
    {
        self::assertSame($titles, array_map(static fn (Finding $finding): string => $finding->title, self::found($plan(self::pair())->plan(), $rule)));
    }

    public function test_a_sharing_that_is_meant_is_no_fight(): void
    {
        $sketch = self::pair()
            ->control('k', 'hand', 'Key')
            ->control('k2', 'hand', 'Switch', ControlKind::Switch)
            ->output('o', 'board', 'Lamp')
            ->route('k', Action::Toggle, 'o')->route('k2', Action::Follow, 'o');
        $meant = (new Editor(self::knowledge()))->apply($sketch->plan(), [Operation::change(ThingKind::Output, $sketch->id('o'), ['deliberate' => ['many-masters']])])->plan;
        self::assertSame([], self::found($meant, 'routes-fight'));
    }

    public function test_a_switch_is_let_win_only_where_that_ends_the_fight_among_all_masters(): void
    {
        $two = self::pair()
            ->control('k', 'hand', 'Key')->control('sw', 'hand', 'Switch', ControlKind::Switch)->output('o', 'board', 'Lamp')
            ->route('k', Action::Toggle, 'o')->route('sw', Action::Follow, 'o');
        self::assertSame('Let the switch that holds it win', self::found($two->plan(), 'routes-fight')[0]->fix?->label);
        // One key that asks for both at one press: no switch settles that.
        $three = $two->route('k', Action::Off, 'o');
        self::assertSame('Mark it as meant', self::found($three->plan(), 'routes-fight')[0]->fix?->label);
    }
}
