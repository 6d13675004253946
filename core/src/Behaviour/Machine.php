<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Arbitration\Arbiter;
use Rundfunk\Arbitration\Ask;
use Rundfunk\Arbitration\Range;
use Rundfunk\Arbitration\Standing;
use Rundfunk\Arbitration\Turn;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\AtStart;
use Rundfunk\Plan\ValueSpan;

/**
 * Runs a node's tables: state, time, inputs and messages in; state, outputs and messages out. Nothing else goes in, so the
 * same happens every time, and on the board, whose header is written from the same tables.
 *
 * In a step, what is due goes first, then what was heard, then what is read: contacts, gauges, sticks, clocks; then sequences
 * go on, groups pass on, and it is told how things stand. All in the order of the tables.
 */
final class Machine
{
    /** Milliseconds are counted in 32 bits and run round after 49.7 days. */
    private const WRAP = 0xFFFF_FFFF;

    /** A lamp that does not know what it shows is on for so many milliseconds, and off for as many. */
    public const BLINK = 512;

    /** @var list<Arbiter> */
    private readonly array $arbiters;

    private State $state;

    private int $now = 0;

    /** @var list<Message> */
    private array $told = [];

    /** @var array<int, true> outputs that a message asked something of in this step */
    private array $asked = [];

    public function __construct(private readonly NodeTables $tables)
    {
        $this->arbiters = array_map(static fn (Driven $output): Arbiter => new Arbiter($output->precedence, Range::over(new ValueSpan($output->lowest, $output->highest))), $tables->outputs);
        $this->state = new State;
    }

    /**
     * @param  int  $nowMs  0–2³²−1
     * @param  array<int, int>  $kept  how outputs last stood that keep that over a power cut, by output
     */
    public function start(int $nowMs, array $kept = []): State
    {
        $state = new State;
        foreach ($this->tables->contacts as $contact) {
            $known = $contact->kind === ContactKind::Notice;
            $state->contacts[] = ['level' => $known ? 0 : State::UNKNOWN, 'seen' => $known ? 0 : State::UNKNOWN, 'since' => $nowMs, 'held' => false, 'told' => $nowMs];
        }
        foreach ($this->tables->gauges as $_) {
            $state->gauges[] = ['state' => State::UNKNOWN, 'told' => $nowMs, 'has' => false, 'since' => $nowMs, 'again' => $nowMs];
        }
        foreach ($this->tables->sticks as $stick) {
            $state->sticks[] = ['looked' => $nowMs, 'has' => false, 'zone' => 0, 'told' => $nowMs, 'drives' => array_fill(0, count($stick->does->drives), 0), 'tells' => array_fill(0, count($stick->does->tells), 0)];
        }
        foreach ($this->tables->clocks as $_) {
            $state->clocks[] = ['minute' => Clock::UNKNOWN, 'since' => $nowMs];
        }
        foreach ($this->tables->sequences as $_) {
            $state->sequences[] = ['was' => false, 'running' => false, 'next' => 0, 'passes' => 0, 'since' => $nowMs];
        }
        foreach ($this->tables->groups as $group) {
            $state->groups[] = $this->tables->outputs[$group->output]->off;
        }
        foreach ($this->tables->reports as $_) {
            $state->reports[] = ['value' => 0, 'has' => false, 'told' => $nowMs];
        }
        foreach ($this->tables->outputs as $index => $output) {
            $state->outputs[] = ['standing' => new Standing($this->first($index, $output, $kept, $state)), 'pulsing' => false, 'pulseAt' => $nowMs, 'pulseMs' => 0, 'fed' => $output->comesOn === true, 'fedAt' => $nowMs, 'known' => $output->unheardMs === 0, 'knownAt' => $nowMs];
        }

        return $state;
    }

