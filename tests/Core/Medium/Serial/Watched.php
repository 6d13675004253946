<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Serial;

use Rundfunk\Medium\Serial\Line\LineEnd;
use Rundfunk\Medium\Serial\Line\LineMessage;

/** An end of a line, and all that happens to it and that it does: its ids are so many times the nodes' numbers. */
final class Watched implements LineEnd
{
    /** @var list<array{string, int, int, int, int}> kind, milliseconds, figures */
    public array $steps = [];

    /** @var list<string> */
    public array $said = [];

    public function __construct(private readonly LineEnd $end, private readonly int $scale = 10)
    {
    }

    public function byte(int $byte, int $nowMs): ?LineMessage
    {
        $this->steps[] = ['b', $nowMs, $byte, 0, 0];
        $message = $this->end->byte($byte, $nowMs);
        if ($message !== null) {
            $this->said[] = 'h '.$this->number($message->id)." {$message->code} {$message->argument}";
        }

        return $message;
    }

    public function tell(LineMessage $message, int $nowMs): bool
    {
        $this->steps[] = ['t', $nowMs, $this->number($message->id), $message->code, $message->argument];
        $told = $this->end->tell($message, $nowMs);
        $this->said[] = 't '.($told ? 1 : 0);

        return $told;
    }

    public function gone(): ?int
    {
        $this->steps[] = ['g', 0, 0, 0, 0];
        $gone = $this->end->gone();
        if ($gone !== null) {
            $this->said[] = 'g '.$this->number($gone);
        }

        return $gone;
    }

    public function step(int $nowMs): string
    {
        $this->steps[] = ['s', $nowMs, 0, 0, 0];
        $bytes = $this->end->step($nowMs);
        if ($bytes !== '') {
            $this->said[] = 'o '.bin2hex($bytes);
        }

        return $bytes;
    }

    private function number(int $id): int
    {
        return $id % $this->scale === 0 && $id <= 9 * $this->scale ? intdiv($id, $this->scale) : 0;
    }
}
