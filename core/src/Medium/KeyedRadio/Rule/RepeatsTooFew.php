<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Medium\KeyedRadio\KeyedCoding;
use Rundfunk\Plan\Plan;

final readonly class RepeatsTooFew extends KeyedRule implements LooksNearby
{
    /** Receivers of this kind wake up with noise and miss the first frames. Common practice. */
    private const LEAST = 4;

    public function key(): string
    {
        return 'keyed-repeats-too-few';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (self::links($plan) as ['link' => $link, 'settings' => $settings]) {
            if ($settings->coding === KeyedCoding::Pair || $settings->repeats >= self::LEAST) {
                continue;
            }
            yield new Finding(
                $this->key(),
                Severity::Warning,
                "{$link->name} sends each code ".($settings->repeats === 1 ? 'once' : "{$settings->repeats} times"),
                Subject::of($link, $link->name, 'repeats'),
                ['repeats' => $settings->repeats, 'least' => self::LEAST],
                'The receiver turns its gain up in silence and drowns the first frame in noise; the second it must hear again to believe it.',
                'Send it four times at least.',
                self::setLink($link, 'Send it 8 times', ['repeats' => 8]),
            );
        }
    }
}
