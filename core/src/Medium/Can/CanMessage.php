<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

use Rundfunk\Plan\BusMessage;
use Rundfunk\Plan\BusSignal;

/** A message of a bus: its identifier as people write it, its signals by name, and when its silence says something. */
final readonly class CanMessage
{
    /** @var list<CanSignal> */
    public array $signals;

    public function __construct(public BusMessage $of)
    {
        $this->signals = array_map(static fn (BusSignal $signal): CanSignal => new CanSignal($signal), $of->signals);
    }

    public function signal(string $name): ?CanSignal
    {
        foreach ($this->signals as $signal) {
            if ($signal->name === $name) {
                return $signal;
            }
        }

        return null;
    }

    /** How an identifier is written: three digits, or eight. */
    public function hex(): string
    {
        return self::hexOf($this->of->identifier, $this->of->extended);
    }

    /** @return int as recordings have it */
    public function key(): int
    {
        return $this->of->identifier | ($this->of->extended ? Recording::EXTENDED : 0);
    }

    public static function hexOf(int $id, bool $extended): string
    {
        return sprintf($extended ? '%08X' : '%03X', $id);
    }

    /** @return int|null milliseconds without it after which nobody knows any more; null where it does not come by itself. Three periods: common practice */
    public function silentMs(): ?int
    {
        return $this->of->periodMs === 0 ? null : 3 * $this->of->periodMs;
    }
}
