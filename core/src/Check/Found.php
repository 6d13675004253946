<?php

declare(strict_types=1);

namespace Rundfunk\Check;

use Closure;

/**
 * What one rule found in one version of a plan, by the subject that was judged. What was kept of it is unpacked when somebody
 * asks for its words: an edit is about a few subjects, of which the rule that found most has mostly found nothing.
 */
final class Found
{
    /** @var list<Finding>|null */
    private ?array $listed = null;

    /**
     * @param  array<string, true>  $subjects  ids of those that something was found in
     * @param  array<string, int>|null  $ranks  how grave, by id of the finding, in order; null until it was asked for
     * @param  array<string, list<Finding>>|null  $bySubject  null until it is unpacked
     * @param  (Closure(): array<string, list<Finding>>)|null  $unpack
     */
    private function __construct(public readonly array $subjects, private ?array $ranks, private ?array $bySubject, private readonly ?Closure $unpack = null)
    {
    }

    /** @param  array<string, list<Finding>>  $bySubject  without those in which nothing was found */
    public static function of(array $bySubject): self
    {
        return new self(array_fill_keys(array_keys($bySubject), true), null, $bySubject);
    }

    /**
     * @param  array{subjects?: list<string>, ranks?: array<string, int>, packed?: string}  $kept  what {@see packed()} gave
     * @param  Closure(string): array<mixed>  $unpack
     */
    public static function from(array $kept, Closure $unpack): self
    {
        $packed = $kept['packed'] ?? null;
        if ($packed === null) {
            return self::of([]);
        }
        $whole = static function () use ($packed, $unpack): array {
            /** @var array<string, list<Finding>> $bySubject */
            $bySubject = $unpack($packed);

            return $bySubject;
        };

        return new self(array_fill_keys($kept['subjects'] ?? [], true), $kept['ranks'] ?? null, null, $whole);
    }

    /**
     * @param  Closure(array<string, list<Finding>>): string  $pack
     * @return array{subjects?: list<string>, ranks?: array<string, int>, packed?: string} empty where nothing was found
     */
    public function packed(Closure $pack): array
    {
        return $this->subjects === [] ? [] : ['subjects' => array_map(strval(...), array_keys($this->subjects)), 'ranks' => $this->ranks(), 'packed' => $pack($this->bySubject())];
    }

    /** @return array<string, list<Finding>> by id of the subject */
    public function bySubject(): array
    {
        return $this->bySubject ??= $this->unpack === null ? [] : ($this->unpack)();
    }

    /**
     * With what was found now of those that were asked about anew.
     *
     * @param  array<string, mixed>  $anew  by id of the subject
     * @param  array<string, list<Finding>>  $found  by id of the subject
     */
    public function but(array $anew, array $found): self
    {
        $said = $this->subjects !== [] && array_intersect_key($this->subjects, $anew) !== [];
        if (! $said && $found === []) {
            return $this;
        }

        return self::of($said ? array_diff_key($this->bySubject(), $anew) + $found : $this->bySubject() + $found);
    }

    public function saysOtherThan(self $before): bool
    {
        return $this !== $before && ($this->subjects !== [] || $before->subjects !== []);
    }

    /** @return array<string, int> how grave, by id of the finding: in the order of the list */
    public function ranks(): array
    {
        if ($this->ranks === null) {
            $this->ranks = [];
            foreach ($this->listed() as $finding) {
                $this->ranks[$finding->id()] = $finding->severity->rank();
            }
        }

        return $this->ranks;
    }

    /**
     * Two subjects may come upon one and the same: two routes that send a code, upon the code. It is listed once, as grave as
     * the gravest of them finds it.
     *
     * @return list<Finding>
     */
    public function listed(): array
    {
        return $this->listed ??= self::eachOnce(self::inOrder(array_merge(...array_values($this->bySubject()))));
    }

    /**
     * @param  list<Finding>  $findings
     * @return list<Finding>
     */
    private static function eachOnce(array $findings): array
    {
        $byId = [];
        foreach ($findings as $finding) {
            $held = $byId[$finding->id()] ?? null;
            if ($held === null || $finding->severity->rank() > $held->severity->rank()) {
                $byId[$finding->id()] = $finding;
            }
        }

        return array_values($byId);
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
