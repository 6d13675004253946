<?php

declare(strict_types=1);

namespace Rundfunk\Routes\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\CodeRange;
use Rundfunk\Routes\Codes;
use Rundfunk\Routes\HandsOutCodes;
use Rundfunk\Routes\RouteNames;

/** Two different commands with one code, where it should tell them apart. */
#[Finds('code-shared', WorkStep::Routes)]
final readonly class CodeShared implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $medium = $look->media->offering(HandsOutCodes::class, $end->link->medium);
        if ($medium === null) {
            return;
        }
        $first = [];
        foreach ([...$look->plan->hopsTo($end->endpoint), ...$look->plan->hopsFrom($end->endpoint)] as $hop) {
            $range = $medium->codes($look->plan, $hop);
            if ($hop->code === null || $range?->endpointId !== $end->endpoint->id) {
                continue;
            }
            $other = $first[$hop->code] ??= $hop;
            if ($other !== $hop && self::differ($look->plan, $other, $hop, $range)) {
                yield self::finding($look->plan, $hop, $other, $range);
            }
        }
    }

    private static function finding(Plan $plan, Hop $hop, Hop $other, CodeRange $range): Finding
    {
        $node = $plan->node($plan->endpoint($range->endpointId)->nodeId);
        $code = sprintf('0x%02X', $hop->code);
        [$one, $two] = array_map(static fn (Hop $one): string => RouteNames::of($plan, $plan->route($one->routeId)), [$other, $hop]);
        $free = Codes::free($plan, $hop, $range);

        return Finding::fault(
            'Two commands '.(self::isSigned($hop, $range) ? 'of' : 'to')." {$node->name} have the code {$code}",
            Spot::of($hop, "{$node->name}: {$two}", 'code'),
            self::isSigned($hop, $range) ? "All receivers hear {$node->name}, and none can tell {$one} from {$two}." : "{$node->name} cannot tell {$one} from {$two}.",
            'Give each its own.',
            $free === null ? null : Fix::change(sprintf('Use 0x%02X for the second', $free), $hop, ['code' => $free, 'pinned' => false]),
            numbers: ['code' => $hop->code],
            about: [$hop->id, $other->id],
        );
    }

    private static function isSigned(Hop $hop, CodeRange $range): bool
    {
        return $range->endpointId === $hop->fromId;
    }

    /** Two controls may share a code when they mean the same; and where all hear all, one control may mean several things by it. */
    private static function differ(Plan $plan, Hop $one, Hop $other, CodeRange $range): bool
    {
        [$one, $two] = [$plan->route($one->routeId), $plan->route($other->routeId)];

        return ! $one->asksTheSameAs($two) && ! ($one->controlId === $two->controlId && self::isSigned($other, $range));
    }
}
