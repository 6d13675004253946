<?php

declare(strict_types=1);

namespace Rundfunk\Cables\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Cable;
use Rundfunk\Plan\CableCore;
use Rundfunk\Plan\CoreUse;
use Rundfunk\Plan\Spot;

/** Two cores on one pin of a plug: what they carry is joined there. */
#[Finds('cable-plug-pin-twice', WorkStep::PinsAndPower)]
final readonly class PlugPinTwice implements PlanRule
{
    public function check(Look $look): iterable
    {
        foreach ($look->plan->of(Cable::class) as $cable) {
            foreach (['fromPin' => $cable->fromId, 'toPin' => $cable->toId] as $end => $nodeId) {
                /** @var array<string, CableCore> $first */
                $first = [];
                foreach ($cable->uses as $at => $use) {
                    $pin = $end === 'fromPin' ? $use->fromPin : $use->toPin;
                    $other = $first[$pin] ?? null;
                    $first[$pin] = $use;
                    // Several grounds may meet in one place, and what nobody said is nowhere.
                    if ($pin === '' || $other === null || ($other->use === CoreUse::Ground && $use->use === CoreUse::Ground)) {
                        continue;
                    }
                    $node = $look->plan->node($nodeId)->name;
                    yield Finding::fault(
                        "Cores {$other->core} and {$use->core} of {$cable->name} are both on pin {$pin} at {$node}",
                        Spot::of($cable, $cable->name, 'uses'),
                        'What they carry is joined in the plug: a signal against another, or against a supply.',
                        'Each on a pin of its own.',
                        Fix::change("Leave it open for core {$use->core}", $cable, ['uses' => array_map(static fn (CableCore $one, int $which): array => $which === $at ? [...$one->values(), $end => ''] : $one->values(), $cable->uses, array_keys($cable->uses))]),
                        numbers: ['pin' => $pin],
                        about: [$cable->id, $nodeId, "use {$at}"],
                    );
                }
            }
        }
    }
}
