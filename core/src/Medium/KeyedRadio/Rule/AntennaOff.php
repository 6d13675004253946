<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\KeyedRadio\KeyedSettings;

/** A wire of the wrong length, or none at all. */
#[Finds('keyed-antenna-off', WorkStep::Links)]
final readonly class AntennaOff implements EndRule
{
    private const SHARE = 0.10;

    public function check(End $end, Look $look): iterable
    {
        $settings = KeyedSettings::of($end->link);
        $rightMm = $settings->quarterWaveMm();
        $values = $end->settings();
        $lengthMm = $values->wholeOrNull('antennaMm');
        $none = $values->text('antenna') === 'none';
        $off = $values->text('antenna') === 'wire' && $lengthMm !== null && abs($lengthMm - $rightMm) > self::SHARE * $rightMm;
        if ($end->node->kind->isBought() || (! $none && ! $off)) {
            return [];
        }

        return [Finding::warning(
            $none ? "{$end->node->name} has no antenna on {$end->link->name}" : "The antenna of {$end->node->name} is {$lengthMm} mm long and should be {$rightMm}",
            $end->at('antennaMm'),
            'These parts come without one, and then work across a table; a straight wire of a quarter wavelength makes it a garden.',
            "Solder {$rightMm} mm of wire to ANT, straight and away from metal.",
            Fix::settings("Cut it to {$rightMm} mm", $end->endpoint, ['antenna' => 'wire', 'antennaMm' => $rightMm]),
            numbers: ['length_mm' => $lengthMm, 'right_mm' => $rightMm],
        )];
    }
}
