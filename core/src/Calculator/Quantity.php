<?php

declare(strict_types=1);

namespace Rundfunk\Calculator;

use JsonSerializable;

/** An input or output of a calculator. */
final readonly class Quantity implements JsonSerializable
{
    /** @param  list<string>  $choices */
    private function __construct(
        public string $name,
        public QuantityKind $kind,
        public ?string $unit,
        public string $doc,
        public bool $required = true,
        public string $example = '',
        public array $choices = [],
    ) {
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

    /** @param  list<string>  $choices */
    public static function choice(string $name, array $choices, string $doc, ?string $unit = null): self
    {
        return new self($name, QuantityKind::Choice, $unit, $doc, true, '', $choices);
    }

    public static function flag(string $name, string $doc): self
    {
        return new self($name, QuantityKind::Flag, null, $doc);
    }

    public static function flags(string $name, string $doc): self
    {
        return new self($name, QuantityKind::Flags, null, $doc);
    }

    public static function texts(string $name, string $doc): self
    {
        return new self($name, QuantityKind::Texts, null, $doc);
    }

    public static function numbers(string $name, ?string $unit, string $doc): self
    {
        return new self($name, QuantityKind::Numbers, $unit, $doc);
    }

    /** The same, which may be left out. */
    public function optional(): self
    {
        return new self($this->name, $this->kind, $this->unit, $this->doc, false, $this->example, $this->choices);
    }

    /** The same, with something to try it with. */
    public function example(string $example): self
    {
        return new self($this->name, $this->kind, $this->unit, $this->doc, $this->required, $example, $this->choices);
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'name' => $this->name, 'kind' => $this->kind->value, 'unit' => $this->unit, 'doc' => $this->doc,
            'required' => $this->required, 'example' => $this->example, 'choices' => $this->choices,
        ];
    }
}
