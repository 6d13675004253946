<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Behaviour\Clock;
use Rundfunk\Behaviour\ContactKind;
use Rundfunk\Behaviour\EndNumber;
use Rundfunk\Behaviour\Gauge;
use Rundfunk\Behaviour\Inputs;
use Rundfunk\Behaviour\Machine;
use Rundfunk\Behaviour\Message;
use Rundfunk\Behaviour\MessageNumbers;
use Rundfunk\Behaviour\NodeTables;
use Rundfunk\Behaviour\Tabulation;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;

/** What slots say, packet by packet, when controls are worked at given times: played by the machine and the sender that the node's builder gets. */
final readonly class Rehearsed
{
    private const STEP_MS = 10;

    /** So much is looked at in all: things of the node's tables, step by step. A node that has more takes coarser steps. */
    private const MOST_STEPPED = 400_000;

    /** Coarser than that a key is pressed between two steps. */
    private const COARSEST_MS = 50;

    /** How long a key is held. */
    private const HELD_MS = 150;

    /** A key that is down when a board begins was not pressed: it runs so long before. */
    private const BEFORE_MS = 200;

    public const LONGEST_MS = 60_000;

    /** More packets than a strip has dots are not all looked at. */
    private const MOST_LOOKS = 4_000;

    /**
     * @param  list<array{name: string, points: list<array{int, int}>}>  $rows  by slot: at what time which value, from there on
     * @param  list<array{int, Control}>  $presses
     * @param  bool  $isWhole  every packet was looked at
     */
    private function __construct(public int $totalMs, public array $rows, public array $presses, public bool $isWhole)
    {
    }

    /**
     * @param  list<array{int, Control}>  $presses  milliseconds, and what is worked then
     * @return self|null null while no board of ours tells the universe, and where it does too much besides to be played here
     */
    public static function of(Plan $plan, Universe $universe, array $presses, int $totalMs, Knowledge $knowledge): ?self
    {
        $end = null;
        foreach ($universe->senders as $sender) {
            $end ??= $plan->node($sender->nodeId)->kind->isBought() ? null : $sender;
        }
        if ($end === null) {
            return null;
        }
        $node = $plan->node($end->nodeId);
        $numbers = new MessageNumbers($plan, $knowledge->media);
        $tables = SenderTables::of($plan, $end, $numbers);
        $behaviour = Tabulation::of($plan, $node, $knowledge);
        $step = self::stepMs($behaviour, $totalMs);
        if ($step === null) {
            return null;
        }
        $machine = new Machine($behaviour);
        $link = (int) array_search($end->id, array_column($plan->endpointsOf($node), 'id'), true);
        $contacts = self::contacts($plan, $end);
        $state = $machine->start(0);
        $sender = new Sender($tables);
        $points = array_fill(0, count($tables->driven), []);
        $packet = 0;
        $each = max(1, intdiv(1_000 * $totalMs, $universe->periodUs() * self::MOST_LOOKS));
        $lookUs = $each * $universe->periodUs();
        for ($now = -self::BEFORE_MS; $now <= $totalMs; $now += $step) {
            [$inputs, $heard] = self::worked($plan, $end, $presses, $contacts, $now, $step, $numbers, $behaviour);
            $outcome = $machine->step($state, $now + self::BEFORE_MS, Clock::UNKNOWN, $inputs, $heard);
            $state = $outcome->state;
            foreach ($outcome->messages as $message) {
                if ($message->link === $link) {
                    $sender->tell($message->node, $message->code, $message->value, $now + self::BEFORE_MS);
                }
            }
            // Whatever packets begin before the next step show it.
            for (; $packet * $lookUs < 1_000 * ($now + $step) && $packet * $lookUs >= 1_000 * $now; $packet++) {
                $ms = intdiv($packet * $lookUs, 1_000);
                $slots = $sender->slots($ms + self::BEFORE_MS);
                foreach ($tables->driven as $at => $driven) {
                    $value = ord($slots[$driven->at]);
                    $last = array_key_last($points[$at]);
                    if ($last === null || $points[$at][$last][1] !== $value) {
                        $points[$at][] = [$ms, $value];
                    }
                }
            }
        }

        return new self($totalMs, self::moving($tables, $points), $presses, $each === 1);
    }

    /**
     * In the order of the slots; those that never move are left out, unless nothing does.
     *
     * @param  array<int, list<array{int, int}>>  $points
     * @return list<array{name: string, points: list<array{int, int}>}>
     */
    private static function moving(SenderTables $tables, array $points): array
    {
        $rows = [];
        foreach ($tables->driven as $at => $driven) {
            $rows[$driven->at] = ['name' => $driven->name, 'points' => $points[$at]];
        }
        ksort($rows);
        $moving = array_filter($rows, static fn (array $row): bool => count($row['points']) > 1);

        return array_values($moving === [] ? $rows : $moving);
    }

    private static function stepMs(NodeTables $tables, int $totalMs): ?int
    {
        $things = 1 + count($tables->contacts) + count($tables->gauges) + count($tables->sticks) + count($tables->clocks) + count($tables->sequences) + count($tables->groups) + count($tables->reports) + count($tables->outputs);
        $step = max(self::STEP_MS, intdiv($things * ($totalMs + self::BEFORE_MS), self::MOST_STEPPED));

        return $step > self::COARSEST_MS ? null : $step;
    }

    /** @return array<string, int> its place among the contacts of the node, by control */
    private static function contacts(Plan $plan, Endpoint $end): array
    {
        $contacts = [];
        foreach ($plan->controlsOf($plan->node($end->nodeId)) as $control) {
            if (ContactKind::of($control) !== null) {
                $contacts[$control->id] = count($contacts);
            }
        }

        return $contacts;
    }

    /**
     * @param  list<array{int, Control}>  $presses
     * @param  array<string, int>  $contacts
     * @return array{Inputs, list<Message>}
     */
    private static function worked(Plan $plan, Endpoint $end, array $presses, array $contacts, int $now, int $step, MessageNumbers $numbers, NodeTables $tables): array
    {
        $levels = array_fill(0, count($tables->contacts), 0);
        $heard = [];
        foreach ($presses as [$at, $control]) {
            if (isset($contacts[$control->id])) {
                if ($now >= $at && ($now < $at + self::HELD_MS || $control->kind === ControlKind::Switch)) {
                    $levels[$contacts[$control->id]] = 1;
                }
            } elseif ($now >= $at && $now < $at + $step) {
                $heard = [...$heard, ...self::messages($plan, $end, $control, $numbers)];
            }
        }

        return [new Inputs(array_values($levels), array_fill(0, count($tables->gauges), Gauge::FAILED), array_map(static fn (): int => 512, $tables->sticks)), $heard];
    }

    /** @return list<Message> what comes to the sender's node from a control elsewhere */
    private static function messages(Plan $plan, Endpoint $end, Control $control, MessageNumbers $numbers): array
    {
        $messages = [];
        $ends = array_column($plan->endpointsOf($plan->node($end->nodeId)), 'id');
        foreach ($plan->routesFrom($control) as $route) {
            foreach ($plan->hopsOf($route) as $hop) {
                $code = in_array($hop->toId, $ends, true) ? $numbers->heard($hop) : null;
                if ($code !== null) {
                    $from = $numbers->showsSender($hop) ? EndNumber::of($plan, $plan->endpoint($hop->fromId)) : 0;
                    $messages["{$hop->toId} {$code}"] = new Message((int) array_search($hop->toId, $ends, true), $from, $code, $route->value ?? 1);
                }
            }
        }

        return array_values($messages);
    }
}
