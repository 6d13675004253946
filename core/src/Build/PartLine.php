<?php

declare(strict_types=1);

namespace Rundfunk\Build;

/** One kind of thing to have in the drawer: how many, of what rating, and where they go. */
final readonly class PartLine
{
    /**
     * @param  string  $what  "resistor 1.2 kΩ"
     * @param  string  $rating  what to look for when buying: "0.25 W", "16 V"; empty where there is no choice
     * @param  int  $owned  of them, in the drawer already
     * @param  list<string>  $where  each place once
     * @param  string  $at  where at the thing it is, on that thing's own sheet
     */
    public function __construct(public string $what, public string $rating, public int $quantity, public int $owned, public array $where, public string $at = '')
    {
    }

    public static function one(string $what, string $rating, string $where, bool $owned = false, string $at = ''): self
    {
        return new self($what, $rating, 1, $owned ? 1 : 0, [$where], $at);
    }

    public function and(self $other): self
    {
        return new self($this->what, $this->rating, $this->quantity + $other->quantity, $this->owned + $other->owned, array_values(array_unique([...$this->where, ...$other->where])));
    }

    public function toBuy(): int
    {
        return $this->quantity - $this->owned;
    }
}
