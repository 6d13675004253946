<?php

declare(strict_types=1);

namespace Rundfunk\Check\Rule;

use Rundfunk\Assign\Codes;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Edit\Operation;
use Rundfunk\Knowledge;
use Rundfunk\Medium\CodeRange;
use Rundfunk\Medium\HandsOutCodes;
use Rundfunk\Path\RouteNames;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

/** Two different commands with one code, where it should tell them apart. */
final readonly class CodeShared implements LooksNearby
{
    public function key(): string
    {
        return 'code-shared';
    }

    public function reads(): array
    {
        return [ThingKind::Node, ThingKind::Link, ThingKind::Endpoint, ThingKind::Control, ThingKind::Output, ThingKind::Route, ThingKind::Hop];
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->links() as $link) {
            $medium = $knowledge->media->named($link->medium);
            if (! $medium instanceof HandsOutCodes) {
                continue;
            }
            $first = [];
            foreach ($plan->hopsOver($link) as $hop) {
                $range = $medium->codes($plan, $hop);
                if ($hop->code === null || $range === null) {
                    continue;
                }
                $other = $first[$range->endpointId][$hop->code] ?? null;
                $first[$range->endpointId][$hop->code] ??= $hop;
                if ($other !== null && self::differ($plan, $other, $hop, $range)) {
                    yield $this->finding($plan, $hop, $other, $range);
                }
            }
        }
    }

    private function finding(Plan $plan, Hop $hop, Hop $other, CodeRange $range): Finding
    {
        $node = $plan->node($plan->endpoint($range->endpointId)->nodeId);
        $code = sprintf('0x%02X', $hop->code);
        [$one, $two] = array_map(static fn (Hop $one): string => RouteNames::of($plan, $plan->route($one->routeId)), [$other, $hop]);
        $free = Codes::free($plan, $hop, $range);

        return new Finding(
            $this->key(),
            Severity::Fault,
            'Two commands '.(self::isSigned($hop, $range) ? 'of' : 'to')." {$node->name} have the code {$code}",
            Subject::of($hop, "{$node->name}: {$two}", 'code'),
            ['code' => $hop->code],
            self::isSigned($hop, $range) ? "All receivers hear {$node->name}, and none can tell {$one} from {$two}." : "{$node->name} cannot tell {$one} from {$two}.",
            'Give each its own.',
            $free === null ? null : new Fix(sprintf('Use 0x%02X for the second', $free), Operation::change(ThingKind::Hop, $hop->id, ['code' => $free, 'pinned' => false])),
            [$hop->id, $other->id],
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
