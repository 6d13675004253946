<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Cellular\Modem;
use Rundfunk\Plan\Spot;

/** An LTE modem made for another part of the world. */
#[Finds('cell-wrong-variant', WorkStep::Links)]
final readonly class WrongVariant implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $region = $look->plan->properties->region;
        $modem = Modem::of($look->plan, $end->endpoint, $look->catalogue);
        if ($modem === null) {
            return [];
        }
        $variant = $modem->figures->textOrNull('variant');
        if ($variant === null || $variant === $region || $region === 'elsewhere') {
            return [];
        }

        return [Finding::warning(
            "The modem of {$modem->node->name} is the variant for another region",
            Spot::of($modem->endpoint, $modem->where(), 'moduleId'),
            'LTE modems are sold with the bands of one region; elsewhere they find few cells, or none.',
            'Take the variant for '.$look->catalogue->regionOf($look->plan)->name.', after asking your operator for its bands.',
            numbers: ['variant' => $variant, 'region' => $region],
        )];
    }
}
