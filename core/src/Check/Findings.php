<?php

declare(strict_types=1);

namespace Rundfunk\Check;

use Rundfunk\Plan\Plan;

/** What was found in one version of a plan, rule by rule. */
final readonly class Findings
{
    /** @param  array<string, Found>  $found  by rule, in the order of the rules, those that found nothing too */
    public function __construct(public array $found)
    {
    }

    /** @return list<Finding> gravest first, then in the order of the rules */
    public function all(): array
    {
        $byRank = [];
        foreach ($this->byRule() as $findings) {
            foreach ($findings as $finding) {
                $byRank[$finding->severity->rank()][] = $finding;
            }
        }
        krsort($byRank);

        return array_merge(...$byRank);
    }

    /** @return array<string, list<Finding>> in the order of the rules, those that found nothing too */
    public function byRule(): array
    {
        return array_map(static fn (Found $found): array => $found->listed(), $this->found);
    }

    /**
     * @param  array<string, mixed>  $ids
     * @return array<string, Finding> by id: those of them that are there
     */
    public function among(array $ids): array
    {
        $some = [];
        foreach ($this->found as $found) {
            if (array_intersect_key($found->ranks(), $ids) !== []) {
                foreach ($found->listed() as $finding) {
                    $some[$finding->id()] = $finding;
                }
            }
        }

        return array_intersect_key($some, $ids);
    }

    /** @return list<string> ids of all, in the order in which they are listed */
    public function ids(): array
    {
        $byRank = [];
        foreach ($this->found as $found) {
            foreach ($found->ranks() as $id => $rank) {
                $byRank[$rank][] = $id;
            }
        }
        krsort($byRank);

        return array_merge(...$byRank);
    }

    /** @return array<string, Found> by rule: of those that were asked and said something else, or the same anew */
    public function otherThan(self $before): array
    {
        return array_filter($this->found, static fn (Found $found, string $key): bool => $found->saysOtherThan($before->found[$key] ?? Found::of([])), ARRAY_FILTER_USE_BOTH);
    }

    /**
     * What an edit changed of them.
     *
     * @return array{put: list<Finding>, gone: list<string>, order: list<string>} those that are new or say something else, ids of those that are no more, and ids of all in their order
     */
    public function since(self $before): array
    {
        // What was not judged again is the very same.
        $changed = $this->otherThan($before);
        $had = [];
        foreach ((new self(array_intersect_key($before->found, $changed)))->all() as $finding) {
            $had[$finding->id()] = $finding;
        }
        $put = [];
        foreach ((new self($changed))->all() as $finding) {
            $same = $had[$finding->id()] ?? null;
            if ($same !== $finding && ($same === null || json_encode($same, JSON_THROW_ON_ERROR) !== json_encode($finding, JSON_THROW_ON_ERROR))) {
                $put[] = $finding;
            }
        }
        $order = $this->ids();

        return ['put' => $put, 'gone' => array_values(array_diff($before->ids(), $order)), 'order' => $order];
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
