<?php

declare(strict_types=1);

namespace Rundfunk\Check;

use Rundfunk\Catalogue\Board;
use Rundfunk\Catalogue\BoardPin;
use Rundfunk\Catalogue\PinCurrent;
use Rundfunk\Catalogue\Terminal;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\PinUse;
use Rundfunk\Plan\Spot;

/** One wire of a plan, with what it joins. */
final readonly class Wire
{
    /** @param  BoardPin|null  $pin  null where the board has no pin of that name */
    public function __construct(public Node $node, public Board $board, public Module $module, public Terminal $terminal, public PinUse $use, public ?BoardPin $pin)
    {
    }

    /**
     * A terminal that is wired twice is a finding of its own; what is put at it is put there once.
     *
     * @param  list<self>  $wires
     * @return list<self> the first of each terminal
     */
    public static function firsts(array $wires): array
    {
        $firsts = [];
        foreach ($wires as $wire) {
            $firsts["{$wire->module->id} {$wire->terminal->name}"] ??= $wire;
        }

        return array_values($firsts);
    }

    /** What its pin may carry, an expander's or the board's. */
    public function pinCurrent(): PinCurrent
    {
        return $this->pin->current ?? $this->board->pinCurrent;
    }

    /** @return list<string> buses that have the line of its terminal on its pin: "spi0", "uart1" */
    public function buses(): array
    {
        [$kind, $line] = explode('.', $this->terminal->needs);
        $on = array_filter($this->pin->can ?? [], static fn (string $can): bool => str_starts_with($can, $kind) && str_ends_with($can, ".{$line}"));

        return array_map(static fn (string $can): string => explode('.', $can)[0], array_values($on));
    }

    public function at(): Spot
    {
        return Spot::of($this->use, "{$this->node->name}, {$this->module->name} {$this->terminal->name}", 'pin');
    }
}
