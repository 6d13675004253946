<?php

declare(strict_types=1);

namespace Rundfunk\Calculator;

use JsonSerializable;

/** An input or output of a calculator. */
final readonly class Quantity implements JsonSerializable
{
    public function __construct(public string $name, public QuantityKind $kind, public ?string $unit, public string $doc)
    {
    }

    public static function whole(string $name, ?string $unit, string $doc): self
    {
        return new self($name, QuantityKind::Whole, $unit, $doc);
    }

    public static function number(string $name, ?string $unit, string $doc): self
    {
        return new self($name, QuantityKind::Number, $unit, $doc);
    }

    public static function text(string $name, string $doc): self
    {
        return new self($name, QuantityKind::Text, null, $doc);
    }

    public static function flag(string $name, string $doc): self
    {
        return new self($name, QuantityKind::Flag, null, $doc);
    }

    public static function texts(string $name, string $doc): self
    {
        return new self($name, QuantityKind::Texts, null, $doc);
    }

    /** @return array<string, string|null> */
    public function jsonSerialize(): array
    {
        return ['name' => $this->name, 'kind' => $this->kind->value, 'unit' => $this->unit, 'doc' => $this->doc];
    }
}
