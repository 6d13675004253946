<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Plan\Output;
use Rundfunk\Plan\ValueSpan;

/** How figures of the plan become levels and back: the lowest of an output is nothing, the highest all of 65535. Without a span a figure is that of the slot, 0 to 255. */
final readonly class Level
{
    private function __construct(private int $lowest, private int $highest)
    {
    }

    public static function of(Output $output): self
    {
        $span = $output->span() ?? new ValueSpan(0, $output->kind->takesValues() ? 255 : 1);

        return new self($span->lowest, $span->highest);
    }

    public function for(int $value): int
    {
        return $this->share(max($this->lowest, min($this->highest, $value)) - $this->lowest);
    }

    /** @return int how many levels so many figures are, up or down */
    public function steps(int $figures): int
    {
        return ($figures < 0 ? -1 : 1) * $this->share(min($this->whole(), abs($figures)));
    }

    private function share(int $figures): int
    {
        return intdiv($figures * Fade::FULL + intdiv($this->whole(), 2), $this->whole());
    }

    /** @return int the nearest figure */
    public function value(int $level): int
    {
        return $this->lowest + intdiv($level * ($this->highest - $this->lowest) + (Fade::FULL >> 1), Fade::FULL);
    }

    public function lowest(): int
    {
        return $this->lowest;
    }

    public function whole(): int
    {
        return $this->highest - $this->lowest;
    }
}
