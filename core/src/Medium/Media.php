<?php

declare(strict_types=1);

namespace Rundfunk\Medium;

/** The media that the program knows. */
final readonly class Media
{
    /** @param  array<string, Medium>  $media */
    private function __construct(private array $media)
    {
    }

    public static function of(Medium ...$media): self
    {
        $byKey = [];
        foreach ($media as $medium) {
            $byKey[$medium->key()] = $medium;
        }

        return new self($byKey);
    }

    /** @return list<Medium> */
    public function all(): array
    {
        return array_values($this->media);
    }

    public function has(string $key): bool
    {
        return isset($this->media[$key]);
    }

    public function named(string $key): Medium
    {
        return $this->media[$key] ?? throw UnknownMedium::named($key);
    }
}
