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
use Rundfunk\Signal\AlikeSignals;
use Rundfunk\Signal\TimingDistance;

/** A code of no known protocol that differs from one before it by hardly more than a receiver's noise. */
#[Finds('ir-raw-too-alike', WorkStep::Links)]
final readonly class RawTooAlike extends InfraredRule implements LinkRule
{
    /** Up to this they may be taken for each other. Common practice: twice what counts as the same. */
    private const NEAR = 2 * TimingDistance::SAME;

    /** Of more findings than this, each further code has one: hundreds that are all alike would make tens of thousands. */
    private const EACH = 1_000;

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
        $found = 0;
        $alike = new AlikeSignals(array_column($raw, 'signal'));
        foreach ($raw as $at => ['node' => $node, 'code' => $other]) {
            foreach ($alike->earlier($at, TimingDistance::SAME, self::NEAR) as $earlier => $distance) {
                $one = $raw[$earlier]['code'];
                yield Finding::warning(
                    "{$one->name} and {$other->name} are hard to tell apart",
                    Spot::of($other, "{$node->name}, {$other->name}"),
                    'Their timings differ by '.round(100 * $distance).' % on average, hardly more than sun and distance do.',
                    'Capture both again, close to the receiver; use another key if they stay as near.',
                    numbers: ['distance' => round($distance, 2), 'same_below' => TimingDistance::SAME],
                    about: [$one->id, $other->id],
                );
                if (++$found > self::EACH) {
                    break;
                }
            }
        }
    }
}
