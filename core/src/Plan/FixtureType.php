<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** A kind of lamp or other thing that obeys slots, as its manual has it: several of a plan may be of one. */
final readonly class FixtureType implements Thing
{
    /**
     * @param  list<FixtureMode>  $modes
     * @param  string  $addressBy  how it is given its start address: menu, switches (they say the address), switches-plus-one (all off is 1)
     * @param  float  $unitLoads  what it takes of the 32 that a driver can feed
     * @param  string  $onLoss  what it does when nothing comes any more: unknown, holds, dark, own (a program of its own)
     */
    public function __construct(
        public string $id,
        public string $name,
        public array $modes = [],
        public string $addressBy = 'menu',
        public float $unitLoads = 1.0,
        public string $onLoss = 'unknown',
        public int $order = 0,
        public string $note = '',
    ) {
    }

    public static function kind(): ThingKind
    {
        return ThingKind::FixtureType;
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::id(),
            Field::name(),
            Field::records('modes', FixtureMode::shape(), FixtureMode::MOST, 'The ways in which it can be set to take its slots.'),
            Field::oneOf('addressBy', ['menu', 'switches', 'switches-plus-one'], 'How it is given its start address: by a menu; by nine switches that say it; by nine of which all off is 1.', 'menu')->titled('Address by')->named(['a menu', 'switches: 1 is the first on', 'switches: 1 is all off']),
            Field::number('unitLoads', 0.0, 4.0, 'What it takes of the 32 that a driver can feed.', 1.0)->titled('Unit loads'),
            Field::oneOf('onLoss', ['unknown', 'holds', 'dark', 'own'], 'What it does when nothing comes any more.', 'unknown')->titled('Without data')->named(['nobody looked it up', 'holds what it was told', 'goes dark', 'runs a program of its own']),
            Field::order(),
            Field::note(),
        );
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->text('id'),
            $values->text('name'),
            array_map(FixtureMode::from(...), $values->each('modes')),
            $values->text('addressBy'),
            $values->number('unitLoads'),
            $values->text('onLoss'),
            $values->whole('order'),
            $values->text('note'),
        );
    }

    /** @return FixtureMode|null the one of that name; the first where none is named */
    public function mode(string $name): ?FixtureMode
    {
        if ($name === '') {
            return $this->modes[0] ?? null;
        }
        foreach ($this->modes as $mode) {
            if ($mode->name === $name) {
                return $mode;
            }
        }

        return null;
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
            'modes' => array_map(static fn (FixtureMode $mode): array => $mode->values(), $this->modes),
            'addressBy' => $this->addressBy,
            'unitLoads' => $this->unitLoads,
            'onLoss' => $this->onLoss,
            'order' => $this->order,
            'note' => $this->note,
        ];
    }
}
