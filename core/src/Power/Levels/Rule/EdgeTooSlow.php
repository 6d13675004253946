<?php

declare(strict_types=1);

namespace Rundfunk\Power\Levels\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Wire;
use Rundfunk\Check\WireRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\Part;
use Rundfunk\Power\Levels\Misfits;
use Rundfunk\Power\Levels\Wiring;

/** What stands in a wire is so large that its signal does not come through in time, or is held by next to nothing. */
#[Finds('edge-too-slow', WorkStep::PinsAndPower)]
final readonly class EdgeTooSlow extends LevelRule implements WireRule
{
    /** Beyond that nothing is heard at all. */
    private const LOST = 3.0;

    public function check(Wire $wire, Look $look): iterable
    {
        if (self::isBare($wire, $look)) {
            return [];
        }
        $wiring = Wiring::in($look);
        $slowing = (new Misfits($wiring, $wire))->slowing();
        if ($slowing === []) {
            return [];
        }
        $edge = $wiring->edge($wire);
        $where = "{$wire->module->name} {$wire->terminal->name} of {$wire->node->name}";
        $weak = $edge->ohms / $edge->mostOhm > $edge->seconds / $edge->mostSeconds;

        return [Finding::of(
            $edge->times() > self::LOST ? Severity::Fault : Severity::Warning,
            $weak ? "{$where} hangs behind ".Figures::ohms($edge->ohms) : "The edges of {$where} take ".self::time($edge->seconds),
            $wire->at(),
            $weak
                ? 'It should be '.Figures::ohms($edge->mostOhm).' at most: behind more, what leaks makes a level of its own, and every wire beside it is heard.'
                : 'Its signal wants '.self::time($edge->mostSeconds).': '.Figures::ohms(round($edge->ohms, 1)).' and what they charge, wire and input or a capacitor, are a brake.',
            ucfirst(implode(' and ', array_map(static fn (Part $part): string => "a smaller {$part->kind->words()}", $slowing))).', or none.',
            self::mend($look, $wire),
            numbers: ['ohms' => round($edge->ohms), 'seconds' => $edge->seconds, 'most_ohms' => $edge->mostOhm, 'most_seconds' => $edge->mostSeconds],
        )];
    }

    private static function time(float $seconds): string
    {
        return match (true) {
            $seconds >= 1.0 => Figures::significant($seconds).' s',
            $seconds >= 1e-3 => Figures::significant($seconds * 1e3).' ms',
            $seconds >= 1e-6 => Figures::significant($seconds * 1e6).' µs',
            default => Figures::significant($seconds * 1e9).' ns',
        };
    }
}
