<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

use Rundfunk\Shape\Values;

/** What a pin does from power-up until the program tells it: at reset, while the board waits for a new program, and before the program's first word. */
final readonly class PinStart
{
    public function __construct(public PinState $reset, public PinState $bootloader, public PinState $initial)
    {
    }

    /** @param  self|null  $usual  of the board's pins, where this one says nothing of its own */
    public static function from(?Values $values, ?self $usual): self
    {
        $of = static fn (string $phase, PinState $else): PinState => $values?->choiceOrNull($phase, PinState::class) ?? $else;

        return new self($of('reset', $usual->reset ?? PinState::Floats), $of('bootloader', $usual->bootloader ?? PinState::Floats), $of('initial', $usual->initial ?? PinState::Floats));
    }

    /** It drives nothing: a weak pull at the most. */
    public function isQuiet(): bool
    {
        return ! $this->reset->drives() && ! $this->bootloader->drives() && ! $this->initial->drives();
    }

    /** @return string|null when it does, in words; null where it never works such a thing */
    public function switchesOn(Level $on): ?string
    {
        return match (true) {
            $this->reset->switchesOn($on) => 'at power-up and reset',
            $this->bootloader->switchesOn($on) => 'while the board waits for a new program, at each start',
            $this->initial->switchesOn($on) => 'until the program has begun',
            default => null,
        };
    }
}
