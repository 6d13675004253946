<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits;

use Rundfunk\Check\Look;
use Rundfunk\Plan\Hazard;

/** The usual care, by what a plan holds: never more than one sentence of each kind. Common practice; local codes and licensed people decide. */
final readonly class Cautions
{
    /** @return list<string> */
    public static function of(Look $look): array
    {
        $hazards = [];
        foreach ($look->plan->outputs() as $output) {
            foreach ($output->hazards as $hazard) {
                $hazards[$hazard] = true;
            }
        }
        $outdoors = false;
        foreach ($look->plan->circuits() as $circuit) {
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
