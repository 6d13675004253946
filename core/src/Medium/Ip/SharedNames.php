<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip;

use Rundfunk\Check\Look;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

/**
 * Whether any two nodes of a plan, or two things of one node, come out as one name in topics. Where none do no topic is
 * shared, and nothing need be spelt out: worked out once a look, for it is asked after every edit.
 */
final readonly class SharedNames
{
    private function __construct(public bool $any)
    {
    }

    public static function in(Look $look): self
    {
        return $look->once(self::class, static fn (): self => new self(self::areIn($look->plan)));
    }

    private static function areIn(Plan $plan): bool
    {
        $names = [];
        foreach (self::column($plan, ThingKind::Node, 'name') as $id => $name) {
            $names[] = Topics::slug($name);
            $names[] = "{$id}/presence";
        }
        $nodes = self::column($plan, ThingKind::Output, 'nodeId');
        foreach (self::column($plan, ThingKind::Output, 'name') as $id => $name) {
            $names[] = "{$nodes[$id]}=".Topics::slug($name);
        }
        $readings = array_keys($plan->things(ThingKind::Control)->column('kind'), ControlKind::Reading, true);
        foreach ($plan->pick(Control::class, $readings) as $control) {
            $names[] = "{$control->nodeId}/".Topics::slug($control->name);
        }

        return count(array_flip($names)) < count($names);
    }

    /** @return array<string, string> by id: names and the like, without putting together the thousands of things that have them */
    private static function column(Plan $plan, ThingKind $kind, string $field): array
    {
        /** @var array<string, string> $column */
        $column = $plan->things($kind)->column($field);

        return $column;
    }
}
