<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Whole;

/** How a sender stands, and what it has yet to tell. The header says the same in C, see {@see CWholeState}. */
final class Saying
{
    /** @var array<string, int> by name of the field */
    private array $values = [];

    private int $sequence = 0;

    public function __construct(private readonly WholeState $state)
    {
        foreach ($state->slots as $slot) {
            $this->values[$slot->saidName()] = 0;
            $this->values[$slot->name] = $slot->kind === SlotKind::Valued ? $slot->unsaid() : 0;
        }
    }

    /** Takes what is told; whatever this end does not tell is nothing to it. */
    public function put(int $to, int $code, int $value): void
    {
        foreach ($this->state->slots as $slot) {
            if ($slot->to === $to && $slot->code === $code) {
                $this->values[$slot->saidName()] = 1;
                $this->values[$slot->name] = $slot->after($this->values[$slot->name], $value);
            }
        }
    }

    /**
     * @param  int  $to  number of a receiver
     * @param  bool  $anyway  although there is nothing that it was not told: what was lost is made up so
     * @return WholeFrame|null null when there is nothing to tell
     */
    public function frame(int $to, bool $anyway = false): ?WholeFrame
    {
        $values = $this->values;
        $says = $anyway;
        foreach ($this->state->slots as $slot) {
            if ($slot->to !== $to) {
                $values[$slot->saidName()] = 0;
            } else {
                $says = $says || $values[$slot->saidName()] === 1;
                $this->values[$slot->saidName()] = 0;
            }
        }
        if (! $says) {
            return null;
        }
        $frame = new WholeFrame($this->sequence, $values);
        $this->sequence = WholeFrame::next($this->sequence);

        return $frame;
    }
}
