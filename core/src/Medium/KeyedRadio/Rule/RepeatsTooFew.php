<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\KeyedRadio\KeyedCoding;
use Rundfunk\Medium\KeyedRadio\KeyedSettings;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

#[Finds('keyed-repeats-too-few', WorkStep::Links)]
final readonly class RepeatsTooFew implements LinkRule
{
    /** Receivers of this kind wake up with noise and miss the first frames. Common practice. */
    private const LEAST = 4;

    public function check(Link $link, Look $look): iterable
    {
        $settings = KeyedSettings::of($link);
        if ($settings->coding === KeyedCoding::Pair || $settings->repeats >= self::LEAST) {
            return [];
        }

        return [Finding::warning(
            "{$link->name} sends each code ".($settings->repeats === 1 ? 'once' : "{$settings->repeats} times"),
            Spot::of($link, $link->name, 'repeats'),
            'The receiver turns its gain up in silence and drowns the first frame in noise; the second it must hear again to believe it.',
            'Send it four times at least.',
            Fix::settings('Send it 8 times', $link, ['repeats' => 8]),
            numbers: ['repeats' => $settings->repeats, 'least' => self::LEAST],
        )];
    }
}