    /**
     * @param  int  $nowMs  0–2³²−1
     * @param  int  $minuteOfDay  0–1439; −1 when nobody knows it
     * @param  list<Message>  $heard
     */
    public function step(State $state, int $nowMs, int $minuteOfDay, Inputs $inputs, array $heard = []): Outcome
    {
        $this->state = clone $state;
        $this->now = $nowMs;
        $this->told = [];
        $this->asked = [];
        $this->passTime();
        foreach ($heard as $message) {
            $this->hear($message);
        }
        foreach ($this->tables->contacts as $index => $contact) {
            $this->feel($index, $contact, ($inputs->contacts[$index] ?? 0) !== 0 ? 1 : 0);
        }
        foreach ($this->tables->gauges as $index => $gauge) {
            $this->gauge($index, $gauge, $inputs->gauges[$index] ?? Gauge::FAILED);
        }
        foreach ($this->tables->sticks as $index => $stick) {
            $this->follow($index, $stick, $inputs);
        }
        foreach ($this->tables->clocks as $index => $clock) {
            $this->strike($index, $clock, $minuteOfDay);
        }
        foreach ($this->tables->sequences as $index => $sequence) {
            $this->goOn($index, $sequence);
        }
        foreach ($this->tables->groups as $index => $group) {
            $this->passOn($index, $group);
        }
        foreach ($this->tables->reports as $index => $report) {
            $this->report($index, $report, $inputs);
        }

        return new Outcome($this->state, array_map($this->shown(...), array_keys($this->tables->outputs), $this->tables->outputs), array_map(static fn (array $output): bool => $output['known'], $this->state->outputs), $this->told);
    }

    /**
     * What an output is put to first: never on where one is on that it must never be on with.
     *
     * @param  array<int, int>  $kept
     */
    private function first(int $index, Driven $output, array $kept, State $state): int
    {
        $first = match ($output->atStart) {
            AtStart::Off, null => $output->off,
            AtStart::On => $output->on,
            AtStart::Last => max($output->lowest, min($output->highest, $kept[$index] ?? $output->off)),
        };
        foreach ($output->never as $other) {
            if (isset($state->outputs[$other]) && $state->outputs[$other]['standing']->value !== $this->tables->outputs[$other]->off) {
                return $output->off;
            }
        }

        return $first;
    }

    private function since(int $then): int
    {
        return ($this->now - $then) & self::WRAP;
    }

    private function passTime(): void
    {
        foreach ($this->tables->outputs as $index => $output) {
            $at = &$this->state->outputs[$index];
            if ($at['pulsing'] && $this->since($at['pulseAt']) >= $at['pulseMs']) {
                $at['pulsing'] = false;
                $at['standing'] = $this->arbiters[$index]->hear($at['standing'], new Ask(-1, Action::Pulse, false), Turn::LetGo);
            }
            if ($output->silenceMs > 0 && $at['fed'] && $this->since($at['fedAt']) >= $output->silenceMs) {
                $at['fed'] = false;
                $near = array_values(array_filter($at['standing']->holders, static fn (int $master): bool => ($output->far >> $master & 1) === 0));
                $left = new Standing($at['standing']->value, $near, $at['standing']->barred);
                $this->stand($index, $this->arbiters[$index]->hear($left, new Ask(-1, $output->comesOn === true ? Action::On : Action::Off, false), Turn::Worked), $left);
            }
            if ($output->unheardMs > 0 && $at['known'] && $this->since($at['knownAt']) >= $output->unheardMs) {
                $at['known'] = false;
            }
            unset($at);
        }
    }

    /** What an output is put to: how it stands, but for a lamp that shows something it has not heard of. */
    private function shown(int $index, Driven $output): int
    {
        $at = $this->state->outputs[$index];

        return match (true) {
            $at['known'] || ! $output->blinks => $at['standing']->value,
            ($this->now & self::BLINK) !== 0 => $output->on,
            default => $output->off,
        };
    }

