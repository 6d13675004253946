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
     * @param  string  $fromPin  of the plug at its first end, as marked there; empty where nobody said
     * @param  string  $toPin  of the plug at its other end
     */
    public function __construct(public int $core, public CoreUse $use, public ?string $linkId = null, public ?string $supplyId = null, public string $fromPin = '', public string $toPin = '')
    {
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::whole('core', 1, Cable::MOST_CORES, 'Which core, from 1.', 1),
            Field::choice('use', CoreUse::class, 'What it is for.'),
            Field::mentions('linkId', ThingKind::Link, 'The link whose data it carries.'),
            Field::mentions('supplyId', ThingKind::Supply, 'The supply that it brings.'),
            Field::label('fromPin', 8, 'The pin of the plug at its first end, as marked there.'),
            Field::label('toPin', 8, 'The pin of the plug at its other end.'),
        );
    }

    public static function from(Values $values): self
    {
        // A core of before plugs had pins says nothing of them.
        return new self($values->whole('core'), $values->choice('use', CoreUse::class), $values->textOrNull('linkId'), $values->textOrNull('supplyId'), $values->textOrNull('fromPin') ?? '', $values->textOrNull('toPin') ?? '');
    }

    /** The same on another core. */
    public function on(int $core): self
    {
        return new self($core, $this->use, $this->linkId, $this->supplyId, $this->fromPin, $this->toPin);
    }

    /** @return array{core: int, use: string, linkId: string|null, supplyId: string|null, fromPin: string, toPin: string} */
    public function values(): array
    {
        return ['core' => $this->core, 'use' => $this->use->value, 'linkId' => $this->linkId, 'supplyId' => $this->supplyId, 'fromPin' => $this->fromPin, 'toPin' => $this->toPin];
    }
}
