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

    public function __construct(private readonly Look $look, private readonly Rulebook $rules)
    {
    }

    public function of(Subjects $subjects, Findings $before): Findings
    {
        foreach ($this->rules->keys() as $key) {
            $this->found[$key] = $before->bySubject[$key] ?? [];
            if ($subjects->gone !== []) {
                $this->found[$key] = array_diff_key($this->found[$key], $subjects->gone);
            }
        }
        $look = $this->look;
        $this->ask(NodeRule::class, Node::class, $subjects->of(Node::class), static fn (NodeRule $rule, Node $node): iterable => $rule->check($node, $look));
        $this->ask(SupplyRule::class, Supply::class, $subjects->of(Supply::class), static fn (SupplyRule $rule, Supply $supply): iterable => $rule->check($supply, $look));
        $this->ask(ModuleRule::class, Module::class, $subjects->of(Module::class), static fn (ModuleRule $rule, Module $module): iterable => $rule->check($module, $look));
        $this->ask(ControlRule::class, Control::class, $subjects->of(Control::class), static fn (ControlRule $rule, Control $control): iterable => $rule->check($control, $look));
        $this->ask(OutputRule::class, Output::class, $subjects->of(Output::class), static fn (OutputRule $rule, Output $output): iterable => $rule->check($output, $look));
        $this->ask(RouteRule::class, Route::class, $subjects->of(Route::class), static fn (RouteRule $rule, Route $route): iterable => $rule->check($route, $look));
        $this->ask(WireRule::class, PinUse::class, $subjects->of(PinUse::class), static fn (WireRule $rule, PinUse $use): iterable => ($wire = $look->wire($use)) === null ? [] : $rule->check($wire, $look));
        foreach ($this->byMedium($subjects->of(Link::class), static fn (Link $link): string => $link->medium) as $medium => $links) {
            $this->ask(LinkRule::class, Link::class, $links, static fn (LinkRule $rule, Link $link): iterable => $rule->check($link, $look), $medium);
        }
        $ends = $this->byMedium($subjects->of(Endpoint::class), static fn (Endpoint $end): string => $look->plan->link($end->linkId)->medium);
        foreach ($ends as $medium => $endpoints) {
            $this->ask(EndRule::class, Endpoint::class, $endpoints, static fn (EndRule $rule, Endpoint $endpoint): iterable => $rule->check($look->end($endpoint), $look), $medium);
        }
        $hops = $this->byMedium($subjects->of(Hop::class), static fn (Hop $hop): string => $look->plan->link($hop->linkId)->medium);
        foreach ($hops as $medium => $those) {
            $this->ask(HopRule::class, Hop::class, $those, static fn (HopRule $rule, Hop $hop): iterable => ($leg = $look->leg($hop)) === null ? [] : $rule->check($leg, $look), $medium);
        }
        foreach ($this->rules->judging(PlanRule::class) as [$rule]) {
            $this->keep($this->rules->finds($rule), $look->plan->properties->id, $rule->check($look));
        }

        return new Findings($this->found);
    }

    /**
     * @template R of Rule
     * @template T of Thing
     *
     * @param  class-string<R>  $kind
     * @param  class-string<T>  $class
     * @param  list<T>  $subjects
     * @param  Closure(R, T): iterable<Finding>  $judge
     * @param  string|null  $medium  of the subjects, where they have one
     */
    private function ask(string $kind, string $class, array $subjects, Closure $judge, ?string $medium = null): void
    {
        foreach ($this->rules->judging($kind) as [$rule, $only]) {
            if ($medium !== null && $only !== null && $only !== $medium) {
                continue;
            }
            $finds = $this->rules->finds($rule);
            foreach ($rule instanceof Lasting ? $this->andThoseFound($finds, $class, $subjects) : $subjects as $subject) {
                $this->keep($finds, $subject->id(), $judge($rule, $subject));
            }
        }
    }

    /**
     * @template T of Thing
     *
     * @param  class-string<T>  $class
     * @param  list<T>  $subjects
     * @return array<string, T>
     */
    private function andThoseFound(Finds $finds, string $class, array $subjects): array
    {
        $all = [];
        foreach ($subjects as $subject) {
            $all[$subject->id()] = $subject;
        }
        foreach (array_keys($this->found[$finds->key]) as $id) {
            $thing = $this->look->plan->find($class::kind(), $id);
            if ($thing instanceof $class) {
                $all[$thing->id()] = $thing;
            }
        }

        return $all;
    }

    /** @param  iterable<Finding>  $findings */
    private function keep(Finds $finds, string $subject, iterable $findings): void
    {
        if (isset($this->found[$finds->key][$subject])) {
            unset($this->found[$finds->key][$subject]);
        }
        if ($findings === []) {
            return;
        }
        foreach ($findings as $finding) {
            $this->found[$finds->key][$subject][] = $finding->foundBy($finds);
        }
    }

    /**
     * @template T of Thing
     *
     * @param  list<T>  $things
     * @param  Closure(T): string  $of
     * @return array<string, list<T>>
     */
    private function byMedium(array $things, Closure $of): array
    {
        $byMedium = [];
        foreach ($things as $thing) {
            $byMedium[$of($thing)][] = $thing;
        }

        return $byMedium;
    }
}
