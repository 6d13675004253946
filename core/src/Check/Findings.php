<?php

declare(strict_types=1);

namespace Rundfunk\Check;

use Rundfunk\Plan\Plan;

/** What was found in one version of a plan, by rule. */
final readonly class Findings
{
    /** @var array<string, list<Finding>> */
    private array $byRule;

    /** @param  array<string, list<Finding>>  $byRule in the order of the rules */
    public function __construct(array $byRule)
    {
        $this->byRule = array_map(self::inOrder(...), $byRule);
    }

    /** @return list<Finding> gravest first, then in the order of the rules */
    public function all(): array
    {
        $all = array_merge(...array_values($this->byRule));
        usort($all, static fn (Finding $a, Finding $b): int => $b->severity->rank() <=> $a->severity->rank());

        return $all;
    }

    /**
     * By the names that users gave, so that no list depends on the order in which rules go through a plan.
     *
     * @param  list<Finding>  $findings
     * @return list<Finding>
     */
    private static function inOrder(array $findings): array
    {
        usort($findings, static function (Finding $one, Finding $other): int {
            $byName = strnatcasecmp($one->at->where, $other->at->where);

            return $byName !== 0 ? $byName : [$one->title, $one->id()] <=> [$other->title, $other->id()];
        });

        return $findings;
    }

    /** @return array<string, list<Finding>> */
    public function byRule(): array
    {
        return $this->byRule;
    }

    /** @return list<Finding> those not accepted by the user */
    public function open(Plan $plan): array
    {
        $accepted = [];
        foreach ($plan->acceptances() as $acceptance) {
            $accepted[$acceptance->findingId] = true;
        }

        return array_values(array_filter($this->all(), static fn (Finding $finding): bool => ! isset($accepted[$finding->id()])));
    }
}
