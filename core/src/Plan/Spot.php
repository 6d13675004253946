<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use JsonSerializable;

/** What a finding or a proposal is about: a thing of the plan, perhaps one field of it. */
final readonly class Spot implements JsonSerializable
{
    /** @param  string  $kind a kind of thing, or "plan" */
    private function __construct(public string $kind, public string $id, public ?string $field, public string $where)
    {
    }

    /** @param  string  $where how to say it: "Hen house on Handsets" */
    public static function of(Thing $thing, string $where, ?string $field = null): self
    {
        return new self($thing::kind()->value, $thing->id(), $field, $where);
    }

    /** @return array{kind: string, id: string, field: string|null, where: string} */
    public function jsonSerialize(): array
    {
        return ['kind' => $this->kind, 'id' => $this->id, 'field' => $this->field, 'where' => $this->where];
    }
}
