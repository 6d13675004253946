<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

/** A slot that a board of ours obeys. */
final readonly class ListenedSlot
{
    /** A slot in its upper half is on. Common practice. */
    public const ON_FROM = 128;

    /**
     * @param  int  $at  in the packet, from 0
     * @param  array<int, array{code: int, value: int}>  $fixed  what it means where it stands at just that
     * @param  array{code: int, holds: bool}|null  $open  what it means wherever else it stands; null for nothing
     */
    public function __construct(public string $name, public int $at, public array $fixed, public ?array $open, public Level $level)
    {
    }

    /** @return array{code: int, value: int}|null */
    public function means(int $value): ?array
    {
        if (isset($this->fixed[$value])) {
            return $this->fixed[$value];
        }
        if ($this->open === null) {
            return null;
        }

        return ['code' => $this->open['code'], 'value' => $this->open['holds'] ? ($value >= self::ON_FROM ? 1 : 0) : $this->level->value($value * Fade::BYTE)];
    }

    /** Whether it is to be said again and again, so that silence shows. */
    public function holds(): bool
    {
        return $this->open !== null && $this->open['holds'];
    }
}
