<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Cellular\Modem;
use Rundfunk\Plan\Plan;

/** An LTE modem made for another part of the world. */
final readonly class WrongVariant extends CellularRule implements LooksNearby
{
    public function key(): string
    {
        return 'cell-wrong-variant';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        $region = $plan->particulars->region;
        foreach (Modem::all($plan, $knowledge->catalogue) as $modem) {
            $variant = $modem->figures->textOrNull('variant');
            if ($variant === null || $variant === $region || $region === 'elsewhere') {
                continue;
            }
            yield new Finding(
                $this->key(),
                Severity::Warning,
                "The modem of {$modem->node->name} is the variant for another region",
                Subject::of($modem->endpoint, $modem->where(), 'moduleId'),
                ['variant' => $variant, 'region' => $region],
                'LTE modems are sold with the bands of one region; elsewhere they find few cells, or none.',
                'Take the variant for '.$knowledge->catalogue->regionOf($plan)->name.', after asking your operator for its bands.',
            );
        }
    }
}
