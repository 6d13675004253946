<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Serial;

use Rundfunk\Medium\Serial\Line\LineEnd;
use Rundfunk\Medium\Serial\Line\LineMessage;

/** An end of a line, and all that happens to it and that it does: ids are tens of the nodes' numbers. */
final class Watched implements LineEnd
{
    /** @var list<array{string, int, int, int, int}> kind, milliseconds, figures */
    public array $steps = [];

    /** @var list<string> */
    public array $said = [];

    public function __construct(private readonly LineEnd $end)
    {
    }

    public function byte(int $byte, int $nowMs): ?LineMessage
    {
        $this->steps[] = ['b', $nowMs, $byte, 0, 0];
        $message = $this->end->byte($byte, $nowMs);
        if ($message !== null) {
            $this->said[] = 'h '.self::number($message->id)." {$message->code} {$message->argument}";
        }

        return $message;
    }

    public function tell(LineMessage $message, int $nowMs): bool
    {
        $this->steps[] = ['t', $nowMs, self::number($message->id), $message->code, $message->argument];
        $told = $this->end->tell($message, $nowMs);
        $this->said[] = 't '.($told ? 1 : 0);

        return $told;
    }

    public function gone(): ?int
    {
        $this->steps[] = ['g', 0, 0, 0, 0];
        $gone = $this->end->gone();
        if ($gone !== null) {
            $this->said[] = 'g '.self::number($gone);
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

    private static function number(int $id): int
    {
        return $id % 10 === 0 && $id <= 90 ? intdiv($id, 10) : 0;
    }
}
