<?php

declare(strict_types=1);

namespace Rundfunk\Power\Levels;

use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Check\Wire;
use Rundfunk\Electrical\BaseResistor;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Part;
use Rundfunk\Plan\PartKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Power\SupplyTree;

/** What is at the ends of a plan's wires, and what stands between. */
final readonly class Wiring
{
    public function __construct(private Plan $plan, private Catalogue $catalogue, private SupplyTree $tree)
    {
    }

    public function levels(Wire $wire): ?WireLevels
    {
        return WireLevels::of($wire, $this->catalogue->classOf($wire->module), $this->tree->voltsOf($wire->module)?->nominalV, $this->plan->partsOf($wire->module));
    }

    /** @return float|null ohms of the pull-up that a wire wants and lacks; null where it lacks none */
    public function missingPullUpOhm(Wire $wire): ?float
    {
        $wants = $wire->terminal->pullUpOhm ?? ($wire->terminal->contact && $wire->pin?->hasPullUp === false ? 10_000 : null);
        if ($wants === null) {
            return null;
        }
        foreach ($this->plan->partsOf($wire->module) as $part) {
            if ($part->kind === PartKind::PullUp && $part->terminal === $wire->terminal->name) {
                return null;
            }
        }

        return (float) $wants;
    }

    /** @return float|null ohms of the resistor that a wire wants in it and lacks; null where it lacks none */
    public function missingSeriesOhm(Wire $wire): ?float
    {
        $wants = $wire->terminal->seriesOhm;
        foreach ($wants === null ? [] : $this->plan->partsOf($wire->module) as $part) {
            if ($part->terminal === $wire->terminal->name && in_array($part->kind, [PartKind::SeriesResistor, PartKind::Divider], true)) {
                return null;
            }
        }

        return $wants === null ? null : (float) $wants;
    }

    public function feedTerminal(Module $module): ?string
    {
        return $this->catalogue->classOf($module)->feedTerminal();
    }

    /** @return float|null microfarads that a module wants at its supply and lacks */
    public function missingBufferUf(Module $module): ?float
    {
        $wants = $this->catalogue->classOf($module)->bufferUf;
        $has = array_sum(array_map(static fn (Part $part): float => $part->microfarads ?? 0.0, $this->tree->capacitorsAt($module)));

        return $wants === null || $has >= 0.4 * $wants ? null : (float) $wants;
    }

    /** @return float|null ohms to the base of the transistor that a pin wants before what it drives; null where it drives that alone, or already by one */
    public function missingBaseOhm(Wire $wire): ?float
    {
        $drawsMa = $wire->terminal->drawsMa;
        if ($drawsMa === null || $drawsMa <= $wire->board->pinCurrent->advisedMa) {
            return null;
        }
        foreach ($this->plan->partsOf($wire->module) as $part) {
            if ($part->terminal === $wire->terminal->name && $part->kind === PartKind::Driver) {
                return null;
            }
        }

        return (new BaseResistor($wire->board->levels->ratedHighV, $drawsMa))->chosenOhm();
    }
}
