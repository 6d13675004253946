<?php

declare(strict_types=1);

namespace Rundfunk\Check;

use Rundfunk\Plan\Plan;

/** What was found in one version of a plan, by rule and by the subject that was judged. */
final readonly class Findings
{
    /** @param  array<string, array<string, list<Finding>>>  $bySubject by rule in the order of the rules, then by id of the subject; subjects with nothing to find are not in it */
    public function __construct(public array $bySubject)
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

    /**
     * Two subjects may come upon one and the same: two routes that send a code, upon the code. It is listed once, as grave as
     * the gravest of them finds it.
     *
     * @return array<string, list<Finding>> in the order of the rules, those that found nothing too
     */
    public function byRule(): array
    {
        return array_map(static function (array $bySubject): array {
            if ($bySubject === []) {
                return [];
            }
            $byId = [];
            foreach (self::inOrder(array_merge(...array_values($bySubject))) as $finding) {
                $held = $byId[$finding->id()] ?? null;
                if ($held === null || $finding->severity->rank() > $held->severity->rank()) {
                    $byId[$finding->id()] = $finding;
                }
            }

            return array_values($byId);
        }, $this->bySubject);
    }

    /** @return list<string> keys of the rules that were asked and said something else, or the same anew */
    public function rulesOtherThan(self $before): array
    {
        return array_values(array_filter(array_keys($this->bySubject), fn (string $key): bool => $this->bySubject[$key] !== ($before->bySubject[$key] ?? null)));
    }

    /**
     * What an edit changed of them.
     *
     * @return array{put: list<Finding>, gone: list<string>, order: list<string>} those that are new or say something else, ids of those that are no more, and ids of all in their order
     */
    public function since(self $before): array
    {
        $had = [];
        foreach ($before->all() as $finding) {
            $had[$finding->id()] = $finding;
        }
        $put = [];
        $order = [];
        foreach ($this->all() as $finding) {
            $id = $finding->id();
            $order[] = $id;
            // What was not judged again is the very same.
            $same = ($had[$id] ?? null) === $finding || (isset($had[$id]) && json_encode($had[$id], JSON_THROW_ON_ERROR) === json_encode($finding, JSON_THROW_ON_ERROR));
            if (! $same) {
                $put[] = $finding;
            }
        }

        return ['put' => $put, 'gone' => array_map(strval(...), array_keys(array_diff_key($had, array_flip($order)))), 'order' => $order];
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

    /**
     * By the names that users gave, so that no list depends on the order in which rules go through a plan.
     *
     * @param  list<Finding>  $findings
     * @return list<Finding>
     */
    private static function inOrder(array $findings): array
    {
        if (count($findings) > 1) {
            $where = array_map(static fn (Finding $finding): string => $finding->at->where, $findings);
            $titles = array_column($findings, 'title');
            $ids = array_map(static fn (Finding $finding): string => $finding->id(), $findings);
            $places = array_keys($findings);
            array_multisort($where, SORT_ASC, SORT_NATURAL | SORT_FLAG_CASE, $titles, SORT_ASC, SORT_STRING, $ids, SORT_ASC, SORT_STRING, $places, SORT_ASC, SORT_NUMERIC, $findings);
        }

        return $findings;
    }
}
