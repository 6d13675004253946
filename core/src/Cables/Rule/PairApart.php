<?php

declare(strict_types=1);

namespace Rundfunk\Cables\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\Severity;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Cable;
use Rundfunk\Plan\CableCore;
use Rundfunk\Plan\CoreUse;
use Rundfunk\Plan\Spot;

/** A pair whose two wires are not twisted together. */
#[Finds('cable-pair-apart', WorkStep::PinsAndPower)]
final readonly class PairApart implements PlanRule
{
    /** So little catches nothing to speak of. Common practice. */
    private const SHORT_M = 2.0;

    public function check(Look $look): iterable
    {
        foreach ($look->plan->of(Cable::class) as $cable) {
            foreach ($cable->uses as $use) {
                if ($use->use !== CoreUse::A) {
                    continue;
                }
                $other = array_values(array_filter($cable->uses, static fn (CableCore $one): bool => $one->use === CoreUse::B && $one->linkId === $use->linkId))[0] ?? null;
                $together = $other !== null && intdiv($use->core - 1, 2) === intdiv($other->core - 1, 2);
                if ($other === null || ($cable->twisted && $together)) {
                    continue;
                }
                $length = $cable->lengthM ?? INF;
                yield Finding::of(
                    $length <= self::SHORT_M ? Severity::Advice : Severity::Warning,
                    $cable->twisted ? "A and B are on two pairs of {$cable->name}" : "A and B run side by side in {$cable->name}, untwisted",
                    Spot::of($cable, $cable->name, 'twisted'),
                    'What is twisted together catches the same noise on both wires, and only their difference counts. Apart they catch each its own.',
                    'A and B on one twisted pair.',
                    self::together($cable, $use, $other),
                    numbers: ['a' => $use->core, 'b' => $other->core],
                    about: [$cable->id, (string) $use->linkId],
                );
            }
        }
    }

    /** B beside A, and whoever was there where B was; in a cable that is twisted. */
    private static function together(Cable $cable, CableCore $a, CableCore $b): ?Fix
    {
        $mate = $a->core % 2 === 1 ? $a->core + 1 : $a->core - 1;
        if ($mate > $cable->cores) {
            return null;
        }
        $uses = array_map(static fn (CableCore $one): array => [...$one->values(), 'core' => match (true) {
            $one === $b => $mate,
            $one->core === $mate => $b->core,
            default => $one->core,
        }], $cable->uses);

        return Fix::change($b->core === $mate ? 'It is twisted' : "B on core {$mate}, twisted with A", $cable, ['twisted' => true, 'uses' => $uses]);
    }
}
