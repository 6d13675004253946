<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Power\Circuits\AllLoads;
use Rundfunk\Power\Circuits\At;

/** A circuit that branches off itself. */
#[Finds('circuit-in-circle', WorkStep::SafeStates)]
final readonly class CircuitInCircle implements PlanRule
{
    public function check(Look $look): iterable
    {
        $all = AllLoads::in($look);
        foreach ($look->plan->circuits() as $circuit) {
            $above = $all->above($circuit);
            if ($circuit->parentId !== null && ($circuit->parentId === $circuit->id || ($above !== [] && $above[count($above) - 1]->parentId === $circuit->id))) {
                yield Finding::fault(
                    "Circuit {$circuit->name} branches off itself",
                    At::circuit($circuit, 'parentId'),
                    'Nobody can say what protects it.',
                    'Name what it really branches off.',
                    Fix::change('Let it begin by itself', $circuit, ['parentId' => null]),
                );
            }
        }
    }
}
