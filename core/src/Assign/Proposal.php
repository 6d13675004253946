<?php

declare(strict_types=1);

namespace Rundfunk\Assign;

use JsonSerializable;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Spot;

/** One value that Assign would set, from what to what, and why. */
final readonly class Proposal implements JsonSerializable
{
    /** @param  list<Operation>  $operations */
    public function __construct(
        public Stage $stage,
        public Spot $at,
        public string $what,
        public ?string $before,
        public string $after,
        public string $reason,
        public array $operations,
    ) {
    }

    /** The same proposal for the same things has the same id. */
    public function id(): string
    {
        return substr(hash('sha256', "{$this->stage->value} {$this->at->id} {$this->what}"), 0, 16);
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->id(),
            'stage' => $this->stage->value,
            'at' => $this->at,
            'what' => $this->what,
            'before' => $this->before,
            'after' => $this->after,
            'reason' => $this->reason,
            'operations' => $this->operations,
        ];
    }
}
