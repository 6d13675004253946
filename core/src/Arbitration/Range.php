<?php

declare(strict_types=1);

namespace Rundfunk\Arbitration;

use Rundfunk\Plan\Output;
use Rundfunk\Plan\ValueSpan;

/** What an output can stand at, and which of that is off and on: a relay is 0 or 1, a dimmer 0 to 100, a motor −100 to 100 with off in the middle. */
final readonly class Range
{
    private function __construct(public int $lowest, public int $highest, public int $off)
    {
    }

    public static function switched(): self
    {
        return new self(0, 1, 0);
    }

    /** @return self off is nought, or the lowest where there is no nought; something that holds places, such as a servo, rests there */
    public static function of(Output $output): self
    {
        $span = $output->span();

        return $span === null ? self::switched() : self::over($span);
    }

    public static function over(ValueSpan $span): self
    {
        return new self($span->lowest, $span->highest, $span->holds(0) ? 0 : $span->lowest);
    }

    /** What "on" puts it to. */
    public function on(): int
    {
        return $this->highest === $this->off ? $this->lowest : $this->highest;
    }

    public function nearest(int $value): int
    {
        return max($this->lowest, min($this->highest, $value));
    }
}
