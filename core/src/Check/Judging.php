<?php

declare(strict_types=1);

namespace Rundfunk\Check;

use Closure;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\PinUse;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\Supply;
use Rundfunk\Plan\Thing;

/** Asks each rule about each of its subjects, and keeps what was found before about all others. */
final class Judging
{
    /** @var array<string, array<string, list<Finding>>> by rule, then by id of the subject */
    private array $found = [];

    /** @var array<string, array<string, mixed>> by key of those rules that are asked again about all they found: ids of that */
    private array $lasting = [];

    public function __construct(private readonly Look $look, private readonly Rulebook $rules, private readonly Findings $before)
    {
    }

    public function of(Subjects $subjects): Findings
    {
        $look = $this->look;
        $this->ask(NodeRule::class, $this->things($subjects, Node::class), static fn (NodeRule $rule): Closure => $rule->check(...));
        $this->ask(SupplyRule::class, $this->things($subjects, Supply::class), static fn (SupplyRule $rule): Closure => $rule->check(...));
        $this->ask(ModuleRule::class, $this->things($subjects, Module::class), static fn (ModuleRule $rule): Closure => $rule->check(...));
        $this->ask(ControlRule::class, $this->things($subjects, Control::class), static fn (ControlRule $rule): Closure => $rule->check(...));
        $this->ask(OutputRule::class, $this->things($subjects, Output::class), static fn (OutputRule $rule): Closure => $rule->check(...));
        $this->ask(RouteRule::class, $this->things($subjects, Route::class), static fn (RouteRule $rule): Closure => $rule->check(...), found: static fn (string $id): ?Route => $look->plan->pick(Route::class, [$id])[0] ?? null);
        $wires = array_filter(array_map($look->wire(...), $this->things($subjects, PinUse::class)));
        $this->ask(WireRule::class, $wires, static fn (WireRule $rule): Closure => $rule->check(...));
        foreach ($this->byMedium($this->things($subjects, Link::class), static fn (Link $link): string => $link->medium) as $medium => $links) {
            $this->ask(LinkRule::class, $links, static fn (LinkRule $rule): Closure => $rule->check(...), $medium);
        }
        $ends = array_map($look->end(...), $this->things($subjects, Endpoint::class));
        foreach ($this->byMedium($ends, static fn (End $end): string => $end->link->medium) as $medium => $those) {
            $this->ask(EndRule::class, $those, static fn (EndRule $rule): Closure => $rule->check(...), $medium);
        }
        $legs = array_filter(array_map($look->leg(...), $this->things($subjects, Hop::class)));
        foreach ($this->byMedium($legs, static fn (Leg $leg): string => $leg->link->medium) as $medium => $those) {
            $this->ask(HopRule::class, $those, static fn (HopRule $rule): Closure => $rule->check(...), $medium);
        }
        $this->ask(PlanRule::class, [$look->plan->properties->id => $look], static fn (PlanRule $rule): Closure => $rule->check(...));

        // What is felt is asked about anew, whatever it was before: it may be no subject any more. The plan itself always is.
        $anew = $subjects->gone + $subjects->ids() + [$look->plan->properties->id => true];
        $found = [];
        foreach ($this->rules->keys() as $key) {
            $found[$key] = $this->had($key)->but(isset($this->lasting[$key]) ? $anew + $this->lasting[$key] : $anew, $this->found[$key] ?? []);
        }

        return new Findings($found);
    }

    /** What a rule found before. */
    private function had(string $key): Found
    {
        return $this->before->found[$key] ?? Found::of([]);
    }

    /**
     * @template R of Rule
     * @template T of object
     *
     * @param  class-string<R>  $kind
     * @param  array<string, T>  $subjects  by id
     * @param  Closure(R): (Closure(T, Look): iterable<Finding>)  $judging
     * @param  string|null  $medium  of the subjects, where they have one
     * @param  (Closure(string): (T|null))|null  $found  one that is not among the subjects, by id: such rules may be {@see Lasting}
     */
    private function ask(string $kind, array $subjects, Closure $judging, ?string $medium = null, ?Closure $found = null): void
    {
        $judges = [];
        $finds = [];
        $lasting = [];
        foreach ($this->rules->judging($kind) as [$rule, $only]) {
            if ($medium !== null && $only !== null && $only !== $medium) {
                continue;
            }
            $key = $this->rules->finds($rule)->key;
            $judges[$key] = $judging($rule);
            $finds[$key] = $this->rules->finds($rule);
            if ($found !== null && $rule instanceof Lasting) {
                // Asked of all it found, wherever that is.
                $this->lasting[$key] = $this->had($key)->subjects;
                $others = array_keys(array_diff_key($this->lasting[$key], $subjects));
                $lasting[$key] = array_filter(array_map($found, array_combine($others, $others)));
            }
        }
        // Subject by subject, not rule by rule: what one rule looked up, the next finds at hand. Hundreds of thousands of times in
        // a large plan, and nearly always there is nothing.
        foreach ($subjects as $id => $subject) {
            foreach ($judges as $key => $judge) {
                $findings = $judge($subject, $this->look);
                if ($findings !== []) {
                    $this->hold($findings, $finds[$key], $id);
                }
            }
        }
        foreach ($lasting as $key => $others) {
            foreach ($others as $id => $subject) {
                $this->hold($judges[$key]($subject, $this->look), $finds[$key], $id);
            }
        }
    }

    /** @param  iterable<Finding>  $findings  about one subject */
    private function hold(iterable $findings, Finds $finds, string $id): void
    {
        foreach ($findings as $finding) {
            $this->found[$finds->key][$id][] = $finding->foundBy($finds);
        }
    }

    /**
     * @template T of Thing
     *
     * @param  class-string<T>  $class
     * @return array<string, T> by id
     */
    private function things(Subjects $subjects, string $class): array
    {
        $things = [];
        foreach ($subjects->of($class) as $thing) {
            $things[$thing->id()] = $thing;
        }

        return $things;
    }

    /**
     * @template T of object
     *
     * @param  array<string, T>  $subjects
     * @param  Closure(T): string  $of
     * @return array<string, array<string, T>>
     */
    private function byMedium(array $subjects, Closure $of): array
    {
        $byMedium = [];
        foreach ($subjects as $id => $subject) {
            $byMedium[$of($subject)][$id] = $subject;
        }

        return $byMedium;
    }
}
