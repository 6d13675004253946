<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** One thing that a fixture is told in one of its modes: a slot, or two of them, the coarse and the fine. Figures are those of the coarse one, 0 to 255. */
final readonly class FixtureSlot
{
    public const MOST = 512;

    /**
     * @param  string  $name  what functions of the fixture call it
     * @param  int  $at  from 1, counted from the start address
     * @param  int|null  $fineAt  where its low byte is; null where it has eight bits
     * @param  int  $rest  what it is told while nobody asks anything of it
     * @param  int|null  $on  what on is; null for the highest
     * @param  int|null  $opensFrom  nothing of the fixture shows unless this is told at least; null where it bars nothing
     * @param  int|null  $opensTo  and this at most
     * @param  string  $ranges  what its figures mean, as "0-9=closed, 10-255=open"
     */
    public function __construct(
        public string $name,
        public int $at,
        public ?int $fineAt = null,
        public FixtureSlotKind $is = FixtureSlotKind::Other,
        public int $rest = 0,
        public ?int $on = null,
        public ?int $opensFrom = null,
        public ?int $opensTo = null,
        public string $ranges = '',
    ) {
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::text('name', 24, 'What functions of the fixture call it.'),
            Field::whole('at', 1, self::MOST, 'Which slot, from 1 at the start address.', 1),
            Field::whole('fineAt', 1, self::MOST, 'Of sixteen bits: where the low byte is; none for eight.')->nullable(),
            Field::choiceOr('is', FixtureSlotKind::Other, 'What it is for.'),
            Field::whole('rest', 0, 255, 'What it is told while nobody asks anything of it.', 0),
            Field::whole('on', 0, 255, 'What on is; none for the highest.')->nullable(),
            Field::whole('opensFrom', 0, 255, 'Nothing of the fixture shows unless this is told at least; none where it bars nothing.')->nullable(),
            Field::whole('opensTo', 0, 255, 'And this at most; none for the highest.')->nullable(),
            Field::label('ranges', 600, 'What its figures mean, as "0-9=closed, 10-255=open".'),
        );
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->text('name'),
            $values->whole('at'),
            $values->wholeOrNull('fineAt'),
            $values->choice('is', FixtureSlotKind::class),
            $values->whole('rest'),
            $values->wholeOrNull('on'),
            $values->wholeOrNull('opensFrom'),
            $values->wholeOrNull('opensTo'),
            $values->text('ranges'),
        );
    }

    /** Whether the fixture can show anything while this stands at that. */
    public function lets(int $value): bool
    {
        return $this->opensFrom === null || ($value >= $this->opensFrom && $value <= ($this->opensTo ?? 255));
    }

    /** @return array<string, mixed> */
    public function values(): array
    {
        return ['name' => $this->name, 'at' => $this->at, 'fineAt' => $this->fineAt, 'is' => $this->is->value, 'rest' => $this->rest, 'on' => $this->on, 'opensFrom' => $this->opensFrom, 'opensTo' => $this->opensTo, 'ranges' => $this->ranges];
    }
}