    private function hear(Message $message): void
    {
        if ($message->code === Message::GONE && ($this->tables->links[$message->link]->saysGone ?? false)) {
            $this->lose($message);

            return;
        }
        foreach ($this->tables->heard as $heard) {
            if ($heard->link !== $message->link || $heard->code !== $message->code || ($heard->from !== 0 && $heard->from !== $message->node)) {
                continue;
            }
            foreach ($heard->drives as $drive) {
                $turn = $drive->action->holds() && $message->value === 0 ? Turn::LetGo : Turn::Worked;
                $this->findAgain($drive->output);
                $this->put($drive, $turn, $message->value);
                $this->feed($drive);
                $this->asked[$drive->output] = true;
                if ($drive->answers && $this->tables->outputs[$drive->output]->unheardMs > 0) {
                    $at = &$this->state->outputs[$drive->output];
                    $at['known'] = true;
                    $at['knownAt'] = $this->now;
                    unset($at);
                }
            }
            foreach ($heard->passes as $pass) {
                $this->told[] = new Message($pass->link, $pass->to, $pass->code, $message->value);
            }
        }
    }

    /** Whoever told it does not answer any more: what it shows is not known. */
    private function lose(Message $message): void
    {
        foreach ($this->tables->heard as $heard) {
            foreach ($heard->link === $message->link && $heard->from !== 0 && $heard->from === $message->node ? $heard->drives : [] as $drive) {
                if ($drive->answers && $this->tables->outputs[$drive->output]->unheardMs > 0) {
                    $this->state->outputs[$drive->output]['known'] = false;
                }
            }
        }
    }

    /** What another node put on, or holds, must be heard of again and again; a pulse ends by itself. */
    private function feed(Drive $drive): void
    {
        $at = &$this->state->outputs[$drive->output];
        $output = $this->tables->outputs[$drive->output];
        $at['fed'] = match (true) {
            $output->comesOn === true => true,
            $drive->action === Action::Pulse => false,
            $drive->action->holds() => array_filter($at['standing']->holders, static fn (int $master): bool => ($output->far >> $master & 1) === 1) !== [],
            default => $at['standing']->value !== $output->off,
        };
        if ($at['fed']) {
            $at['fedAt'] = $this->now;
        }
    }

    private function put(Drive $drive, Turn $turn, int $value): void
    {
        if ($turn === Turn::LetGo && ! $drive->action->holds()) {
            return;
        }
        $at = &$this->state->outputs[$drive->output];
        $off = $this->tables->outputs[$drive->output]->off;
        $standing = $this->arbiters[$drive->output]->hear($at['standing'], new Ask($drive->master, $drive->action, $drive->byHand, $drive->value ?? $value), $turn);
        $this->stand($drive->output, $standing, $at['standing']);
        if (! $drive->action->holds() && $this->tables->outputs[$drive->output]->comesOn !== true) {
            $at['fed'] = false;
        }
        $at['pulsing'] = $drive->action === Action::Pulse && $at['standing']->value !== $off;
        if ($at['pulsing']) {
            $at['pulseAt'] = $this->now;
            $at['pulseMs'] = $drive->pulseMs;
        }
    }

    /** Puts an output to how it is to stand; or, where one of those that it must never be on with is on, to how it stands if nobody asks. */
    private function stand(int $output, Standing $asked, Standing $otherwise): void
    {
        $off = $this->tables->outputs[$output]->off;
        $may = $asked->value === $off || $otherwise->value !== $off || ! $this->isBarred($output);
        $this->state->outputs[$output]['standing'] = $may ? $asked : $otherwise;
    }

    /** What came on because nobody said anything goes off first, and then where it is told to. */
    private function findAgain(int $output): void
    {
        $at = $this->state->outputs[$output];
        if ($this->tables->outputs[$output]->comesOn === true && ! $at['fed']) {
            // Whoever holds it here keeps it on.
            $this->stand($output, $this->arbiters[$output]->hear($at['standing'], new Ask(-1, Action::Off, false), Turn::Worked), $at['standing']);
        }
    }

