<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\FixtureMode;
use Rundfunk\Plan\FixtureSlotKind;
use Rundfunk\Plan\FixtureType;
use Rundfunk\Plan\Node;

/** An end that takes slots, and which. */
final readonly class Patched
{
    /**
     * @param  FixtureMode|null  $mode  of what was bought and is described
     * @param  int  $footprint  how many slots it takes; 0 while nobody knows
     * @param  list<SlotUse>  $uses  in the order in which they stand
     */
    public function __construct(public Endpoint $end, public DmxEnd $settings, public Node $node, public ?FixtureType $type, public ?FixtureMode $mode, public int $footprint, public array $uses)
    {
    }

    /** @return int|null its last slot; null while it has none */
    public function last(): ?int
    {
        return $this->settings->start === null || $this->footprint === 0 ? null : $this->settings->start + $this->footprint - 1;
    }

    /** @return int|null where in the universe, from 1, something is that stands so far behind its start, from 1 too; null while it has no address */
    public function place(int $at): ?int
    {
        return $this->settings->start === null ? null : $this->settings->start + $at - 1;
    }

    /** How its address is set by switches; null for what has a menu, or is a board of ours. */
    public function switches(): ?DipSwitches
    {
        return $this->type === null || $this->type->addressBy === 'menu' ? null : new DipSwitches($this->type->addressBy === 'switches-plus-one');
    }

    /** @return list<bool>|null how they stand, the first switch first; null where there are none, or they cannot say it */
    public function set(): ?array
    {
        return $this->settings->start === null ? null : $this->switches()?->for($this->settings->start);
    }

    public function overlaps(self $other): bool
    {
        return $this->last() !== null && $other->last() !== null && $this->settings->start <= $other->last() && $other->settings->start <= $this->last();
    }

    /** Whether any of its slots can keep its light in. */
    public function hasBars(): bool
    {
        foreach ($this->uses as $use) {
            if ($use->slot->opensFrom !== null) {
                return true;
            }
        }

        return false;
    }

    /** Whether a black-out puts it to nothing: its brightness; its colours, where it has no brightness of its own; of a board of ours, all. */
    public function darkens(SlotUse $use): bool
    {
        $dims = array_filter($this->uses, static fn (SlotUse $one): bool => $one->slot->is === FixtureSlotKind::Dimmer) !== [];

        return $this->mode === null || $use->slot->is === FixtureSlotKind::Dimmer || ($use->slot->is === FixtureSlotKind::Colour && ! $dims);
    }

    public function use(?string $name): ?SlotUse
    {
        foreach ($this->uses as $use) {
            if ($use->slot->name === $name) {
                return $use;
            }
        }

        return null;
    }

    /** @return SlotUse|null what an output of its is */
    public function useOf(string $outputId): ?SlotUse
    {
        foreach ($this->uses as $use) {
            if ($use->output?->id === $outputId) {
                return $use;
            }
        }

        return null;
    }

    /** Whether another at the same address would do the same. */
    public function isLike(self $other): bool
    {
        return $this->footprint === $other->footprint && $this->mode !== null && $other->mode !== null && $this->type?->id === $other->type?->id && $this->mode->name === $other->mode->name;
    }
}
