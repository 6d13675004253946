<?php

declare(strict_types=1);

namespace Tests\Core\Behaviour;

use Closure;
use DOMDocument;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Behaviour\Strip;
use Rundfunk\Behaviour\StripBar;
use Rundfunk\Check\Finding;
use Rundfunk\Demo\Sketch;
use Rundfunk\Drawing\SequenceDrawing;
use Rundfunk\Edit\Editor;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Tests\Core\CoreTestCase;

/** Sequences and groups: how they run, how they are drawn, what is wrong with them. */
final class SequencesTest extends CoreTestCase
{
    /** @param  array<string, int>  $settings */
    private static function train(array $settings = []): Sketch
    {
        return self::sketch()
            ->node('n', 'Node', NodeKind::Controller, null, 'wifi-3v3-26io')
            ->output('engine', 'n', 'Engine', OutputKind::Motor)
            ->output('whistle', 'n', 'Whistle')
            ->output('lamp', 'n', 'Lamp')
            ->output('run', 'n', 'Run', OutputKind::Sequence, more: ['settings' => $settings])
            ->control('go', 'n', 'Go')->control('halt', 'n', 'Halt')
            ->route('go', Action::On, 'run')->route('halt', Action::Off, 'run')
            ->step('run', 's1', 'Depart')->step('run', 's2', 'Whistle', 1_000)->step('run', 's3', 'Slow', 2_000)->step('run', 's4', 'Arrive', 500)
            ->route('s1', Action::Set, 'engine', value: 80)
            ->route('s2', Action::Pulse, 'whistle', 300)
            ->route('s3', Action::Set, 'engine', value: 30)
            ->route('s4', Action::Set, 'engine', value: 0);
    }

    public function test_a_sequence_runs_to_its_end_and_is_off_again(): void
    {
        $rig = new Rig(self::train()->plan(), self::knowledge());
        $rig->press('Node', 'Go');
        self::assertSame([80, 0, 1], [$rig->shows('Node', 'Engine'), $rig->shows('Node', 'Whistle'), $rig->shows('Node', 'Run')]);
        self::assertSame(1, $rig->pass(920)->shows('Node', 'Whistle'));
        self::assertSame([80, 0], [$rig->pass(400)->shows('Node', 'Engine'), $rig->shows('Node', 'Whistle')]);
        self::assertSame(30, $rig->pass(1_700)->shows('Node', 'Engine'));
        self::assertSame([0, 0], [$rig->pass(500)->shows('Node', 'Engine'), $rig->shows('Node', 'Run')]);
        // Again, from its beginning.
        self::assertSame(80, $rig->press('Node', 'Go')->shows('Node', 'Engine'));
    }

    public function test_put_off_it_stops_where_it_is_and_does_what_is_to_be_done_then(): void
    {
        $plan = self::train()->step('run', 'stop', 'Brake', when: 'stopped')->route('stop', Action::Set, 'engine', value: 0)->route('stop', Action::On, 'lamp')->plan();
        $rig = new Rig($plan, self::knowledge());
        $rig->press('Node', 'Go')->pass(500)->press('Node', 'Halt');
        self::assertSame([0, 1, 0], [$rig->shows('Node', 'Engine'), $rig->shows('Node', 'Lamp'), $rig->shows('Node', 'Run')]);
        self::assertSame(0, $rig->pass(10_000)->shows('Node', 'Whistle'));
        // Gone through to its end it was not stopped.
        $rig = new Rig($plan, self::knowledge());
        self::assertSame(0, $rig->press('Node', 'Go')->pass(10_000)->shows('Node', 'Lamp'));
    }

    public function test_it_goes_round_as_often_as_it_is_to_without_drifting(): void
    {
        foreach ([3 => 3, 0 => 25] as $passes => $whistles) {
            $rig = new Rig(self::train(['passes' => $passes, 'pauseMs' => 500])->plan(), self::knowledge());
            $rig->press('Node', 'Go');
            $heard = 0;
            $was = 0;
            // A pass is 4 s: 25 of them begin and reach their whistle in 100 s.
            for ($ms = 0; $ms < 98_000; $ms += 50) {
                $now = $rig->pass(50)->shows('Node', 'Whistle');
                $heard += $now > $was ? 1 : 0;
                $was = $now;
            }
            self::assertSame($whistles, $heard);
            self::assertSame($passes === 0 ? 1 : 0, $rig->shows('Node', 'Run'));
        }
    }

