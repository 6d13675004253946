<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Load;
use Rundfunk\Plan\Output;
use Rundfunk\Power\Circuits\At;

/** Routes to an output on which nothing is plugged in this season. */
#[Finds('all-unplugged', WorkStep::SafeStates)]
final readonly class AllUnplugged implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        $loads = $look->plan->loadsOn($output);
        $used = array_filter($loads, static fn (Load $load): bool => $load->use->draws());
        $routes = $loads === [] || $used !== [] ? [] : $look->plan->routesTo($output);
        if ($routes === []) {
            return [];
        }

        return [Finding::advice(
            "Nothing is plugged in at {$output->name}, and ".(count($routes) === 1 ? 'a route works it' : count($routes).' routes work it'),
            At::output($look, $output),
            implode(', ', array_map(static fn (Load $load): string => "{$load->name}: {$load->use->words()}", $loads)).'.',
            'Accept it until it is plugged in again, or take the routes away.',
        )];
    }
}
