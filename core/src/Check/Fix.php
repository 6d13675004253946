<?php

declare(strict_types=1);

namespace Rundfunk\Check;

use JsonSerializable;
use Rundfunk\Edit\Operation;

/** A change that puts a finding right. */
final readonly class Fix implements JsonSerializable
{
    /** @var list<Operation> */
    public array $operations;

    /** @param  string  $label states the change: "Set both to 250 kbit/s" */
    public function __construct(public string $label, Operation ...$operations)
    {
        $this->operations = array_values($operations);
    }

    /** @return array{label: string, operations: list<Operation>} */
    public function jsonSerialize(): array
    {
        return ['label' => $this->label, 'operations' => $this->operations];
    }
}