    private function isBarred(int $output): bool
    {
        foreach ($this->tables->outputs[$output]->never as $other) {
            if ($this->state->outputs[$other]['standing']->value !== $this->tables->outputs[$other]->off) {
                return true;
            }
        }

        return false;
    }

    private function tell(Tell $tell, Turn $turn, int $value): void
    {
        if ($turn === Turn::LetGo && ! $tell->action->holds()) {
            return;
        }
        $this->told[] = new Message($tell->link, $tell->to, $tell->code, match (true) {
            $tell->action->holds() => $turn === Turn::Worked ? 1 : 0,
            default => $tell->value ?? $value,
        });
    }

    private function does(Does $does, Turn $turn, int $value, bool $onlyHolds = false): void
    {
        foreach ($does->drives as $drive) {
            if (! $onlyHolds || $drive->action->holds()) {
                $this->put($drive, $turn, $value);
            }
        }
        foreach ($does->tells as $tell) {
            if (! $onlyHolds || $tell->action->holds()) {
                $this->tell($tell, $turn, $value);
            }
        }
    }

    private function feel(int $index, Contact $contact, int $raw): void
    {
        $at = &$this->state->contacts[$index];
        if ($raw !== $at['seen']) {
            $at['seen'] = $raw;
            $at['since'] = $this->now;
        }
        if ($raw !== $at['level'] && $this->since($at['since']) >= $contact->debounceMs) {
            $found = $at['level'] === State::UNKNOWN;
            $at['level'] = $raw;
            // A key that is held when the node starts asks for nothing; a switch stands where it stands.
            if (! $found || ($raw === 1 && $contact->kind === ContactKind::Switch)) {
                $at['held'] = $raw === 1;
                $at['told'] = $this->now;
                $this->does($contact->does, $raw === 1 ? Turn::Worked : Turn::LetGo, 0, $found);
            }
        }
        if ($contact->repeatMs > 0 && ($at['held'] || ($at['level'] !== State::UNKNOWN && $contact->does->saysBoth())) && $this->since($at['told']) >= $contact->repeatMs) {
            $at['told'] = $this->now;
            $this->sayAgain($contact->does, $at['held']);
        }
    }

    private function gauge(int $index, Gauge $gauge, int $raw): void
    {
        $at = &$this->state->gauges[$index];
        $failed = $raw === Gauge::FAILED;
        $raw = $failed ? $raw : max(-Gauge::MOST, min(Gauge::MOST, $gauge->scale?->milli($raw) ?? $raw));
        $value = $failed ? 0 : max(-32_768, min(32_767, intdiv($raw + ($raw < 0 ? -500 : 500), 1_000)));
        $state = $gauge->hasThreshold ? $gauge->beyond($at['state'], $raw) : State::UNKNOWN;
        if ($state !== $at['state'] && $this->since($at['since']) >= $gauge->leastMs($at['state'], $state, $failed)) {
            $at['state'] = $state;
            $at['since'] = $this->now;
            $at['again'] = $this->now;
            $this->turned($gauge->does, $state === 1 ? Turn::Worked : Turn::LetGo, $value);
        }
        if (! $failed && (! $at['has'] || $this->since($at['told']) >= $gauge->intervalMs)) {
            $at['has'] = true;
            $at['told'] = $this->now;
            $this->sayValue($gauge->does, $value);
        }
        if ($gauge->repeatMs > 0 && ($at['state'] === 1 || ($at['state'] === 0 && $gauge->does->saysBoth())) && $this->since($at['again']) >= $gauge->repeatMs) {
            $at['again'] = $this->now;
            $this->sayAgain($gauge->does, $at['state'] === 1);
        }
    }

    private function sayAgain(Does $does, bool $holds): void
    {
        foreach ($does->tells as $tell) {
            if ($tell->action->holds() && ($holds || $tell->both === true)) {
                $this->tell($tell, $holds ? Turn::Worked : Turn::LetGo, 0);
            }
        }
    }

