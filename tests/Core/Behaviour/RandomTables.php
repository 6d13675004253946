<?php

declare(strict_types=1);

namespace Tests\Core\Behaviour;

use Random\Engine\Mt19937;
use Random\Randomizer;
use Rundfunk\Arbitration\Range;
use Rundfunk\Behaviour\Axis;
use Rundfunk\Behaviour\Clock;
use Rundfunk\Behaviour\Contact;
use Rundfunk\Behaviour\ContactKind;
use Rundfunk\Behaviour\Does;
use Rundfunk\Behaviour\Drive;
use Rundfunk\Behaviour\Driven;
use Rundfunk\Behaviour\Gauge;
use Rundfunk\Behaviour\Group;
use Rundfunk\Behaviour\Heard;
use Rundfunk\Behaviour\LinkEnds;
use Rundfunk\Behaviour\Moment;
use Rundfunk\Behaviour\NodeTables;
use Rundfunk\Behaviour\OnFailure;
use Rundfunk\Behaviour\Pass;
use Rundfunk\Behaviour\Report;
use Rundfunk\Behaviour\Scale;
use Rundfunk\Behaviour\ScalePoint;
use Rundfunk\Behaviour\Sequence;
use Rundfunk\Behaviour\Stick;
use Rundfunk\Behaviour\Tell;
use Rundfunk\Behaviour\Travel;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\AtStart;
use Rundfunk\Plan\Precedence;
use Rundfunk\Plan\ValueSpan;

/** Nodes that do anything that tables can say, made up from a seed. */
final class RandomTables
{
    private const SPANS = [[0, 1], [0, 1], [0, 100], [-100, 100], [1_000, 2_000], [-5, 0]];

    private readonly Randomizer $random;

    /** @var list<array{span: array{int, int}, precedence: Precedence, silenceMs: int, masters: int, far: int}> */
    private array $outputs = [];

    private int $stickCount = 0;

