<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Infrared\IrCodes;
use Rundfunk\Plan\Plan;
use Rundfunk\Signal\TimingDistance;

/** Two codes of no known protocol that differ by hardly more than a receiver's noise. */
final readonly class RawTooAlike extends InfraredRule
{
    /** Up to this they may be taken for each other. Common practice: twice what counts as the same. */
    private const NEAR = 2 * TimingDistance::SAME;

    public function key(): string
    {
        return 'ir-raw-too-alike';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        $raw = array_values(array_filter(self::codes($plan), static fn (array $one): bool => $one['code']->protocol === 'raw'));
        foreach ($raw as $index => $one) {
            foreach (array_slice($raw, $index + 1) as $other) {
                $first = IrCodes::signal($one['code'], $this->protocols);
                $second = IrCodes::signal($other['code'], $this->protocols);
                $distance = $first === null || $second === null ? 1.0 : TimingDistance::between($first, $second);
                if ($one['link']->id !== $other['link']->id || $distance < TimingDistance::SAME || $distance > self::NEAR) {
                    continue;
                }
                yield new Finding(
                    $this->key(),
                    Severity::Warning,
                    "{$one['code']->name} and {$other['code']->name} are hard to tell apart",
                    Subject::of($other['code'], "{$other['node']->name}, {$other['code']->name}"),
                    ['distance' => round($distance, 2), 'same_below' => TimingDistance::SAME],
                    'Their timings differ by '.round(100 * $distance).' % on average, hardly more than sun and distance do.',
                    'Capture both again, close to the receiver; use another key if they stay as near.',
                    null,
                    [$one['code']->id, $other['code']->id],
                );
            }
        }
    }
}
