<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Described;
use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** A class of board that the catalogue does not have, described by the user as a copy of one that it has. */
final readonly class OwnBoard implements Thing
{
    /** @param  array<array-key, mixed>  $description  obeying the catalogue's own schema for a board; empty while it is a copy as it stands */
    public function __construct(
        public string $id,
        public string $name,
        public string $copyOf,
        public array $description = [],
        public int $order = 0,
    ) {
    }

    public static function kind(): ThingKind
    {
        return ThingKind::OwnBoard;
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::id(),
            Field::name(),
            Field::key('copyOf', 'The class of the catalogue that it was copied from.'),
            Field::described('description', Described::Board, 'What it is: as the classes of the catalogue say it. Absent: just what that class is.'),
            Field::order(),
        );
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->text('id'),
            $values->text('name'),
            $values->text('copyOf'),
            $values->tree('description'),
            $values->whole('order'),
        );
    }

    /** As a node or module names it. */
    public function key(): string
    {
        return Tie::OWN.$this->id;
    }

    public function id(): string
    {
        return $this->id;
    }

    public function label(): string
    {
        return $this->name;
    }

    public function values(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'copyOf' => $this->copyOf,
            'description' => $this->description,
            'order' => $this->order,
        ];
    }
}