    /** All that hangs on the threshold. */
    private function turned(Does $does, Turn $turn, int $value): void
    {
        foreach ($does->drives as $drive) {
            if ($drive->action !== Action::Set || $drive->value !== null) {
                $this->put($drive, $turn, $value);
            }
        }
        foreach ($does->tells as $tell) {
            if ($tell->action !== Action::Set || $tell->value !== null) {
                $this->tell($tell, $turn, $value);
            }
        }
    }

    private function sayValue(Does $does, int $value): void
    {
        foreach ($does->drives as $drive) {
            if ($drive->action === Action::Set && $drive->value === null) {
                $this->put($drive, Turn::Worked, $value);
            }
        }
        foreach ($does->tells as $tell) {
            if ($tell->action === Action::Set && $tell->value === null) {
                $this->tell($tell, Turn::Worked, $value);
            }
        }
    }

    private function position(int $index, Inputs $inputs): int
    {
        $axis = $this->tables->sticks[$index]->axis;

        return $axis->position($inputs->sticks[$index] ?? $axis->centre);
    }

    private function along(Travel $travel, int $position, Inputs $inputs): int
    {
        return $travel->value($travel->mixedWith < 0 ? $position : $travel->mixed($position, $this->position($travel->mixedWith, $inputs)));
    }

    private function follow(int $index, Stick $stick, Inputs $inputs): void
    {
        $at = &$this->state->sticks[$index];
        $first = ! $at['has'];
        if (! $first && $this->since($at['looked']) < $stick->everyMs) {
            return;
        }
        $at['has'] = true;
        $at['looked'] = $this->now;
        $position = $this->position($index, $inputs);
        $before = $at['zone'];
        $at['zone'] = Stick::zone($before, $position);
        $pushed = $at['zone'] !== $before ? $at['zone'] : 0;
        foreach ($stick->does->drives as $number => $drive) {
            if ($drive->travel === null) {
                if ($pushed !== 0 && $pushed === Stick::side($drive->value)) {
                    $this->put($drive, Turn::Worked, 0);
                }

                continue;
            }
            $value = $this->along($drive->travel, $position, $inputs);
            if ($first || $value !== $at['drives'][$number]) {
                $at['drives'][$number] = $value;
                $this->put($drive, Turn::Worked, $value);
            }
        }
        $again = $stick->repeatMs > 0 && $this->since($at['told']) >= $stick->repeatMs;
        if ($again || $first) {
            $at['told'] = $this->now;
        }
        foreach ($stick->does->tells as $number => $tell) {
            if ($tell->travel === null) {
                if ($pushed !== 0 && $pushed === Stick::side($tell->value)) {
                    $this->tell($tell, Turn::Worked, 0);
                }

                continue;
            }
            $value = $this->along($tell->travel, $position, $inputs);
            if ($first || $again || $value !== $at['tells'][$number]) {
                $at['tells'][$number] = $value;
                $this->tell($tell, Turn::Worked, $value);
            }
        }
    }

    private function strike(int $index, Clock $clock, int $minute): void
    {
        $at = &$this->state->clocks[$index];
        $known = $minute !== Clock::UNKNOWN;
        if ($known && $clock->atMinute >= 0 && $at['minute'] !== Clock::UNKNOWN) {
            $passed = ($minute - $at['minute'] + Clock::DAY) % Clock::DAY;
            $until = ($clock->atMinute - $at['minute'] + Clock::DAY) % Clock::DAY;
            if ($until >= 1 && $until <= $passed && $passed <= Clock::SET_ANEW) {
                $this->does($clock->does, Turn::Worked, 0);
            }
        }
        if ($known) {
            $at['minute'] = $minute;
        }
        if ($clock->everyMs > 0 && $this->since($at['since']) >= $clock->everyMs) {
            $at['since'] = ($at['since'] + $clock->everyMs) & self::WRAP;
            $this->does($clock->does, Turn::Worked, 0);
        }
    }

