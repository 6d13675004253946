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
use Rundfunk\Figures;
use Rundfunk\Medium\KeyedRadio\KeyedSettings;

/** An end that is known to be tuned to another frequency than its link. */
#[Finds('keyed-ends-disagree', WorkStep::Links)]
final readonly class EndsDisagree implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $settings = KeyedSettings::of($end->link);
        $own = $end->settings()->wholeOrNull('freqKhz');
        if ($own === null || $own === $settings->freqKhz) {
            return [];
        }
        $name = $end->node->name;

        return [Finding::fault(
            "{$name} is tuned to ".Figures::significant($own / 1000)." MHz, {$end->link->name} to ".Figures::significant($settings->freqMhz()),
            $end->at('freqKhz'),
            'The parts look alike but for what is stamped on the crystal. Silence, not an error, is what you would see.',
            'Take parts of one frequency.',
            Fix::settings('It is tuned as the link', $end->endpoint, ['freqKhz' => null]),
            numbers: ['here_khz' => $own, 'link_khz' => $settings->freqKhz],
        )];
    }
}
