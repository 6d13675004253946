<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** One stretch of a route's path, over one link, with the command code it carries there. */
final readonly class Hop implements Thing
{
    public function __construct(
        public string $id,
        public string $routeId,
        public string $linkId,
        public string $fromId,
        public string $toId,
        public ?int $code = null,
        public bool $pinned = false,
        public int $order = 0,
    ) {
    }

    public static function kind(): ThingKind
    {
        return ThingKind::Hop;
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::id(),
            Field::partOf('routeId', ThingKind::Route, 'The route it is part of.'),
            Field::joins('linkId', ThingKind::Link, 'The link it goes over.'),
            Field::joins('fromId', ThingKind::Endpoint, 'The endpoint that sends.'),
            Field::joins('toId', ThingKind::Endpoint, 'The endpoint that receives.'),
            Field::whole('code', 0, 65_535, 'The command code on the wire.')->nullable(),
            Field::flag('pinned', 'Whether the user fixed the code.'),
            Field::order(),
        );
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->text('id'),
            $values->text('routeId'),
            $values->text('linkId'),
            $values->text('fromId'),
            $values->text('toId'),
            $values->wholeOrNull('code'),
            $values->flag('pinned'),
            $values->whole('order'),
        );
    }

    public function id(): string
    {
        return $this->id;
    }

    public function label(): string
    {
        return $this->code === null ? 'no code yet' : sprintf('0x%02X', $this->code);
    }

    public function values(): array
    {
        return [
            'id' => $this->id,
            'routeId' => $this->routeId,
            'linkId' => $this->linkId,
            'fromId' => $this->fromId,
            'toId' => $this->toId,
            'code' => $this->code,
            'pinned' => $this->pinned,
            'order' => $this->order,
        ];
    }
}
