<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** One core of a cable that is used. */
final readonly class CableCore
{
    /**
     * @param  int  $core  from 1
     * @param  string|null  $linkId  whose data it carries
     * @param  string|null  $supplyId  which supply it brings
     */
    public function __construct(public int $core, public CoreUse $use, public ?string $linkId = null, public ?string $supplyId = null)
    {
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::whole('core', 1, Cable::MOST_CORES, 'Which core, from 1.', 1),
            Field::choice('use', CoreUse::class, 'What it is for.'),
            Field::mentions('linkId', ThingKind::Link, 'The link whose data it carries.'),
            Field::mentions('supplyId', ThingKind::Supply, 'The supply that it brings.'),
        );
    }

    public static function from(Values $values): self
    {
        return new self($values->whole('core'), $values->choice('use', CoreUse::class), $values->textOrNull('linkId'), $values->textOrNull('supplyId'));
    }

    /** @return array{core: int, use: string, linkId: string|null, supplyId: string|null} */
    public function values(): array
    {
        return ['core' => $this->core, 'use' => $this->use->value, 'linkId' => $this->linkId, 'supplyId' => $this->supplyId];
    }
}
