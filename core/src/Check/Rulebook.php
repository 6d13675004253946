<?php

declare(strict_types=1);

namespace Rundfunk\Check;

/** Every rule there is, those of no medium in particular first, and of which medium's links each is asked. */
final readonly class Rulebook
{
    /** @var array<string, Finds> by class of the rule */
    private array $finds;

    /** @var list<string> the keys of all rules, in their order */
    private array $keys;

    /** @var array<class-string, list<array{Rule, string|null}>> by the kind of rule that they are */
    private array $judging;

    /**
     * @param  list<Rule>  $general
     * @param  array<string, list<Rule>>  $byMedium  by the medium's key: those that judge links, ends and hops are asked about its own alone
     */
    public function __construct(private array $general, private array $byMedium = [])
    {
        $finds = [];
        foreach ($this->all() as $rule) {
            $finds[$rule::class] = Finds::of($rule);
        }
        $this->finds = $finds;
        $this->keys = array_map(fn (Rule $rule): string => $this->finds($rule)->key, $this->all());
        $judging = [];
        foreach (['' => $general, ...$byMedium] as $medium => $rules) {
            foreach ($rules as $rule) {
                foreach (class_implements($rule) as $kind) {
                    $judging[$kind][] = [$rule, $medium === '' ? null : $medium];
                }
            }
        }
        $this->judging = $judging;
    }

    /** @return list<Rule> in the order in which findings are listed */
    public function all(): array
    {
        return [...$this->general, ...array_merge(...array_values($this->byMedium))];
    }

    public function finds(Rule $rule): Finds
    {
        return $this->finds[$rule::class];
    }

    /** @return list<string> the keys of all rules, in their order */
    public function keys(): array
    {
        return $this->keys;
    }

    /**
     * @template T of Rule
     *
     * @param  class-string<T>  $kind
     * @return list<array{T, string|null}> each with the medium whose links alone it is asked about; null for any
     */
    public function judging(string $kind): array
    {
        /** @var list<array{T, non-empty-string|null}> $judging  each is of the kinds that it implements */
        $judging = $this->judging[$kind] ?? [];

        return $judging;
    }
}
