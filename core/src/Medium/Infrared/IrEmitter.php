<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared;

use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Catalogue\ModuleClass;
use Rundfunk\Electrical\LedResistor;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Rundfunk\Power\SupplyTree;
use Rundfunk\Shape\Values;

/** One of our own emitters: its settings, and what drives it. */
final readonly class IrEmitter
{
    private function __construct(public IrEnd $end, public bool $onPin, public float $dropV, public ModuleClass $class)
    {
    }

    /** Null for an end that is no emitter of ours. */
    public static function of(Plan $plan, Endpoint $endpoint, Catalogue $catalogue): ?self
    {
        if (! $endpoint->role->sends() || $endpoint->moduleId === null) {
            return null;
        }
        $class = $catalogue->classOf($plan->module($endpoint->moduleId));
        if ($class->medium !== Infrared::KEY || $class->role === Role::Receives) {
            return null;
        }
        $figures = new Values($class->figures);

        return new self(IrEnd::of($endpoint), $figures->text('driven') === 'pin', $figures->number('dropV'), $class);
    }

    public function resistor(): ?LedResistor
    {
        return $this->end->resistor($this->dropV);
    }

    /** @return float|null what it is fed with: by its pin, or by its supply; null where nobody can tell */
    public function getsV(Plan $plan, Endpoint $endpoint, Catalogue $catalogue, SupplyTree $tree): ?float
    {
        return $this->onPin ? $catalogue->boardOf($plan->node($endpoint->nodeId))?->logicV : $tree->voltsOf($plan->module((string) $endpoint->moduleId))?->nominalV;
    }

    /** Its resistor is worked out for another voltage. */
    public function isForAnother(float $getsV): bool
    {
        return $getsV > 0.0 && abs($getsV - $this->end->supplyV) > 0.1 * $getsV;
    }

    /** @return int what the hardest-of-hearing receiver of the link wants, µW/m² */
    public static function weakestUwM2(Plan $plan, Link $link): int
    {
        $hearing = array_filter($plan->endpointsOn($link), static fn (Endpoint $end): bool => $end->role->receives());
        $thresholds = array_map(static fn (Endpoint $end): int => IrEnd::of($end)->thresholdUwM2, array_values($hearing));

        return $thresholds === [] ? IrEnd::USUAL_UW_M2 : max($thresholds);
    }
}
