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
        return $this->protocol === $other->protocol && $this->address === $other->address
            && $this->command === $other->command && $this->format === $other->format;
    }
}
