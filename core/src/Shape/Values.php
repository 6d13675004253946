<?php

declare(strict_types=1);

namespace Rundfunk\Shape;

use BackedEnum;
use LogicException;

/** Values that a shape has accepted, read back with their types. A wrong type here is a mistake of ours, not the user's. */
final readonly class Values
{
    /** @param  array<array-key, mixed>  $values */
    public function __construct(private array $values)
    {
    }

    public function text(string $name): string
    {
        return $this->textOrNull($name) ?? throw self::wrong($name, 'text');
    }

    public function textOrNull(string $name): ?string
    {
        $value = $this->values[$name] ?? null;

        return $value === null || is_string($value) ? $value : throw self::wrong($name, 'text');
    }

    public function whole(string $name): int
    {
        return $this->wholeOrNull($name) ?? throw self::wrong($name, 'a whole number');
    }

    public function wholeOrNull(string $name): ?int
    {
        $value = $this->values[$name] ?? null;

        return $value === null || is_int($value) ? $value : throw self::wrong($name, 'a whole number');
    }

    public function number(string $name): float
    {
        $value = $this->values[$name] ?? null;

        return is_int($value) || is_float($value) ? (float) $value : throw self::wrong($name, 'a number');
    }

    public function numberOrNull(string $name): ?float
    {
        $value = $this->values[$name] ?? null;

        return $value === null ? null : $this->number($name);
    }

    public function flag(string $name): bool
    {
        $value = $this->values[$name] ?? null;

        return is_bool($value) ? $value : throw self::wrong($name, 'a flag');
    }

    /**
     * @template T of BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return T
     */
    public function choice(string $name, string $enum): BackedEnum
    {
        return $this->choiceOrNull($name, $enum) ?? throw self::wrong($name, 'a choice');
    }

    /**
     * @template T of BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return T|null
     */
    public function choiceOrNull(string $name, string $enum): ?BackedEnum
    {
        $value = $this->values[$name] ?? null;
        if ($value === null) {
            return null;
        }

        return is_int($value) || is_string($value) ? $enum::from($value) : throw self::wrong($name, 'a choice');
    }

    /** @return list<string> */
    public function texts(string $name): array
    {
        $texts = [];
        foreach ($this->items($name) as $item) {
            $texts[] = is_string($item) ? $item : throw self::wrong($name, 'texts');
        }

        return $texts;
    }

    /** @return list<int> */
    public function wholes(string $name): array
    {
        $wholes = [];
        foreach ($this->items($name) as $item) {
            $wholes[] = is_int($item) ? $item : throw self::wrong($name, 'whole numbers');
        }

        return $wholes;
    }

    /** @return array<string, bool|float|int|string|null> */
    public function settings(string $name): array
    {
        $settings = [];
        foreach ($this->items($name) as $key => $item) {
            $settings[(string) $key] = $item === null || is_scalar($item) ? $item : throw self::wrong($name, 'settings');
        }

        return $settings;
    }

    /** @return array<array-key, mixed> an object or list of whatever depth; empty where there is none */
    public function tree(string $name): array
    {
        return $this->items($name);
    }

    /** @return list<self> */
    public function each(string $name): array
    {
        $each = [];
        foreach ($this->objects($name) as $item) {
            $each[] = new self($item);
        }

        return $each;
    }

    /** @return list<array<array-key, mixed>> */
    public function objects(string $name): array
    {
        $objects = [];
        foreach ($this->items($name) as $item) {
            $objects[] = is_array($item) ? $item : throw self::wrong($name, 'objects');
        }

        return $objects;
    }

    public function within(string $name): ?self
    {
        $value = $this->values[$name] ?? null;

        return $value === null ? null : (is_array($value) ? new self($value) : throw self::wrong($name, 'an object'));
    }

    public function has(string $name): bool
    {
        return isset($this->values[$name]);
    }

    /** @return array<array-key, mixed> */
    private function items(string $name): array
    {
        $value = $this->values[$name] ?? [];

        return is_array($value) ? $value : throw self::wrong($name, 'a list');
    }

    private static function wrong(string $name, string $wanted): LogicException
    {
        return new LogicException("\"{$name}\" is not {$wanted}, though a shape was to see to that.");
    }
}
