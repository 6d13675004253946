<?php

declare(strict_types=1);

namespace Rundfunk\Check;

use JsonSerializable;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Thing;

/** A change that puts a finding right. Its label states the change: "Set both to 250 kbit/s". */
final readonly class Fix implements JsonSerializable
{
    /** @var list<Operation> */
    public array $operations;

    public function __construct(public string $label, Operation ...$operations)
    {
        $this->operations = array_values($operations);
    }

    public static function add(string $label, Thing $thing): self
    {
        return new self($label, Operation::add($thing));
    }

    /** @param  array<string, mixed>  $values  the fields that change */
    public static function change(string $label, Thing $thing, array $values): self
    {
        return new self($label, Operation::change($thing::kind(), $thing->id(), $values));
    }

    /** @param  array<string, mixed>  $settings  those that change */
    public static function settings(string $label, Thing $thing, array $settings): self
    {
        return self::change($label, $thing, ['settings' => $settings]);
    }

    public static function remove(string $label, Thing $thing): self
    {
        return new self($label, Operation::remove($thing::kind(), $thing->id()));
    }

    /** @return array{label: string, operations: list<Operation>} */
    public function jsonSerialize(): array
    {
        return ['label' => $this->label, 'operations' => $this->operations];
    }
}
