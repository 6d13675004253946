<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Infrared\IrCodes;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;
use Rundfunk\Signal\TimingDistance;

/** Two codes of no known protocol that differ by hardly more than a receiver's noise. */
#[Finds('ir-raw-too-alike', WorkStep::Links)]
final readonly class RawTooAlike extends InfraredRule implements LinkRule
{
    /** Up to this they may be taken for each other. Common practice: twice what counts as the same. */
    private const NEAR = 2 * TimingDistance::SAME;

    public function check(Link $link, Look $look): iterable
    {
        $raw = [];
        foreach ($look->plan->endpointsOn($link) as $endpoint) {
            $node = $look->plan->node($endpoint->nodeId);
            foreach ($look->plan->keyCodesOf($node) as $code) {
                $signal = $code->protocol === 'raw' ? IrCodes::signal($code, $this->protocols) : null;
                if ($signal !== null) {
                    $raw[] = ['node' => $node, 'code' => $code, 'signal' => $signal];
                }
            }
        }
        foreach ($raw as $index => ['code' => $one, 'signal' => $first]) {
            foreach (array_slice($raw, $index + 1) as ['node' => $node, 'code' => $other, 'signal' => $second]) {
                $distance = TimingDistance::between($first, $second);
                if ($distance < TimingDistance::SAME || $distance > self::NEAR) {
                    continue;
                }
                yield Finding::warning(
                    "{$one->name} and {$other->name} are hard to tell apart",
                    Spot::of($other, "{$node->name}, {$other->name}"),
                    'Their timings differ by '.round(100 * $distance).' % on average, hardly more than sun and distance do.',
                    'Capture both again, close to the receiver; use another key if they stay as near.',
                    numbers: ['distance' => round($distance, 2), 'same_below' => TimingDistance::SAME],
                    about: [$one->id, $other->id],
                );
            }
        }
    }
}
