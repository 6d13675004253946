<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

final readonly class Place implements Thing
{
    public function __construct(public string $id, public string $name, public int $order = 0, public string $note = '')
    {
    }

    public static function kind(): ThingKind
    {
        return ThingKind::Place;
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::id(),
            Field::name(),
            Field::order(),
            Field::note(),
        );
    }

    public static function from(Values $values): self
    {
        return new self($values->text('id'), $values->text('name'), $values->whole('order'), $values->text('note'));
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
        return ['id' => $this->id, 'name' => $this->name, 'order' => $this->order, 'note' => $this->note];
    }
}