    private function goOn(int $index, Sequence $sequence): void
    {
        $at = &$this->state->sequences[$index];
        $on = $this->state->outputs[$sequence->output]['standing']->value !== $this->tables->outputs[$sequence->output]->off;
        if ($on && ! $at['was']) {
            $at = ['was' => true, 'running' => true, 'next' => 0, 'passes' => 0, 'since' => $this->now];
        } elseif (! $on && $at['was']) {
            $at['was'] = false;
            if ($at['running']) {
                $at['running'] = false;
                $this->does($sequence->stopped, Turn::Worked, 0);
            }
        }
        if (! $at['running']) {
            return;
        }
        while (isset($sequence->moments[$at['next']]) && $this->since($at['since']) >= $sequence->moments[$at['next']]->afterMs) {
            $moment = $sequence->moments[$at['next']];
            $at['since'] = ($at['since'] + $moment->afterMs) & self::WRAP;
            $at['next']++;
            $this->does($moment->does, Turn::Worked, 0);
        }
        if ($at['next'] === count($sequence->moments) && $this->since($at['since']) >= $sequence->pauseMs) {
            $at['since'] = ($at['since'] + $sequence->pauseMs) & self::WRAP;
            $at['next'] = 0;
            $at['passes'] += $sequence->passes === 0 ? 0 : 1;
            if ($sequence->passes > 0 && $at['passes'] >= $sequence->passes) {
                $at['running'] = false;
                $at['was'] = false;
                $output = &$this->state->outputs[$sequence->output];
                $output['standing'] = new Standing($this->tables->outputs[$sequence->output]->off, $output['standing']->holders, $output['standing']->barred);
                $output['pulsing'] = false;
            }
        }
    }

    private function passOn(int $index, Group $group): void
    {
        $value = $this->state->outputs[$group->output]['standing']->value;
        $was = &$this->state->groups[$index];
        if ($value !== $was) {
            $was = $value;
            $this->does($group->does, $value !== $this->tables->outputs[$group->output]->off ? Turn::Worked : Turn::LetGo, $value);
        }
    }

    /** How an output stands, to whoever shows it. What cannot be sensed is not told: then it is not known there either. */
    private function report(int $index, Report $report, Inputs $inputs): void
    {
        $value = match (true) {
            $report->contact !== null => $this->state->contacts[$report->contact]['level'] ?? State::UNKNOWN,
            $report->gauge !== null => ($inputs->gauges[$report->gauge] ?? Gauge::FAILED) === Gauge::FAILED ? State::UNKNOWN : $this->state->gauges[$report->gauge]['state'] ?? State::UNKNOWN,
            default => $this->state->outputs[$report->output]['standing']->value,
        };
        if ($report->isMeasured() && $value === State::UNKNOWN) {
            return;
        }
        $at = &$this->state->reports[$index];
        $changed = ! $at['has'] || $value !== $at['value'];
        $turned = $at['has'] && $changed;
        $again = ($report->everyMs > 0 && $this->since($at['told']) >= $report->everyMs) || ($report->always && isset($this->asked[$report->output]));
        if (! $changed && ! $again) {
            return;
        }
        $at = ['value' => $value, 'has' => true, 'told' => $this->now];
        $turn = $value !== ($report->isMeasured() ? 0 : $this->tables->outputs[$report->output]->off) ? Turn::Worked : Turn::LetGo;
        $lasting = $report->does->lasting();
        foreach ($changed ? $lasting->drives : [] as $drive) {
            $this->put($drive, $drive->action->holds() ? $turn : Turn::Worked, $value);
        }
        foreach ($lasting->tells as $tell) {
            $this->tell($tell, $tell->action->holds() ? $turn : Turn::Worked, $value);
        }
        if ($turned && $turn === Turn::Worked) {
            $this->does($report->does->passing(), $turn, $value);
        }
    }
}
