<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

final readonly class Node implements Thing
{
    public function __construct(
        public string $id,
        public string $name,
        public NodeKind $kind,
        public ?string $placeId = null,
        public ?string $board = null,
        public int $order = 0,
        public string $note = '',
        public Sleep $sleep = Sleep::Never,
        public bool $owned = false,
    ) {
    }

    public static function kind(): ThingKind
    {
        return ThingKind::Node;
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::id(),
            Field::name(),
            Field::choice('kind', NodeKind::class, 'What part it plays.'),
            Field::mentions('placeId', ThingKind::Place, 'Where it stands.'),
            Field::classOf('board', ThingKind::OwnBoard, 'The class of its board.')->nullable(),
            Field::order(),
            Field::note(),
            Field::choiceOr('sleep', Sleep::Never, 'When its board sleeps, which decides how long a battery lasts.'),
            Field::owned(),
        );
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->text('id'),
            $values->text('name'),
            $values->choice('kind', NodeKind::class),
            $values->textOrNull('placeId'),
            $values->textOrNull('board'),
            $values->whole('order'),
            $values->text('note'),
            $values->choice('sleep', Sleep::class),
            $values->flag('owned'),
        );
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
            'kind' => $this->kind->value,
            'placeId' => $this->placeId,
            'board' => $this->board,
            'order' => $this->order,
            'note' => $this->note,
            'sleep' => $this->sleep->value,
            'owned' => $this->owned,
        ];
    }
}
