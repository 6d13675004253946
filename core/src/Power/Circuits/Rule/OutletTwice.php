<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Power\Circuits\At;

/** One number on two outlets. */
#[Finds('outlet-twice', WorkStep::SafeStates)]
final readonly class OutletTwice implements PlanRule
{
    public function check(Look $look): iterable
    {
        $first = [];
        $free = 0;
        $taken = [];
        foreach ($look->plan->loads() as $load) {
            $taken["#{$load->outlet}"] = true;
        }
        foreach ($look->plan->loads() as $load) {
            $key = $load->outlet;
            if ($key === '' || ! isset($first[$key]) || $first[$key]->outputId === $load->outputId) {
                $first[$key] ??= $load;

                continue;
            }
            do {
                $free++;
            } while (isset($taken["#{$free}"]));

            yield Finding::fault(
                "Outlet {$load->outlet} is {$first[$key]->name} and {$load->name}",
                At::load($look, $load, 'outlet'),
                'Whoever plugs them in again after the winter swaps them, and the wrong thing goes on.',
                'A number of its own on each outlet.',
                Fix::change("Number it {$free}", $load, ['outlet' => (string) $free]),
                about: [$first[$key]->id, $load->id],
            );
        }
    }
}
