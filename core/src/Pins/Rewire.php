<?php

declare(strict_types=1);

namespace Rundfunk\Pins;

use Rundfunk\Catalogue\BoardPin;
use Rundfunk\Catalogue\Terminal;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\PinUse;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

/** One terminal that should get a pin, or another pin than it has. */
final readonly class Rewire
{
    public function __construct(
        public Node $node,
        public Module $module,
        public Terminal $terminal,
        public ?PinUse $before,
        public BoardPin $after,
    ) {
    }

    /** The wire as it is to be. */
    public function use(Plan $plan): PinUse
    {
        return new PinUse($this->before->id ?? $plan->newId('pin-use', $this->module->id, $this->terminal->name), $this->module->id, $this->terminal->name, $this->after->name);
    }

    public function operation(Plan $plan): Operation
    {
        return $this->before === null
            ? Operation::add($this->use($plan))
            : Operation::change(ThingKind::PinUse, $this->before->id, ['pin' => $this->after->name]);
    }

    public function words(): string
    {
        return "{$this->module->name} {$this->terminal->name} on {$this->after->name}";
    }

    /** Why this pin. */
    public function reason(): string
    {
        $why = match (true) {
            $this->terminal->onBus() => "{$this->after->name} is the board's ".strtoupper($this->terminal->needs).' pin.',
            $this->after->console => "Only console pins are left: {$this->after->name} works, but boot messages reach it.",
            $this->after->talents() === 0 => "{$this->after->name} is the lowest free pin with no other talent.",
            default => "{$this->after->name} is the free pin that is least needed elsewhere.",
        };
        if ($this->before !== null) {
            $why .= " It cannot stay on {$this->before->pin}.";
        }

        return $why;
    }
}