    public function test_a_scene_is_a_sequence_without_a_pause_and_a_group_hands_on_what_it_is_told(): void
    {
        $plan = self::linden();
        $rig = new Rig($plan, self::knowledge());
        $lights = static fn (): array => [$rig->shows('Shed', 'Bench light'), $rig->shows('Shed', 'Store light')];
        $rig->put('Shed', 'Page: shed lights', 1);
        self::assertSame([1, 1], $lights());
        $rig->put('Shed', 'Page: shed lights', 0);
        self::assertSame([0, 0], $lights());
        // The round lights the shed at once, airs the hens over the yard's link, and makes all dark at its end.
        $rig->press('Shed', 'Page: evening round');
        self::assertSame([1, 0], [$rig->shows('Shed', 'Shed lamp'), $rig->shows('Hen house', 'Hen fan')]);
        self::assertSame([1, 0], [$rig->pass(5_000)->shows('Hen house', 'Hen fan'), $rig->shows('Hen house', 'Hen lamp')]);
        self::assertSame([1, 1], [$rig->pass(30_000)->shows('Hen house', 'Hen lamp'), $rig->shows('Hen house', 'Hen fan')]);
        self::assertSame([0, 0, 0], [$rig->pass(140_000)->shows('Hen house', 'Hen lamp'), $rig->shows('Hen house', 'Hen fan'), $rig->shows('Shed', 'Shed lamp')]);
    }

    public function test_a_strip_shows_from_when_to_when_each_output_is_on(): void
    {
        $plan = self::train(['pauseMs' => 500])->step('run', 's5', 'Lit', 1_000)->route('s5', Action::On, 'lamp')->plan();
        $strip = Strip::of($plan, self::sequence($plan));
        self::assertSame([0, 1_000, 3_000, 3_500, 4_500], array_column($strip->moments, 'atMs'));
        self::assertSame(5_000, $strip->totalMs);
        $rows = array_map(static fn (array $bars): array => array_map(static fn (StripBar $bar): array => [$bar->words, $bar->fromMs, $bar->toMs], $bars), $strip->rows);
        self::assertSame([
            [['80', 0, 3_000], ['30', 3_000, 3_500]],
            [['on', 1_000, 1_300]],
            [['on', 4_500, null]],
        ], array_values($rows));
        $drawing = new DOMDocument;
        self::assertTrue($drawing->loadXML(SequenceDrawing::toPrint($plan, self::sequence($plan))));
        self::assertSame(4, $drawing->getElementsByTagName('rect')->length);
        // To scale: five seconds over 900 − 150 − 26 px; the whistle is 300 ms of that.
        self::assertSame('43.4', $drawing->getElementsByTagName('rect')->item(2)?->getAttribute('width'));
    }

    public function test_a_step_that_is_removed_leaves_its_sequence(): void
    {
        $plan = self::train()->plan();
        $run = self::sequence($plan);
        $edited = (new Editor(self::knowledge()))->apply($plan, [Operation::remove($plan->control($run->stepIds[1])::kind(), $run->stepIds[1])]);
        self::assertSame([$run->stepIds[0], $run->stepIds[2], $run->stepIds[3]], $edited->plan->output($run->id)->stepIds);
    }

