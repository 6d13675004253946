<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio;

use Rundfunk\Behaviour\Whole\WholeState;
use Rundfunk\Frame\FieldSize;
use Rundfunk\Frame\FrameField;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;

/** A command in as few bits as those of its link need: its code up to the highest there is, and a value only where one is said. */
final readonly class PackedCommand
{
    private function __construct(private int $highestCode, private int $lowest, private int $highest)
    {
    }

    public static function on(Plan $plan, Link $link): self
    {
        $codes = [0];
        foreach ($plan->hopsOver($link) as $hop) {
            $codes[] = $hop->code ?? 0;
        }
        $lowest = $highest = [0];
        foreach (WholeState::on($plan, $link, new PacketBroadcast) as $state) {
            foreach ($state->slots as $slot) {
                [$lowest[], $highest[]] = $slot->span();
            }
        }

        return new self(max($codes), min($lowest), max($highest));
    }

    /** No command of the link says a value. */
    public function saysNothing(): bool
    {
        return $this->lowest === $this->highest;
    }

    /** @return list<int> what both ends must agree on besides the settings */
    public function spans(): array
    {
        return [$this->highestCode, $this->lowest, $this->highest];
    }

    /** @return list<FrameField> */
    public function fields(): array
    {
        $code = new FrameField('code', FieldSize::between(0, max(1, $this->highestCode)), 'what to do: one of the command codes');

        return $this->saysNothing() ? [$code] : [$code, new FrameField('argument', FieldSize::between($this->lowest, $this->highest), 'a value for commands that take one: 1 or 0 for an output that follows, a position; otherwise 0')];
    }

    /** @return list<string> lines of C that put a message's value into its frame, within what there is room for */
    public function argument(): array
    {
        if ($this->saysNothing()) {
            return [];
        }
        $type = FieldSize::between($this->lowest, $this->highest)->cType();

        return ["    frame.argument = ({$type})(told->value < {$this->lowest} ? {$this->lowest} : told->value > {$this->highest} ? {$this->highest} : told->value);"];
    }
}
