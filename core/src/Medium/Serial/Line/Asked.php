<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Line;

/** What whoever asks knows of a box. */
final class Asked
{
    public bool $begun = false;

    public int $sequence = 0;

    public int $missed = 0;

    /** The count of the last message of it that was heard; 0 for none. */
    public int $heard = 0;

    /** It stopped to answer, and nobody said so yet. */
    public bool $isGone = false;

    /** @var array{from: int, message: LineMessage}|null what it is told and has not answered */
    public ?array $told = null;

    private ?LineMessage $last = null;

    private int $lastMs = 0;

    public function __construct(public readonly int $id, private readonly int $restMs)
    {
    }

    /** The same was told it, and cannot be done yet. */
    public function holdsBack(LineMessage $message, int $nowMs): bool
    {
        return $this->restMs > 0 && $this->last !== null && $this->last->code === $message->code && $this->last->argument === $message->argument && ($nowMs - $this->lastMs & 0xFFFF_FFFF) < $this->restMs;
    }

    public function remember(LineMessage $message, int $nowMs): void
    {
        $this->last = $message;
        $this->lastMs = $nowMs;
    }

    /** It was dropped: to tell it again is not to tell it twice. */
    public function forget(): void
    {
        $this->last = null;
    }

    public function forgetIf(LineMessage $message): void
    {
        if ($this->last?->code === $message->code && $this->last->argument === $message->argument) {
            $this->last = null;
        }
    }
}
