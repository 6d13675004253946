<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use Rundfunk\Plan\Thing;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** A kind of thing that no plan has yet: with a list of references, records that refer, and a reference to its own kind. */
final readonly class Tour implements Thing
{
    /**
     * @param  list<string>  $nodeIds
     * @param  list<array<array-key, mixed>>  $steps
     */
    public function __construct(public string $id, public array $nodeIds = [], public array $steps = [], public ?string $afterId = null)
    {
    }

    public static function kind(): ThingKind
    {
        return ThingKind::Route;
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::id(),
            Field::mentionsAll('nodeIds', ThingKind::Node, 8, 'Where it leads past.'),
            Field::records('steps', Shape::of(
                Field::joins('outputId', ThingKind::Output, 'What is worked.'),
                Field::mentions('controlId', ThingKind::Control, 'What is waited for.'),
                Field::whole('seconds', 0, 60, 'How long.', 1),
            ), 8, 'What it does.'),
            Field::mentions('afterId', self::kind(), 'The tour it follows on.'),
        );
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->text('id'),
            $values->texts('nodeIds'),
            $values->objects('steps'),
            $values->textOrNull('afterId'),
        );
    }

    public function id(): string
    {
        return $this->id;
    }

    public function label(): string
    {
        return 'Tour';
    }

    public function values(): array
    {
        return ['id' => $this->id, 'nodeIds' => $this->nodeIds, 'steps' => $this->steps, 'afterId' => $this->afterId];
    }
}
