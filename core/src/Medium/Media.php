<?php

declare(strict_types=1);

namespace Rundfunk\Medium;

/** The media that the program knows. */
final readonly class Media
{
    /**
     * @param  array<string, Medium>  $media
     * @param  array<string, list<object>>  $offers  by key of the medium
     */
    private function __construct(private array $media, private array $offers)
    {
    }

    public static function of(Medium ...$media): self
    {
        $byKey = [];
        $offers = [];
        foreach ($media as $medium) {
            $byKey[$medium->key()] = $medium;
            $offers[$medium->key()] = $medium->offers();
        }

        return new self($byKey, $offers);
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

    /**
     * What a medium offers of one kind.
     *
     * @template T of object
     *
     * @param  class-string<T>  $capability
     * @return T|null null where it offers no such thing, or there is no such medium
     */
    public function offering(string $capability, string $key): ?object
    {
        foreach ($this->offers[$key] ?? [] as $offered) {
            if ($offered instanceof $capability) {
                return $offered;
            }
        }

        return null;
    }

    /**
     * Whatever the media offer of one kind.
     *
     * @template T of object
     *
     * @param  class-string<T>  $capability
     * @return array<string, T> by key of the medium, those that offer none left out
     */
    public function everyOffering(string $capability): array
    {
        $found = [];
        foreach (array_keys($this->media) as $key) {
            $offered = $this->offering($capability, $key);
            if ($offered !== null) {
                $found[$key] = $offered;
            }
        }

        return $found;
    }
}
