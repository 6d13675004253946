<?php

declare(strict_types=1);

namespace Rundfunk\Power\Levels;

use Rundfunk\Check\Wire;
use Rundfunk\Plan\Module;

/** What the pins of one chip, a board's or an expander's, carry all together, when everything on them is on. */
final readonly class ChipLoad
{
    /**
     * @param  list<array{module: Module, carriedMa: float}>  $byModule  those that take any, the most first
     * @param  float|null  $mostMa  what the chip stands; null where nobody knows
     */
    private function __construct(public array $byModule, public float $carriedMa, public ?float $mostMa)
    {
    }

    /**
     * @param  list<Wire>  $wires  of one node
     * @return array<string, self> of the board's own chip by "", and of each expander that anything hangs on by its id
     */
    public static function each(array $wires, Wiring $wiring): array
    {
        $byChip = [];
        foreach ($wires as $wire) {
            if ($wire->pin !== null) {
                $byChip[$wire->pin->offeredBy ?? ''][] = $wire;
            }
        }

        return array_map(static fn (array $ofChip): self => self::of($ofChip, $wiring), $byChip);
    }

    /** @param  non-empty-list<Wire>  $wires  of one chip */
    private static function of(array $wires, Wiring $wiring): self
    {
        $modules = [];
        $carried = [];
        foreach (Wire::firsts($wires) as $wire) {
            // Of two terminals of one channel one is on.
            $ma = $wire->terminal->with !== null ? 0.0 : $wiring->carriedMa($wire);
            if ($ma > 0.0) {
                $modules[$wire->module->id] = $wire->module;
                $carried[$wire->module->id] = ($carried[$wire->module->id] ?? 0.0) + $ma;
            }
        }
        arsort($carried);
        $byModule = array_map(static fn (string $id, float $ma): array => ['module' => $modules[$id], 'carriedMa' => $ma], array_keys($carried), $carried);

        return new self($byModule, array_sum($carried), $wires[0]->pinCurrent()->chipTotalMa);
    }

    public function isTooMuch(): bool
    {
        return $this->mostMa !== null && $this->carriedMa > $this->mostMa + 1e-6;
    }
}
