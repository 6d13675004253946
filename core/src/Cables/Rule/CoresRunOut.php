<?php

declare(strict_types=1);

namespace Rundfunk\Cables\Rule;

use Rundfunk\Cables\CableRun;
use Rundfunk\Cables\CableRuns;
use Rundfunk\Cables\Cores;
use Rundfunk\Cables\CoreWant;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\Cable;
use Rundfunk\Plan\CoreUse;
use Rundfunk\Plan\Spot;
use Rundfunk\Shape\Values;

/** A cable of too few cores, or of cores that nobody put what is missing on. */
#[Finds('cable-cores-run-out', WorkStep::PinsAndPower)]
final readonly class CoresRunOut implements PlanRule
{
    public function check(Look $look): iterable
    {
        foreach (CableRuns::in($look)->runs as $run) {
            if ($run->missing === []) {
                continue;
            }
            $cable = $run->cable;
            $missing = implode(', ', array_map(static fn (CoreWant $want): string => $want->words(), $run->missing));
            $short = count($run->missing) - $run->left();
            $uses = Cores::completed($run);
            yield $short > 0
                ? Finding::fault(
                    "{$cable->name} has ".Figures::counted($cable->cores, 'core').' and wants '.($cable->cores + $short),
                    Spot::of($cable, $cable->name, 'cores'),
                    "Without a core: {$missing}. A cable that is laid has no more than it has.",
                    'A cable of more cores, a second one beside it, or less through it: RS-485 wants two where RS-232 wants three.',
                    self::wider($look, $cable, $cable->cores + $short),
                    numbers: ['cores' => $cable->cores, 'wanted' => $cable->cores + $short],
                    about: [$cable->id],
                )
                : Finding::fault(
                    "No core of {$cable->name} is for {$missing}",
                    Spot::of($cable, $cable->name, 'uses'),
                    array_filter($run->missing, static fn (CoreWant $want): bool => $want->use === CoreUse::Ground) === [] ? 'What is not joined says nothing.' : 'Without a common ground no level means anything, and what comes through one wire finds its way back through another.',
                    'Say which core, or let Assign.',
                    $uses === null ? null : Fix::change('Put each on the lowest that is free', $cable, ['uses' => Cores::values($uses)]),
                    numbers: ['missing' => count($run->missing)],
                    about: [$cable->id],
                );
        }
    }

    private static function wider(Look $look, Cable $cable, int $cores): ?Fix
    {
        if ($cores > Cable::MOST_CORES) {
            return null;
        }
        $wider = Cable::from(new Values([...$cable->values(), 'cores' => $cores]));
        $uses = Cores::completed(CableRun::of($look, $wider)) ?? $cable->uses;

        return Fix::change("Take one of {$cores} cores", $cable, ['cores' => $cores, 'uses' => Cores::values($uses)]);
    }
}
