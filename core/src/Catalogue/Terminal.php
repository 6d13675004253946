<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Shape\Values;

/** One signal terminal of a module. */
final readonly class Terminal
{
    /**
     * @param  string  $needs  what the pin must be able to do: "digital-out", "analogue", "spi.sck"
     * @param  string|null  $carries  "control" or "output": such a terminal needs a pin only when one is on it
     */
    public function __construct(
        public string $name,
        public string $needs,
        public bool $optional,
        public ?string $carries,
        public ?Pull $pulls,
        public string $doc,
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
        );
    }

    public function onBus(): bool
    {
        return str_contains($this->needs, '.');
    }

    /** Whether a control of this kind can sit here. */
    public function takes(ControlKind $kind): bool
    {
        return $this->carries === 'control' && ($kind === ControlKind::Axis) === ($this->needs === 'analogue');
    }
}
