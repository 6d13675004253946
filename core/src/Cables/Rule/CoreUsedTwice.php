<?php

declare(strict_types=1);

namespace Rundfunk\Cables\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\Cable;
use Rundfunk\Plan\Spot;

/** Two things on one core, or on one that there is not. */
#[Finds('cable-core-twice', WorkStep::PinsAndPower)]
final readonly class CoreUsedTwice implements PlanRule
{
    public function check(Look $look): iterable
    {
        foreach ($look->plan->of(Cable::class) as $cable) {
            $first = [];
            $free = $cable->freeCores();
            foreach ($cable->uses as $at => $use) {
                $isTwice = isset($first[$use->core]);
                $first[$use->core] = true;
                if (! $isTwice && $use->core <= $cable->cores) {
                    continue;
                }
                $core = array_shift($free);
                yield Finding::fault(
                    $isTwice ? "Core {$use->core} of {$cable->name} is used twice" : "{$cable->name} has no core {$use->core}",
                    Spot::of($cable, $cable->name, 'uses'),
                    $isTwice ? 'Two signals on one wire are neither.' : 'It has '.Figures::counted($cable->cores, 'core').'.',
                    'Each core once.',
                    $core === null ? null : Fix::change("Put it on core {$core}", $cable, ['uses' => self::moved($cable, $at, $core)]),
                    numbers: ['core' => $use->core, 'cores' => $cable->cores],
                    about: [$cable->id, "use {$at}"],
                );
            }
        }
    }

    /** @return list<array<string, mixed>> */
    private static function moved(Cable $cable, int $wrong, int $free): array
    {
        $uses = [];
        foreach ($cable->uses as $at => $use) {
            $uses[] = ($at === $wrong ? $use->on($free) : $use)->values();
        }

        return $uses;
    }
}
