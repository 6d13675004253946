<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Plan\Action;

/** A board of ours that tells a universe: every slot, again and again, on its way from one level to another. The same in C stands in {@see CSender}. */
final class Sender
{
    /** What does not change is said to a bridge again by and by: it may have been off. */
    public const AGAIN_MS = 250;

    /** @var list<array{from: int, to: int, startMs: int, ms: int, pulseMs: int, fadeMs: int, rest: int}> by slot that is driven */
    private array $states = [];

    /** @var list<int> */
    private readonly array $places;

    /** @var array<int, int> what the bridge was told last, by place */
    private array $said;

    private int $turn = 0;

    private bool $hasSaidAll = false;

    private int $saidMs;

    public function __construct(private readonly SenderTables $tables, int $nowMs = 0)
    {
        foreach ($tables->driven as $driven) {
            $this->states[] = ['from' => $driven->rest, 'to' => $driven->rest, 'startMs' => $nowMs & 0xFFFF_FFFF, 'ms' => 0, 'pulseMs' => 0, 'fadeMs' => 0, 'rest' => $driven->rest];
        }
        $this->places = $tables->places();
        $this->said = array_fill(0, count($this->places), 0);
        $this->saidMs = $nowMs & 0xFFFF_FFFF;
    }

    public function tell(int $node, int $code, int $value, int $nowMs): void
    {
        foreach ($this->tables->tells as $tell) {
            if ($tell->node !== $node || $tell->code !== $code) {
                continue;
            }
            $state = &$this->states[$tell->driven];
            $now = $this->level($state, $nowMs);
            $state = [
                'from' => $now,
                'to' => self::target($tell, $value, $state['to']),
                'startMs' => $nowMs & 0xFFFF_FFFF,
                'ms' => $tell->fadeMs,
                'pulseMs' => $tell->pulseMs,
                'fadeMs' => $tell->fadeMs,
                'rest' => $tell->off,
            ];

            return;
        }
    }

    private static function target(SlotTell $tell, int $value, int $was): int
    {
        return match ($tell->action) {
            Action::On, Action::Pulse => $tell->on,
            Action::Off => $tell->off,
            Action::Toggle => $was === $tell->off ? $tell->on : $tell->off,
            Action::Momentary, Action::Follow => $value === 0 ? $tell->off : $tell->on,
            Action::Set => $tell->level->for($tell->value ?? $value),
            Action::Step => max(0, min(Fade::FULL, $was + $tell->level->steps($tell->value ?? 1))),
        };
    }

    /** @param  array{from: int, to: int, startMs: int, ms: int, pulseMs: int, fadeMs: int, rest: int}  $state */
    private function level(array &$state, int $nowMs): int
    {
        $elapsed = ($nowMs - $state['startMs']) & 0xFFFF_FFFF;
        if ($state['ms'] > 0 && $elapsed >= $state['ms']) {
            // Not to begin anew when the milliseconds come round.
            $state['from'] = $state['to'];
            $state['ms'] = 0;
        }
        $level = $state['ms'] === 0 ? $state['to'] : (new Fade($state['from'], $state['to'], $state['ms']))->at($elapsed);
        if ($state['pulseMs'] > 0 && $elapsed >= $state['pulseMs']) {
            $state = ['from' => $level, 'to' => $state['rest'], 'startMs' => $nowMs & 0xFFFF_FFFF, 'ms' => $state['fadeMs'], 'pulseMs' => 0, 'fadeMs' => 0, 'rest' => $state['rest']];

            return $state['ms'] === 0 ? $state['to'] : $level;
        }

        return $level;
    }

    /** @return string the slots as they are now, a byte each */
    public function slots(int $nowMs): string
    {
        $slots = $this->tables->rests;
        foreach ($this->tables->driven as $at => $driven) {
            $level = $this->level($this->states[$at], $nowMs);
            $slots[$driven->at] = chr($level >> 8);
            if ($driven->fineAt !== null) {
                $slots[$driven->fineAt] = chr($level & 0xFF);
            }
        }

        return $slots;
    }

    /** @return array{int, int}|null which slot, from 1, the bridge is told next, and what; null while it knows all */
    public function next(int $nowMs): ?array
    {
        $count = count($this->places);
        if ($count === 0) {
            return null;
        }
        $slots = $this->slots($nowMs);
        $again = (($nowMs - $this->saidMs) & 0xFFFF_FFFF) >= self::AGAIN_MS;
        for ($look = 0; $look < $count; $look++) {
            $turn = ($this->turn + $look) % $count;
            $value = ord($slots[$this->places[$turn]]);
            if (! $this->hasSaidAll || $value !== $this->said[$turn]) {
                return $this->say($turn, $value, $nowMs);
            }
        }

        return $again ? $this->say($this->turn, ord($slots[$this->places[$this->turn]]), $nowMs) : null;
    }

    /** @return array{int, int} */
    private function say(int $turn, int $value, int $nowMs): array
    {
        $this->said[$turn] = $value;
        $this->saidMs = $nowMs & 0xFFFF_FFFF;
        $this->turn = $turn + 1;
        if ($this->turn === count($this->places)) {
            $this->turn = 0;
            $this->hasSaidAll = true;
        }

        return [$this->places[$turn] + 1, $value];
    }
}
