<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Whole;

use Rundfunk\Frame\FieldSize;
use Rundfunk\Frame\FrameField;

/** One thing that an end tells, as it stands in each of its frames: whether it is said with this one, and how it stands. */
final readonly class StateSlot
{
    /** Presses are counted up to three, then from nought. */
    public const COUNTS = 4;

    /**
     * @param  string  $name  as C may name it
     * @param  int  $to  number of whom it is told: where several hear it, of the first
     * @param  list<string>  $hearers  ends that hear it
     * @param  int  $value  that a counted one bears: what the plan says
     * @param  bool  $addsUp  asked twice is not asked once: a toggle, a step
     * @param  int  $lowest  of what a valued one can say
     * @param  string  $says  in words
     */
    public function __construct(
        public string $name,
        public SlotKind $kind,
        public int $to,
        public int $code,
        public array $hearers,
        public int $value,
        public bool $addsUp,
        public int $lowest,
        public int $highest,
        public string $says,
    ) {
    }

    /** What a valued one holds while nothing was said yet. */
    public function unsaid(): int
    {
        return $this->lowest - 1;
    }

    /** No slot is called so: their own names end with what is asked. */
    public function saidName(): string
    {
        return "{$this->name}_said";
    }

    /** @return array{int, int} the lowest and the highest value that a message of it bears */
    public function span(): array
    {
        return match ($this->kind) {
            SlotKind::Held => [0, 1],
            SlotKind::Valued => [$this->lowest, $this->highest],
            SlotKind::Counted => [min(0, $this->value), max(0, $this->value)],
        };
    }

    public function size(): FieldSize
    {
        return match ($this->kind) {
            SlotKind::Held => FieldSize::between(0, 1),
            SlotKind::Valued => FieldSize::between($this->unsaid(), $this->highest),
            SlotKind::Counted => FieldSize::between(0, self::COUNTS - 1),
        };
    }

    /** @return list<FrameField> */
    public function fields(): array
    {
        $what = match ($this->kind) {
            SlotKind::Held => '1 while worked',
            SlotKind::Valued => "{$this->lowest} to {$this->highest}; {$this->unsaid()}: nothing said yet",
            SlotKind::Counted => 'presses, modulo '.self::COUNTS,
        };

        return [
            new FrameField($this->saidName(), FieldSize::between(0, 1), 'it is said with this frame, changed or again'),
            new FrameField($this->name, $this->size(), "{$this->says}: {$what}"),
        ];
    }

    /** @return int messages that one frame can come to */
    public function mostMessages(): int
    {
        return $this->kind === SlotKind::Counted && $this->addsUp ? self::COUNTS : 1;
    }

    /** @return int what the slot holds after a message */
    public function after(int $held, int $value): int
    {
        return match ($this->kind) {
            SlotKind::Held => $value === 0 ? 0 : 1,
            SlotKind::Valued => max($this->lowest, min($this->highest, $value)),
            SlotKind::Counted => ($held + 1) % self::COUNTS,
        };
    }

    /**
     * The messages that a frame comes to, of this slot.
     *
     * @param  bool  $said  with the frame
     * @param  int|null  $before  what it held in the frame that was heard before; null where none was heard since the sender began
     * @return list<int> the value of each
     */
    public function heard(bool $said, int $now, ?int $before): array
    {
        if ($this->kind !== SlotKind::Counted) {
            $says = $said || $now !== $before;

            return $says && ($this->kind === SlotKind::Held || $now !== $this->unsaid()) ? [$now] : [];
        }
        $missed = $before === null ? 0 : ($now - $before + self::COUNTS) % self::COUNTS;
        // What is said was worked once at least: no difference is a whole round, or, where nothing is known, this once.
        $times = $said && $missed === 0 ? ($before === null ? 1 : self::COUNTS) : $missed;

        return array_fill(0, $this->addsUp ? $times : min(1, $times), $this->value);
    }
}
