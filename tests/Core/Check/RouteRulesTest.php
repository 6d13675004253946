<?php

declare(strict_types=1);

namespace Tests\Core\Check;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Check\Finding;
use Rundfunk\Demo\Sketch;
use Rundfunk\Edit\Editor;
use Rundfunk\Edit\Operation;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
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
}
