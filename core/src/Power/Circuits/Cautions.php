<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits;

use Rundfunk\Catalogue\ModuleClass;
use Rundfunk\Catalogue\ModuleGroup;
use Rundfunk\Check\Look;
use Rundfunk\Plan\Circuit;
use Rundfunk\Plan\Hazard;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Supply;

/** The usual care, by what a plan holds: never more than one sentence of each kind. Common practice; local codes and licensed people decide. */
final readonly class Cautions
{
    /** @return list<string> of the whole plan */
    public static function of(Look $look): array
    {
        return self::said($look->plan->outputs(), $look->plan->circuits());
    }

    /** @return list<string> what whoever builds a node is told */
    public static function atBench(Look $look, Node $node): array
    {
        $outputs = $look->plan->outputsOf($node);
        $circuits = [];
        foreach ($outputs as $output) {
            foreach ($look->plan->loadsOn($output) as $load) {
                $circuits = [...$circuits, ...($load->circuitId === null ? [] : [$look->plan->circuit($load->circuitId)])];
            }
        }
        $classes = array_map(static fn (Module $module): ModuleClass => $look->catalogue->classOf($module), $look->plan->modulesOf($node));
        $sends = array_filter($classes, static fn (ModuleClass $class): bool => $class->maxPowerDbm !== null || $class->group === ModuleGroup::Modem) !== [];
        $cells = array_filter($look->plan->suppliesOf($node), static fn (Supply $supply): bool => $look->catalogue->supplyClassOf($supply)->cell?->chargedToV !== null) !== [];

        return [
            'Take power off before you change a wire.',
            ...($sends ? ['Antenna before power.'] : []),
            ...($cells ? ['Lithium cells: protected, and never charged unattended in a handset\'s case.'] : []),
            ...self::said($outputs, $circuits),
        ];
    }

    /**
     * @param  list<Output>  $outputs
     * @param  list<Circuit>  $circuits
     * @return list<string>
     */
    private static function said(array $outputs, array $circuits): array
    {
        $hazards = [];
        foreach ($outputs as $output) {
            foreach ($output->hazards as $hazard) {
                $hazards[$hazard] = true;
            }
        }
        $outdoors = false;
        foreach ($circuits as $circuit) {
            if ($circuit->isDangerous()) {
                $hazards[Hazard::Mains->value] = true;
                $outdoors = $outdoors || $circuit->outdoors;
            }
        }
        $said = [];
        foreach (Hazard::cases() as $hazard) {
            if (isset($hazards[$hazard->value])) {
                $said[] = ucfirst($hazard->words()).': '.lcfirst($hazard->caution());
            }
        }

        return [...$said, ...($outdoors ? ['Mains outdoors: residual-current protection, fitted and tested by a licensed electrician; never work on it alone.'] : [])];
    }
}
