<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Whole;

use Rundfunk\Frame\PlacedField;
use Rundfunk\Shape\ListOf;

/** Which bits of a sender's frames say what: for programs in something else than C. Bit 0 is the lowest of a frame's first byte. */
final readonly class StatedFrame
{
    /**
     * @param  int  $sender  its number
     * @param  list<StatedThing>  $things
     */
    public function __construct(public int $sender, #[ListOf(StatedThing::class)] public array $things)
    {
    }

    /** @param  int  $firstByte  at which the state begins in a frame */
    public static function of(WholeState $state, int $firstByte): self
    {
        $placed = $state->placed($firstByte);

        return new self($state->number, array_map(static fn (StateSlot $slot): StatedThing => self::thing($slot, $placed[$slot->name], $placed[$slot->saidName()]), $state->slots));
    }

    private static function thing(StateSlot $slot, PlacedField $value, PlacedField $said): StatedThing
    {
        return new StatedThing($slot->to, $slot->code, $slot->kind, $said->atBit, $value->atBit, $slot->size()->bits, $slot->size()->lowest, $slot->value, $slot->addsUp);
    }
}