    private function __construct(int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    public static function of(int $seed): NodeTables
    {
        return (new self($seed))->tables();
    }

    private function tables(): NodeTables
    {
        for ($count = $this->to(0, 5); $count > 0; $count--) {
            $this->outputs[] = ['span' => $this->one(self::SPANS), 'precedence' => $this->one(Precedence::cases()), 'silenceMs' => $this->one([0, 0, 150, 2_000]), 'masters' => 0, 'far' => 0];
        }
        $links = array_map(static fn (int $index): LinkEnds => new LinkEnds("Link {$index}", 'packet-radio', 1, ['This', 'That', 'Other'], $index === 1), range(0, $this->to(0, 2)));
        $contacts = $this->some(5, fn (int $index): Contact => new Contact("Key {$index}", $kind = $this->one(ContactKind::cases()), $kind === ContactKind::Notice ? 0 : $this->one([0, 5, 20, 60]), $this->one([0, 0, 40, 250]), $this->does()));
        $gauges = $this->some(2, fn (int $index): Gauge => new Gauge("Reading {$index}", $this->to(0, 3) > 0, $this->to(-40_000, 40_000), $this->to(0, 3_000), $this->to(0, 1) === 1, $this->to(1, 5) * 1_000, $this->one(OnFailure::cases()), $this->does(saysValue: true), $this->one([0, 0, 300]), $this->one([0, 0, 2_000]), $this->one([0, 90]), $this->one([null, null, new Scale(100, -20_000, 900, 60_000), new Scale(1_023, 0, 0, 100_000), new Scale(1_023, 0, 0, 100_000, [new ScalePoint(300, 20_000), new ScalePoint(700, 60_500), new ScalePoint(1_100, -4_000)])])));
        $this->stickCount = $this->to(0, 2);
        $sticks = $this->exactly($this->stickCount, fn (int $index): Stick => new Stick("Stick {$index}", $this->axis(), $this->one([20, 50, 200]), $this->one([0, 100, 500]), $this->does(moves: true)));
        $clocks = $this->some(2, fn (int $index): Clock => new Clock("Clock {$index}", $this->one([-1, 0, 725, 1_439]), $this->one([0, 60_000]), $this->does()));
        $heard = $this->some(6, fn (int $index): Heard => new Heard($this->to(0, count($links) - 1), $this->to(0, 3), $index + 1, "Message {$index}", $this->drives(far: true, saysValue: true), $this->some(2, fn (int $pass): Pass => new Pass($this->to(0, count($links) - 1), $this->to(1, 3), 100 + $pass))));
        $sequences = $this->outputs === [] ? [] : $this->some(2, fn (int $index): Sequence => new Sequence($this->to(0, count($this->outputs) - 1), $this->to(0, 3), $this->one([0, 30, 1_000]), $this->some(4, fn (int $moment): Moment => new Moment("Step {$moment}", $this->one([0, 0, 20, 70, 2_000]), $this->does())), $this->does()));
        $groups = $this->outputs === [] ? [] : $this->some(2, fn (int $index): Group => new Group($this->to(0, count($this->outputs) - 1), $this->does(saysValue: true)));
        $reports = $this->outputs === [] ? [] : $this->some(3, fn (int $index): Report => new Report("State {$index}", $this->to(0, count($this->outputs) - 1), $contacts !== [] && $this->to(0, 2) === 0 ? $this->to(0, count($contacts) - 1) : null, null, $this->one([0, 100, 3_000]), $this->to(0, 1) === 1, $this->does(saysValue: true)));
        foreach ($reports as $index => $report) {
            if (! $report->isMeasured() && ($gauges[0]->hasThreshold ?? false) && $this->to(0, 1) === 0) {
                $reports[$index] = new Report($report->name, $report->output, null, 0, $report->everyMs, $report->always, $report->does);
            }
        }
        $told = array_map(static fn (Drive $drive): int => $drive->output, array_merge(...array_map(static fn (Heard $one): array => $one->drives, $heard)));
        $outputs = $apart = [];
        foreach ($this->outputs as $index => $output) {
            $range = Range::over(new ValueSpan(...$output['span']));
            $outputs[] = new Driven("Output {$index}", $range->lowest, $range->highest, $range->off, $range->on(), $output['precedence'], $output['silenceMs'], $output['masters'], $output['far'], $this->one([0, 300, 4_000]), $this->to(0, 1) === 1, $this->one([null, null, AtStart::On]), isset($this->outputs[$index ^ 1]) && ($apart[intdiv($index, 2)] ??= $this->to(0, 2) === 0) ? [$index ^ 1] : [], $output['silenceMs'] > 0 && in_array($index, $told, true) && $this->to(0, 1) === 0 ? true : null);
        }

        return new NodeTables(NodeTables::FORM, 'Any', $links, $contacts, $gauges, $sticks, $clocks, $heard, [], $outputs, $sequences, $groups, $reports, []);
    }

    private function axis(): Axis
    {
        [$lowest, $centre, $highest] = $this->one([[0, 512, 1_023], [1_023, 500, 0], [120, 2_000, 4_095], [0, 512, 1_024], [10, 900, 950]]);

        return new Axis($lowest, $centre, $highest, $this->to(0, 300), $this->to(0, 1_024));
    }

    private function does(bool $saysValue = false, bool $moves = false): Does
    {
        $tells = $this->some(3, function (int $index) use ($saysValue, $moves): Tell {
            $action = $moves ? $this->one([Action::Set, Action::Step]) : $this->one(Action::cases());
            $value = $this->value($action, $saysValue || $moves);
            $travel = $moves && $value === null ? $this->travel($this->one(self::SPANS)) : null;

            return new Tell(0, $this->to(1, 3), $index + 1, $action, $value, $travel, $action->holds() && $this->to(0, 2) === 0 ? true : null);
        });

        return new Does($this->drives(false, $saysValue, $moves), $tells);
    }

    /** @return list<Drive> */
    private function drives(bool $far, bool $saysValue, bool $moves = false): array
    {
        return $this->outputs === [] ? [] : $this->some(3, function () use ($far, $saysValue, $moves): Drive {
            $output = $this->to(0, count($this->outputs) - 1);
            $action = $moves ? $this->one([Action::Set, Action::Step]) : $this->one(Action::cases());
            $master = -1;
            if ($action->holds()) {
                $master = $this->outputs[$output]['masters']++;
                $this->outputs[$output]['far'] |= $far ? 1 << $master : 0;
            }
            $value = $this->value($action, $saysValue || $moves);
            $travel = $moves && $value === null ? $this->travel($this->outputs[$output]['span']) : null;

            return new Drive($output, $action, $master, $this->to(0, 1) === 1, $value, $action === Action::Pulse ? $this->one([10, 200, 3_000, 90_000]) : 0, $travel, $far && $this->to(0, 1) === 1);
        });
    }

    /** @param  array{int, int}  $span */
    private function travel(array $span): Travel
    {
        return new Travel($span[0], $span[1], $this->to(0, 1) === 1, $this->to(-512, 512), $this->to(0, 1_024), $this->to(0, 1_024), $this->to(-1, $this->stickCount - 1), $this->to(0, 1) === 1);
    }

    private function value(Action $action, bool $sourceSays): ?int
    {
        return match ($action) {
            Action::Set => $sourceSays && $this->to(0, 2) > 0 ? null : $this->to(-120, 120),
            Action::Step => $this->one([-7, -1, 1, 10]),
            default => null,
        };
    }

    /**
     * @template T
     *
     * @param  callable(int): T  $make
     * @return list<T>
     */
    private function some(int $most, callable $make): array
    {
        return $this->exactly($this->to(0, $most), $make);
    }

    /**
     * @template T
     *
     * @param  callable(int): T  $make
     * @return list<T>
     */
    private function exactly(int $count, callable $make): array
    {
        $made = [];
        for ($index = 0; $index < $count; $index++) {
            $made[] = $make($index);
        }

        return $made;
    }

    private function to(int $least, int $most): int
    {
        return $this->random->getInt($least, $most);
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>  $choices
     * @return T
     */
    private function one(array $choices): mixed
    {
        return $choices[$this->to(0, count($choices) - 1)];
    }
}
