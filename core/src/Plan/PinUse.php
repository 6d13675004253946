<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** One terminal of a module, wired to one pin of its node's board. */
final readonly class PinUse implements Thing
{
    public function __construct(
        public string $id,
        public string $moduleId,
        public string $terminal,
        public string $pin,
        public bool $pinned = false,
        public bool $bySoftware = false,
    ) {
    }

    public static function kind(): ThingKind
    {
        return ThingKind::PinUse;
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::id(),
            Field::partOf('moduleId', ThingKind::Module, 'The module that is wired.'),
            Field::text('terminal', 24, 'The terminal, as the module is marked.'),
            Field::text('pin', 24, 'The board pin, as the board is marked.'),
            Field::flag('pinned', 'Whether the user fixed it, so that Assign leaves it alone.'),
            Field::flag('bySoftware', 'Whether the program makes the signal itself, on a pin that has no hardware for it: a serial line, an infrared carrier.'),
        );
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->text('id'),
            $values->text('moduleId'),
            $values->text('terminal'),
            $values->text('pin'),
            $values->flag('pinned'),
            $values->flag('bySoftware'),
        );
    }

    public function id(): string
    {
        return $this->id;
    }

    public function label(): string
    {
        return $this->terminal.' on '.$this->pin;
    }

    public function values(): array
    {
        return [
            'id' => $this->id,
            'moduleId' => $this->moduleId,
            'terminal' => $this->terminal,
            'pin' => $this->pin,
            'pinned' => $this->pinned,
            'bySoftware' => $this->bySoftware,
        ];
    }
}