    /** @return iterable<string, array{string, Closure(): Sketch, list<string>}> rule, plan, titles */
    public static function cases(): iterable
    {
        $run = static fn (array $settings = [], array $hazards = []): Sketch => self::sketch()->node('n', 'Node', NodeKind::Controller, null, 'wifi-3v3-26io')
            ->output('a', 'n', 'Fan', more: ['hazards' => $hazards])->output('b', 'n', 'Engine', OutputKind::Motor)
            ->output('run', 'n', 'Run', OutputKind::Sequence, more: ['settings' => $settings])->control('go', 'n', 'Go');
        $steps = static fn (Sketch $s, array ...$steps): Sketch => array_reduce(array_keys($steps), static fn (Sketch $s, int $n): Sketch => $s->step('run', "s{$n}", "Step {$n}", $steps[$n][0])->route("s{$n}", $steps[$n][1], $steps[$n][2], $steps[$n][1] === Action::Pulse ? $steps[$n][3] : null, $steps[$n][1] === Action::Set ? $steps[$n][3] : null), $s);

        yield 'no steps' => ['sequence-empty', static fn () => $run(), ['Run has no steps']];
        yield 'steps' => ['sequence-empty', static fn () => $steps($run(), [0, Action::On, 'a']), []];
        yield 'a step of nothing' => ['step-lost', static fn () => $run()->control('x', 'n', 'Lost', ControlKind::Step), ['Lost is a step of nothing']];
        yield 'a step of something' => ['step-lost', static fn () => $steps($run(), [0, Action::On, 'a']), []];
        yield 'round in 50 ms' => ['sequence-restless', static fn () => $steps($run(['passes' => 5]), [0, Action::On, 'a'], [50, Action::Off, 'a']), ['Run begins again after 50 ms']];
        yield 'once in 50 ms' => ['sequence-restless', static fn () => $steps($run(), [0, Action::On, 'a'], [50, Action::Off, 'a']), []];
        yield 'round in a second' => ['sequence-restless', static fn () => $steps($run(['passes' => 0, 'pauseMs' => 950]), [0, Action::On, 'a'], [50, Action::Off, 'a']), []];
        yield 'round for ever, and never off' => ['sequence-endless', static fn () => $steps($run(['passes' => 0]), [0, Action::On, 'a'])->route('go', Action::On, 'run'), ['Nothing stops Run']];
        yield 'round for ever, toggled' => ['sequence-endless', static fn () => $steps($run(['passes' => 0]), [0, Action::On, 'a'])->route('go', Action::Toggle, 'run'), []];
        yield 'round so many times' => ['sequence-endless', static fn () => $steps($run(['passes' => 9]), [0, Action::On, 'a'])->route('go', Action::On, 'run'), []];
        yield 'heat left on' => ['sequence-leaves-on', static fn () => $steps($run([], ['heat']), [0, Action::On, 'a']), ['Run leaves Fan on']];
        yield 'heat put off' => ['sequence-leaves-on', static fn () => $steps($run([], ['heat']), [0, Action::On, 'a'], [500, Action::Off, 'a']), []];
        yield 'a fan left on' => ['sequence-leaves-on', static fn () => $steps($run(), [0, Action::On, 'a']), []];
        yield 'turned round' => ['reverses-at-once', static fn () => $steps($run(), [0, Action::Set, 'b', 50], [900, Action::Set, 'b', -50]), ['Engine is turned round while it runs']];
        yield 'turned round after 400 ms of rest' => ['reverses-at-once', static fn () => $steps($run(), [0, Action::Set, 'b', 50], [900, Action::Set, 'b', 0], [400, Action::Set, 'b', -50]), ['Engine is turned round while it runs']];
        yield 'turned round after 500 ms of rest' => ['reverses-at-once', static fn () => $steps($run(), [0, Action::Set, 'b', 50], [900, Action::Set, 'b', 0], [500, Action::Set, 'b', -50]), []];
        yield 'slower is not round' => ['reverses-at-once', static fn () => $steps($run(), [0, Action::Set, 'b', 50], [10, Action::Set, 'b', 20]), []];
        yield 'a step that works its own sequence' => ['sequence-starts-itself', static fn () => $steps($run(), [0, Action::Toggle, 'run']), ['Run works itself']];
        yield 'a pulse cut short' => ['steps-overlap', static fn () => $steps($run(), [0, Action::Pulse, 'a', 2_000], [500, Action::Off, 'a']), ['Run cuts a pulse of Fan short']];
        yield 'a pulse to its end' => ['steps-overlap', static fn () => $steps($run(), [0, Action::Pulse, 'a', 500], [500, Action::Off, 'a']), []];
        // One second a round, once on in it: 100,000 s are 27.8 hours.
        yield 'worn out' => ['sequence-wears', static fn () => $steps($run(['passes' => 0, 'pauseMs' => 500]), [0, Action::On, 'a'], [500, Action::Off, 'a']), ['Run wears Fan out in 27.8 hours']];
        yield 'worn slowly' => ['sequence-wears', static fn () => $steps($run(['passes' => 0, 'pauseMs' => 60_000]), [0, Action::On, 'a'], [500, Action::Off, 'a']), []];
    }

    /** @param  list<string>  $titles */
    #[DataProvider('cases')]
    public function test_a_rule_says_what_it_must(string $rule, Closure $sketch, array $titles): void
    {
        $found = array_filter(self::checker()->check($sketch()->plan())->all(), static fn (Finding $finding): bool => $finding->rule() === $rule);
        self::assertSame($titles, array_values(array_map(static fn (Finding $finding): string => $finding->title, $found)));
    }

    private static function sequence(Plan $plan): Output
    {
        foreach ($plan->outputs() as $output) {
            if ($output->kind === OutputKind::Sequence) {
                return $output;
            }
        }
        self::fail('no sequence');
    }
}
