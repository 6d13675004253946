<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip;

use Rundfunk\Check\Look;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Plan;

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
        foreach ($plan->nodes() as $node) {
            $names[] = Topics::slug($node->name);
            $names[] = "{$node->id}/presence";
        }
        foreach ($plan->outputs() as $output) {
            $names[] = "{$output->nodeId}=".Topics::slug($output->name);
        }
        foreach ($plan->controls() as $control) {
            if ($control->kind === ControlKind::Reading) {
                $names[] = "{$control->nodeId}/".Topics::slug($control->name);
            }
        }

        return count(array_flip($names)) < count($names);
    }
}
