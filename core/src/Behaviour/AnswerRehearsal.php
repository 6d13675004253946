<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Arbitration\Standing;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;

/**
 * What becomes of an answer, played by the machines of both nodes: the output goes on, it is told, and then nothing more gets
 * through. So whoever builds it sees how long something is still shown that nobody knows any more.
 */
final readonly class AnswerRehearsal
{
    /** How finely it is played: steps in an interval. */
    private const STEPS = 20;

    /** An interval, where a state is told on changes only. */
    private const NO_INTERVAL_MS = 20_000;

    /**
     * @param  int  $changesMs  when the output goes on
     * @param  int  $lostMs  from when on nothing gets through
     * @param  list<array{atMs: int, lost: bool}>  $told  each message
     * @param  list<array{fromMs: int, toMs: int, value: int|null}>  $shown  what is shown; null while nobody knows
     */
    private function __construct(public Output $of, public Output $shows, public int $totalMs, public int $changesMs, public int $lostMs, public array $told, public array $shown)
    {
    }

    /** @return self|null null where nothing on another node shows the state, or it has no way there yet */
    public static function of(Plan $plan, Control $state, Knowledge $knowledge): ?self
    {
        $of = Answers::of($plan, $state);
        if ($of === null) {
            return null;
        }
        foreach ($plan->routesFrom($state) as $route) {
            $shows = $plan->output($route->outputId);
            $hops = $plan->hopsOf($route);
            if ($route->holdsToControl() && $shows->nodeId !== $state->nodeId && $hops !== [] && $shows->kind->settings()->field('unknownAfter') !== null) {
                return self::played($plan, $state, $of, $shows, $hops, $knowledge);
            }
        }

        return null;
    }

    /** @param  non-empty-list<Hop>  $hops */
    private static function played(Plan $plan, Control $state, Output $of, Output $shows, array $hops, Knowledge $knowledge): ?self
    {
        $numbers = new MessageNumbers($plan, $knowledge->media);
        $first = $hops[0];
        $last = $hops[count($hops) - 1];
        $heard = $numbers->heard($last);
        $here = Tabulation::of($plan, $plan->node($state->nodeId), $knowledge);
        $there = Tabulation::of($plan, $plan->node($shows->nodeId), $knowledge);
        $report = $here->reports[array_search($state->id, array_column(Answers::toldBy($plan, $plan->node($state->nodeId)), 'id'), true)] ?? null;
        $output = self::place($plan, $shows);
        if ($heard === null || $report === null || ! isset($there->outputs[$output])) {
            return null;
        }
        $sent = new Message(self::linkOf($plan, $first->fromId), EndNumber::addressed($plan, $first, $knowledge->media), $numbers->told($first) ?? 0, 0);
        $message = new Message(self::linkOf($plan, $last->toId), EndNumber::of($plan, $plan->endpoint($last->fromId)), $heard, 0);
        $interval = $report->everyMs > 0 ? $report->everyMs : self::NO_INTERVAL_MS;
        $step = max(1, intdiv($interval, self::STEPS));
        $changes = intdiv($interval, 2);
        $lost = 2 * $interval + 2 * $step;
        $total = $lost + $there->outputs[$output]->unheardMs + $interval;
        $teller = new Machine($here);
        $shower = new Machine($there);
        $one = $teller->start(0);
        $other = $shower->start(0);
        $told = $shown = [];
        for ($now = 0; $now <= $total; $now += $step) {
            if ($now >= $changes && $one->outputs[$report->output]['standing']->value === $here->outputs[$report->output]->off) {
                $one->outputs[$report->output]['standing'] = new Standing($here->outputs[$report->output]->on);
            }
            $outcome = $teller->step($one, $now, Clock::UNKNOWN, self::inputs($here, $report, $now >= $changes));
            $one = $outcome->state;
            $arrives = [];
            foreach ($outcome->messages as $said) {
                if ($said->link === $sent->link && $said->node === $sent->node && $said->code === $sent->code) {
                    $told[] = ['atMs' => $now, 'lost' => $now >= $lost];
                    $arrives = $now >= $lost ? [] : [new Message($message->link, $message->node, $message->code, $said->value)];
                }
            }
            $outcome = $shower->step($other, $now, Clock::UNKNOWN, new Inputs([], [], []), $arrives);
            $other = $outcome->state;
            $value = $outcome->known[$output] ? $outcome->outputs[$output] : null;
            $open = array_key_last($shown);
            if ($open !== null) {
                $shown[$open]['toMs'] = $now;
            }
            if ($open === null || $shown[$open]['value'] !== $value) {
                $shown[] = ['fromMs' => $now, 'toMs' => $now, 'value' => $value];
            }
        }

        return new self($of, $shows, $total, $changes, $lost, $told, $shown);
    }

    /** @return int which of its node's links an end is on */
    private static function linkOf(Plan $plan, string $endpointId): int
    {
        return (int) array_search($endpointId, array_column($plan->endpointsOf($plan->node($plan->endpoint($endpointId)->nodeId)), 'id'), true);
    }

    /** @return int which of its node's standing outputs it is */
    private static function place(Plan $plan, Output $output): int
    {
        $standing = array_values(array_filter($plan->outputsOf($plan->node($output->nodeId)), static fn (Output $one): bool => $one->kind->stands()));

        return (int) array_search($output->id, array_column($standing, 'id'), true);
    }

    /** Whatever senses the output says that it is on; all else rests. */
    private static function inputs(NodeTables $tables, Report $report, bool $on): Inputs
    {
        $contacts = array_fill(0, count($tables->contacts), 0);
        if ($report->contact !== null) {
            $contacts[$report->contact] = $on ? 1 : 0;
        }
        $gauges = [];
        foreach ($tables->gauges as $index => $gauge) {
            $beyond = $gauge->hysteresis + 1_000;
            $gauges[] = $index !== $report->gauge ? Gauge::FAILED : $gauge->threshold + ($gauge->above === $on ? $beyond : -$beyond);
        }

        return new Inputs(array_values($contacts), $gauges, array_map(static fn (Stick $stick): int => $stick->axis->centre, $tables->sticks));
    }
}
