<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

use Rundfunk\Shape\Values;

/** One signal terminal of a module. */
final readonly class Terminal
{
    /**
     * @param  string  $needs  what the pin must be able to do: "digital-out", "analogue", "spi.sck"
     * @param  string|null  $carries  "control" or "output": such a terminal needs a pin only when one is on it
     * @param  bool  $shared  several controls may be on it, as the readings of one sensor
     */
    public function __construct(
        public string $name,
        public string $needs,
        public bool $optional,
        public ?string $carries,
        public ?Pull $pulls,
        public string $doc,
        public bool $shared = false,
    ) {
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->text('name'),
            $values->text('needs'),
            $values->has('optional'),
            $values->textOrNull('carries'),
            $values->choiceOrNull('pulls', Pull::class),
            $values->text('doc'),
            $values->has('shared'),
        );
    }

    public function onBus(): bool
    {
        return str_contains($this->needs, '.');
    }
}
