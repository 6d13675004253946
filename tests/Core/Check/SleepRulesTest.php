<?php

declare(strict_types=1);

namespace Tests\Core\Check;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Severity;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Demo\Sketch;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\PartKind;
use Rundfunk\Plan\Role;
use Rundfunk\Plan\Sleep;
use Rundfunk\Plan\ThingKind;
use Tests\Core\CoreTestCase;

/**
 * A row a case: who sleeps how, and what is said of it. Awake half a second in a minute, a board hears one thing in a hundred and twenty. That a broker keeps the
 * last of a topic: MQTT 3.1.1, 3.3.1.3; that a text waits: 3GPP TS 23.040.
 */
final class SleepRulesTest extends CoreTestCase
{
    /** @return iterable<string, array{string, Closure(Sketch): Sketch, list<array{string, string}>}> rule, plan, of each finding its title and its fix */
    public static function cases(): iterable
    {
        $asleep = static fn (Sketch $s, string $node, Sleep $sleep = Sleep::Between): Sketch => $s->change(ThingKind::Node, $node, ['sleep' => $sleep->value]);
        $told = static fn (string $medium, array $settings = [], ControlKind $kind = ControlKind::Button): Closure => static fn (Sketch $s): Sketch => $s->node('a', 'Ann', NodeKind::Controller, null, 'wifi-3v3-26io')->node('b', 'Ben', NodeKind::Controller, null, 'wifi-3v3-26io')
            ->control('k', 'a', 'Key', $kind)->output('o', 'b', 'Lamp')->link('l', 'Air', $medium, $settings)->join('l', 'a', Role::Both)->join('l', 'b', Role::Both)->route('k', Action::On, 'o')->hop('k o on', 'l', 'a', 'b', 1);
        $lost = [['Ben sleeps, and does not hear what it is told', 'It stays awake']];

        // Deep sleep lets go of the pins of a Wi-Fi board, and of no 8-bit board's. Data sheets of such, from memory.
        $holds = static fn (string $board, string $class, OutputKind $kind, ?string $expander = null, array $more = []): Closure => static fn (Sketch $s): Sketch => $asleep(($expander === null ? $s->node('b', 'Ben', NodeKind::Controller, null, $board) : $s->node('b', 'Ben', NodeKind::Controller, null, $board)->module('x', 'b', $expander, 'Register', FedFrom::Board3V3))
            ->module('m', 'b', $class, 'Part', FedFrom::Board5V)->wire('m', array_key_first(self::knowledge()->catalogue->modules[$class]->terminals) ?? '', $expander === null ? ($board === '8bit-5v-20io' ? 'D4' : 'IO4') : 'X0')->output('o', 'b', 'Lamp', $kind, 'm', array_key_first(self::knowledge()->catalogue->modules[$class]->terminals) ?? '', more: $more), 'b');
        $letGo = static fn (string $word): array => [["Lamp of Ben is {$word} whenever the node sleeps", 'It stays awake']];
        yield 'a relay that is pulled off' => ['asleep-lets-go', $holds('wifi-3v3-26io', 'relay-bank-1-high', OutputKind::Relay), $letGo('off')];
        yield 'a gate that a resistor pulls on' => ['asleep-lets-go', static fn (Sketch $s): Sketch => $holds('wifi-3v3-26io', 'transistor-2v5', OutputKind::Pwm)($s)->part('m', 'GATE', PartKind::PullUp, ['ohms' => 10_000.0]), $letGo('on')];
        yield 'on a board that holds its pins' => ['asleep-lets-go', $holds('8bit-5v-20io', 'relay-bank-1-high', OutputKind::Relay), []];
        yield 'a relay that stays by itself' => ['asleep-lets-go', $holds('wifi-3v3-26io', 'relay-latching-1', OutputKind::Relay), []];
        yield 'a register that holds it' => ['asleep-lets-go', $holds('wifi-3v3-26io', 'relay-bank-1-high', OutputKind::Relay, 'shift-register-8'), []];
        yield 'a lamp that shows' => ['asleep-lets-go', $holds('wifi-3v3-26io', 'indicator-lamp', OutputKind::Lamp), []];

        yield 'awake' => ['asleep-when-told', $told('packet-radio'), []];
        yield 'asleep between readings' => ['asleep-when-told', static fn (Sketch $s): Sketch => $asleep($told('packet-radio')($s), 'b'), $lost];
        yield 'asleep until a key is pressed' => ['asleep-when-told', static fn (Sketch $s): Sketch => $asleep($told('packet-radio')($s), 'b', Sleep::UntilKey), $lost];
        yield 'who tells may sleep' => ['asleep-when-told', static fn (Sketch $s): Sketch => $asleep($told('packet-radio')($s), 'a', Sleep::UntilKey), []];
        yield 'what a broker keeps waits' => ['asleep-when-told', static fn (Sketch $s): Sketch => $asleep($told('ip', ['retainCommands' => true])($s), 'b'), [['Ben hears only when it wakes', 'It stays awake']]];
        yield 'and is lost where it does not' => ['asleep-when-told', static fn (Sketch $s): Sketch => $asleep($told('ip')($s), 'b'), $lost];
        yield 'on its way through it' => ['asleep-when-told', static fn (Sketch $s): Sketch => $asleep($told('packet-radio')($s)->node('c', 'Cay', NodeKind::Controller, null, '8bit-5v-20io')->link('l2', 'More air', 'packet-radio')->join('l2', 'b', Role::Both)->join('l2', 'c', Role::Both)->output('p', 'c', 'Far lamp')
            ->route('k', Action::On, 'p')->hop('k p on', 'l', 'a', 'b', 2)->hop('k p on', 'l2', 'b', 'c', 1), 'b'), $lost];
        $phone = static fn (ControlKind $kind): Closure => static fn (Sketch $s): Sketch => $s->node('a', 'Phone', NodeKind::Phone, null, null)->node('b', 'Ben', NodeKind::Controller, null, '8bit-5v-20io')
            ->control('k', 'a', 'Word', $kind)->output('o', 'b', 'Lamp')->link('l', 'Mobile', 'cellular')->join('l', 'a', Role::Sends)->join('l', 'b', Role::Both)->route('k', Action::On, 'o')->hop('k o on', 'l', 'a', 'b', null);
        yield 'a text waits' => ['asleep-when-told', static fn (Sketch $s): Sketch => $asleep($phone(ControlKind::Text)($s), 'b'), [['Ben hears only when it wakes', 'It stays awake']]];
        yield 'a call is over' => ['asleep-when-told', static fn (Sketch $s): Sketch => $asleep($phone(ControlKind::Call)($s), 'b'), $lost];
        yield 'nobody tells it anything' => ['asleep-when-told', static fn (Sketch $s): Sketch => $asleep($s->node('b', 'Ben', NodeKind::Controller, null, '8bit-5v-20io')->link('l', 'Air', 'packet-radio')->join('l', 'b', Role::Both), 'b'), []];

        $works = static function (ControlKind $kind, Sleep $sleep, bool $routed = true) use ($asleep): Closure {
            return static function (Sketch $s) use ($asleep, $kind, $sleep, $routed): Sketch {
                $one = $asleep($s->node('b', 'Ben', NodeKind::Controller, null, '8bit-5v-20io'), 'b', $sleep)
                    ->control('k', 'b', 'Thing', $kind, settings: $kind === ControlKind::Reading ? ['threshold' => 2.0] : [])->output('o', 'b', 'Lamp');

                return $routed ? $one->route('k', Action::On, 'o') : $one;
            };
        };
        $through = static fn (string $fix): array => [['Ben sleeps through Thing', $fix]];
        yield 'a key of a board that wakes for readings' => ['control-asleep', $works(ControlKind::Button, Sleep::Between), $through('It sleeps until a key is pressed')];
        yield 'a switch' => ['control-asleep', $works(ControlKind::Switch, Sleep::Between), $through('It sleeps until a key is pressed')];
        // No stick wakes a board: where it stands is a voltage that somebody must look at.
        yield 'a stick' => ['control-asleep', $works(ControlKind::Axis, Sleep::Between), $through('It stays awake')];
        yield 'a stick of a board that a key wakes' => ['control-asleep', $works(ControlKind::Axis, Sleep::UntilKey), $through('It stays awake')];
        $state = static fn (Sleep $sleep, int $everyS): Closure => static fn (Sketch $s): Sketch => $asleep($s->node('b', 'Ben', NodeKind::Controller, null, '8bit-5v-20io'), 'b', $sleep)->output('p', 'b', 'Pump')->state('p', 'k', 'Thing', settings: ['everyS' => $everyS])->output('o', 'b', 'Lamp')->route('k', Action::Follow, 'o');
        yield 'a state that is told again and again' => ['control-asleep', $state(Sleep::UntilKey, 60), $through('It sleeps between readings')];
        yield 'a state that is told when it changes' => ['control-asleep', $state(Sleep::UntilKey, 0), []];
        yield 'a state of a board that wakes to tell it' => ['control-asleep', $state(Sleep::Between, 60), []];
        yield 'a reading' => ['control-asleep', $works(ControlKind::Reading, Sleep::Between), []];
        yield 'a key of a board that a key wakes' => ['control-asleep', $works(ControlKind::Button, Sleep::UntilKey), []];
        yield 'a reading of one' => ['control-asleep', $works(ControlKind::Reading, Sleep::UntilKey), $through('It sleeps between readings')];
        yield 'a time of day of one' => ['control-asleep', $works(ControlKind::Timer, Sleep::UntilKey), $through('It sleeps between readings')];
        yield 'a key that nothing follows' => ['control-asleep', $works(ControlKind::Button, Sleep::Between, false), []];
        yield 'awake it sees all' => ['control-asleep', $works(ControlKind::Button, Sleep::Never), []];
        yield 'a key and a reading' => ['control-asleep', static fn (Sketch $s): Sketch => $works(ControlKind::Button, Sleep::Between)($s)->control('r', 'b', 'Frost', ControlKind::Reading, settings: ['threshold' => 2.0])->route('r', Action::Off, 'o'), $through('It stays awake')];
        yield 'and a reading that nothing follows' => ['control-asleep', static fn (Sketch $s): Sketch => $works(ControlKind::Button, Sleep::Between)($s)->control('r', 'b', 'Frost', ControlKind::Reading, settings: ['threshold' => 2.0]), $through('It sleeps until a key is pressed')];

        $line = static fn (string $topology, Sleep $sleep = Sleep::Between): Closure => static fn (Sketch $s): Sketch => $asleep($s->node('a', 'Ann', NodeKind::Controller, null, '8bit-5v-70io')->node('b', 'Ben', NodeKind::Controller, null, '8bit-5v-70io')
            ->link('l', 'Line', 'serial', ['topology' => $topology])->join('l', 'a', Role::Both, null, ['station' => 1, 'asks' => true])->join('l', 'b', Role::Both, null, ['station' => 2]), 'b', $sleep);
        yield 'one that is asked' => ['serial-sleeps', $line('polled'), [['Ben sleeps, and does not answer on Line', 'It stays awake']]];
        yield 'one of a ring' => ['serial-sleeps', $line('ring', Sleep::UntilKey), [['Ben sleeps, and Line goes through it', 'It stays awake']]];
        yield 'one of two that say what they like' => ['serial-sleeps', $line('pair'), []];
        $third = static fn (Closure $of): Closure => static fn (Sketch $s): Sketch => $of($s)->node('c', 'Cay', NodeKind::Controller, null, '8bit-5v-70io')->join('l', 'c', Role::Both, null, ['station' => 3]);
        $many = 'Line has 3 ends and is set for two';
        yield 'three may ask each other while they are awake' => ['serial-ends-unfit', $third($line('pair', Sleep::Never)), [[$many, 'Let Ann ask the others']]];
        yield 'one that sleeps hears no question' => ['serial-ends-unfit', $third($line('pair')), [[$many, '']]];
        yield 'awake on a ring' => ['serial-sleeps', $line('ring', Sleep::Never), []];
    }

    /**
     * @param  Closure(Sketch): Sketch  $plan
     * @param  list<array{string, string}>  $expected
     */
    #[DataProvider('cases')]
    public function test_the_rule_says(string $rule, Closure $plan, array $expected): void
    {
        $found = self::checker()->check($plan(self::sketch())->plan())->byRule()[$rule] ?? [];
        self::assertSame($expected, array_map(static fn (Finding $finding): array => [$finding->title, (string) $finding->fix?->label], $found));
        foreach ($found as $finding) {
            self::assertSame(str_contains($finding->title, 'only when it wakes') || $rule === 'asleep-lets-go' ? Severity::Warning : Severity::Fault, $finding->severity);
        }
    }
}
