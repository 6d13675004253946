<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** One field of every packet of a protocol. */
final readonly class ProtocolPart
{
    public const MOST = 16;

    /**
     * @param  int  $bits  how many it takes; the values and the check say that themselves
     * @param  int  $value  what a fixed field holds; what is added to a length
     */
    public function __construct(public ProtocolPartKind $is, public int $bits = 8, public int $value = 0)
    {
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::choice('is', ProtocolPartKind::class, 'What stands there.'),
            Field::whole('bits', 1, 32, 'How many bits it takes; the values and the check say that themselves.', 8),
            Field::whole('value', 0, 0xFFFF_FFFF, 'What a fixed field holds; what is added to a length.', 0),
        );
    }

    public static function from(Values $values): self
    {
        return new self($values->choice('is', ProtocolPartKind::class), $values->whole('bits'), $values->whole('value'));
    }

    /** @return array{is: string, bits: int, value: int} */
    public function values(): array
    {
        return ['is' => $this->is->value, 'bits' => $this->bits, 'value' => $this->value];
    }
}
