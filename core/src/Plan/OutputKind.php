<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;

enum OutputKind: string
{
    case Relay = 'relay';
    case Lamp = 'lamp';

    /** Something a bought appliance or toy can do. */
    case Function = 'function';

    /** A text sent to a phone. */
    case Message = 'message';

    /** It is on a channel of a module of its node, and so on a pin. */
    public function isWired(): bool
    {
        return $this === self::Relay || $this === self::Lamp;
    }

    /** It can be set to a speed, a level, a temperature, and is not only on or off. */
    public function takesValues(): bool
    {
        return $this === self::Function;
    }

    /** @return list<NodeKind> where such an output can be */
    public function homes(): array
    {
        return match ($this) {
            self::Relay, self::Lamp => [NodeKind::Controller, NodeKind::Handset, NodeKind::Gateway],
            self::Function => [NodeKind::Fixture],
            self::Message => [NodeKind::Phone],
        };
    }

    /** What such an output has besides a name. */
    public function settings(): Shape
    {
        return match ($this) {
            self::Message => Shape::of(Field::longText('words', 480, 'What the text says; {value} stands for the reading.')->titled('Says')),
            self::Function => Shape::of(
                Field::whole('lowest', -10_000, 10_000, 'The lowest value it can be set to: a speed, a level, a temperature.')->nullable()->titled('From'),
                Field::whole('highest', -10_000, 10_000, 'The highest.')->nullable()->titled('to'),
                Field::label('unit', 12, 'Unit of the value.')->titled('Unit'),
            ),
            default => Shape::of(),
        };
    }
}
