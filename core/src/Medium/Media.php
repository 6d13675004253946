<?php

declare(strict_types=1);

namespace Rundfunk\Medium;

use Rundfunk\Medium\Cellular\Cellular;
use Rundfunk\Medium\Infrared\Infrared;
use Rundfunk\Medium\Ip\Ip;
use Rundfunk\Medium\KeyedRadio\KeyedRadio;
use Rundfunk\Medium\PacketRadio\PacketRadio;

/** The media this program knows. A new one is one line in standard(). */
final readonly class Media
{
    /** @param  array<string, Medium>  $media */
    private function __construct(private array $media)
    {
    }

    public static function standard(): self
    {
        return self::of(
            new PacketRadio,
            new Infrared,
            new KeyedRadio,
            new Cellular,
            new Ip,
        );
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
