<?php

declare(strict_types=1);

namespace Rundfunk\Text;

/** Hands out names, adding _2, _3 … to one that was given before. */
final class UniqueNames
{
    /** @var array<string, true> */
    private array $given = [];

    public function name(string $wanted): string
    {
        $name = $wanted;
        for ($again = 2; isset($this->given[$name]); $again++) {
            $name = "{$wanted}_{$again}";
        }
        $this->given[$name] = true;

        return $name;
    }
}
