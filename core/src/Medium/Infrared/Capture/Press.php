<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Capture;

use Rundfunk\Medium\Infrared\IrCommand;
use Rundfunk\Signal\Signal;
use Rundfunk\Signal\TimingDistance;

/** One press of a key: its first frame, what it says, and how often it came while the key was held. */
final readonly class Press
{
    public function __construct(
        public Signal $signal,
        public ?IrCommand $command,
        public int $sends = 1,
        public ?int $periodNs = null,
    ) {
    }

    public function sameKeyAs(self $other): bool
    {
        return $this->command !== null && $other->command !== null
            ? $this->command->sameKeyAs($other->command)
            : $this->command === $other->command && TimingDistance::same($this->signal, $other->signal);
    }

    /** The same frame again, and not a new press: the toggle bit has not moved. */
    public function isHeldBy(Signal $signal, ?IrCommand $command): bool
    {
        return $this->command !== null && $command !== null
            ? $this->command->sameKeyAs($command) && $this->command->toggle === $command->toggle
            : $this->command === $command && TimingDistance::same($this->signal, $signal);
    }

    public function again(int $gapNs): self
    {
        return new self($this->signal, $this->command, $this->sends + 1, $this->periodNs ?? $gapNs + $this->signal->durationNs());
    }
}
