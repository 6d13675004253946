<?php

declare(strict_types=1);

namespace Rundfunk\Learn;

use JsonSerializable;
use Rundfunk\Plan\Operation;
use Rundfunk\Shape\Schema;

/** A set laid out: every code it would have, and the edit that puts those into the plan that can be. */
final readonly class CodeSet implements JsonSerializable
{
    /**
     * @param  list<array{function: string, channel: string|null, value: int, says: string, left: string|null, remark: string|null}>  $cells  the remark says why a code is left out
     * @param  list<Operation>  $operations
     */
    public function __construct(public array $cells, public array $operations)
    {
    }

    /** @return array<string, mixed> */
    public static function schema(): array
    {
        return Schema::object([
            'cells' => Schema::listOf(Schema::object([
                'function' => Schema::text(), 'channel' => Schema::orNull(Schema::text()), 'value' => Schema::whole(), 'says' => Schema::text(), 'left' => Schema::orNull(Schema::text()), 'remark' => Schema::orNull(Schema::text()),
            ])),
            'added' => Schema::whole(),
            'leftOut' => Schema::listOf(Schema::text()),
            'operations' => Schema::listOf(Schema::ref('Operation')),
        ]);
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'cells' => $this->cells,
            'added' => count(array_filter($this->cells, static fn (array $cell): bool => $cell['remark'] === null)),
            'leftOut' => $this->leftOut(),
            'operations' => $this->operations,
        ];
    }

    /** @return list<string> how many are left out for each reason: "28 are there already" */
    private function leftOut(): array
    {
        $counted = [];
        foreach (LeftOut::cases() as $reason) {
            $count = count(array_filter($this->cells, static fn (array $cell): bool => $cell['left'] === $reason->value));
            if ($count > 0) {
                $counted[] = $reason->words($count);
            }
        }

        return $counted;
    }
}
