<?php

declare(strict_types=1);

namespace Rundfunk\Power\Levels;

use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Check\Wire;
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
}
