<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\OutputKind;

/** A sequence that wears a relay out while it goes round. */
#[Finds('sequence-wears', WorkStep::Routes)]
final readonly class SequenceWears implements PlanRule
{
    /** Operations at rated load. Common practice. */
    private const LIFE = 100_000;

    public function check(Look $look): iterable
    {
        foreach (Sequences::in($look)->all as $sequence) {
            if ($sequence->output->setting('passes') !== 0 || $sequence->lastsMs < 1) {
                continue;
            }
            foreach ($sequence->byOutput() as $id => $asked) {
                $output = $look->plan->output($id);
                $ons = count(array_filter($asked, static fn (array $one): bool => ! $one['route']->putsOff()));
                $hours = $ons === 0 ? INF : self::LIFE / $ons * $sequence->lastsMs / 3_600_000;
                if ($output->kind !== OutputKind::Relay || $hours > 1_000) {
                    continue;
                }

                yield Finding::advice(
                    "{$sequence->output->name} wears {$output->name} out in ".Figures::significant($hours).' hours',
                    $sequence->at($look->plan, 'passes'),
                    'A relay is good for about 100,000 operations at its rated load, and this one is worked '.Figures::significant($ons * 3_600_000 / $sequence->lastsMs).' times an hour while the sequence goes round.',
                    'Let it go more slowly, or switch with something that has no contacts: a transistor, or a solid-state relay.',
                    numbers: ['hours' => $hours],
                    about: [$sequence->output->id, $id],
                );
            }
        }
    }
}
