<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared;

/** What a signal says, in the terms of its protocol. */
final readonly class IrCommand
{
    public function __construct(
        public string $protocol,
        public int $address,
        public int $command,
        public ?bool $toggle = null,
        public ?string $format = null,
    ) {
    }

    /** The same key: the toggle bit, which changes at each press, aside. */
    public function sameKeyAs(self $other): bool
    {
        if ($this->protocol !== $other->protocol) {
            return false;
        }
        $format = PulseFormat::tryParse($this->format);
        $otherFormat = PulseFormat::tryParse($other->format);
        if ($format === null || $otherFormat === null) {
            return $this->address === $other->address && $this->command === $other->command && $this->format === $other->format;
        }

        // Two captures never measure quite the same, and may have been read from either end.
        return $format->isLike($otherFormat) && $format->sent($this->command) === $otherFormat->sent($other->command);
    }

    /** The same marks and spaces with the bits read from the other end; null where a protocol says in which order they come. */
    public function turned(): ?self
    {
        $format = PulseFormat::tryParse($this->format);

        return $format === null ? null : new self($this->protocol, $this->address, $format->turnedValue($this->command), null, $format->turned()->text());
    }
}
