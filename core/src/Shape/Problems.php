<?php

declare(strict_types=1);

namespace Rundfunk\Shape;

/** Gathers what is wrong with an input, so that the user hears all of it at once. Lists the first hundred and counts the rest. */
final class Problems
{
    private const MOST = 100;

    /** @var list<Problem> */
    private array $found = [];

    private int $count = 0;

    /** A name as one segment of a JSON pointer (RFC 6901), shortened: it may be hostile. */
    public static function segment(string $name): string
    {
        return str_replace(['~', '/'], ['~0', '~1'], mb_substr(mb_scrub($name), 0, 60));
    }

    public function add(string $place, string $message): void
    {
        $this->count++;
        if (count($this->found) < self::MOST) {
            $this->found[] = new Problem($place === '' ? '/' : $place, $message);
        }
    }

    /** How many there were, listed or not. */
    public function count(): int
    {
        return $this->count;
    }

    /** @return list<Problem> */
    public function all(): array
    {
        return $this->found;
    }

    /** @throws PlanRefused when anything was found */
    public function settle(): void
    {
        if ($this->found !== []) {
            throw PlanRefused::because($this->found);
        }
    }
}
