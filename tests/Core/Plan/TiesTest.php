<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Thing;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Plan\Tie;
use Rundfunk\Plan\Ties;
use Rundfunk\Shape\Bond;
use Rundfunk\Shape\ListType;
use Rundfunk\Shape\Problem;
use Rundfunk\Shape\Problems;
use Rundfunk\Shape\TextType;
use Tests\Core\CoreTestCase;
use Tests\Core\RandomEdits;

/** Who refers to whom is read off the shapes, and nothing is left out of that: a new kind that nobody wired in fails here. */
final class TiesTest extends CoreTestCase
{
    private const FIRST = '01ARZ3NDEKTSV4RRFFQ69G5FA1';

    private const SECOND = '01ARZ3NDEKTSV4RRFFQ69G5FA2';

    /** What stands on its own: all else is part of something, or joins things. An acceptance refers to a finding, which is no thing. */
    private const ON_THEIR_OWN = [ThingKind::Place, ThingKind::Circuit, ThingKind::Load, ThingKind::OwnBoard, ThingKind::OwnModule, ThingKind::Protocol, ThingKind::FixtureType, ThingKind::Node, ThingKind::Link, ThingKind::Acceptance];

    public function test_every_class_of_things_is_a_kind(): void
    {
        $classes = [];
        foreach (glob(dirname(__DIR__, 3).'/core/src/Plan/*.php') ?: [] as $file) {
            $class = 'Rundfunk\\Plan\\'.basename($file, '.php');
            if (is_subclass_of($class, Thing::class)) {
                $classes[] = $class;
            }
        }
        $kinds = array_map(static fn (ThingKind $kind): string => $kind->thing(), ThingKind::cases());
        sort($kinds);
        self::assertSame($classes, $kinds);
        foreach (ThingKind::cases() as $kind) {
            self::assertSame($kind, $kind->thing()::kind());
        }
    }

    public function test_every_kind_but_the_roots_hangs_on_something_and_only_on_kinds_before_its_own(): void
    {
        $before = [];
        foreach (ThingKind::cases() as $kind) {
            $before[] = $kind;
            $ties = Ties::of($kind);
            $bonds = array_filter($ties, static fn (Tie $tie): bool => $tie->bond !== Bond::Mentions && $tie->bond !== Bond::Uses);
            self::assertSame(in_array($kind, self::ON_THEIR_OWN, true), $bonds === [], "{$kind->value} hangs on nothing, or is no root any more");
            foreach ($ties as $tie) {
                self::assertContains($tie->to, $before, "{$kind->value}.{$tie->field}");
                self::assertContains($tie, Ties::to($tie->to));
                if ($tie->to === $kind) {
                    self::assertSame(Bond::Mentions, $tie->bond, "{$kind->value}.{$tie->field}: a circle of parts could not be taken apart");
                }
            }
            self::assertLessThanOrEqual(1, count(array_filter($ties, static fn (Tie $tie): bool => $tie->bond === Bond::PartOf)), "{$kind->value} is part of two things");
        }
    }

    public function test_every_field_that_holds_ids_says_what_it_refers_to(): void
    {
        foreach (ThingKind::cases() as $kind) {
            foreach ($kind->shape()->fields as $field) {
                $type = $field->type instanceof ListType ? $field->type->of : $field->type;
                $holdsIds = $type instanceof TextType && $field->name !== 'id' && in_array($type->wants(), [TextType::ulid()->wants(), TextType::classKey()->wants()], true);
                self::assertSame($holdsIds, $field->refers !== null, "{$kind->value}.{$field->name}");
            }
        }
    }

    public function test_the_demos_hold_every_kind_so_that_all_that_walks_over_them_meets_each(): void
    {
        $plans = [self::linden(), self::faulty()];
        foreach (ThingKind::cases() as $kind) {
            if ($kind === ThingKind::Acceptance) {
                // The demos accept nothing: what they show is to be seen.
                continue;
            }
            self::assertNotSame([], array_merge(...array_map(static fn (Plan $plan): array => $plan->all($kind), $plans)), "no {$kind->value} in either demo");
        }
    }

    public function test_lists_records_and_references_to_the_same_kind_are_ties_too(): void
    {
        $read = array_map(static fn (Tie $tie): array => [$tie->field, $tie->inRecord, $tie->to, $tie->bond], self::tour());
        self::assertSame([
            ['nodeIds', null, ThingKind::Node, Bond::Mentions],
            ['steps', 'outputId', ThingKind::Output, Bond::Joins],
            ['steps', 'controlId', ThingKind::Control, Bond::Mentions],
            ['afterId', null, ThingKind::Route, Bond::Mentions],
        ], $read);
    }

    public function test_a_thing_goes_on_without_what_it_mentions_and_loses_the_records_that_stood_on_what_went(): void
    {
        [$nodes, $outputs, $controls, $after] = self::tour();
        $steps = [
            ['outputId' => self::FIRST, 'controlId' => self::SECOND, 'seconds' => 5],
            ['outputId' => self::SECOND, 'controlId' => null, 'seconds' => 2],
        ];
        $tour = new Tour('01ARZ3NDEKTSV4RRFFQ69G5FA0', [self::FIRST, self::SECOND], $steps, self::FIRST);
        self::assertSame([self::FIRST, self::SECOND], $nodes->ids($tour));
        self::assertSame([self::FIRST, self::SECOND], $outputs->ids($tour));
        self::assertSame([self::SECOND], $controls->ids($tour), 'a step that waits for nothing refers to nothing');
        self::assertSame([self::FIRST], $after->ids($tour));

        self::assertSame([...$tour->values(), 'nodeIds' => [self::SECOND]], $nodes->without($tour, self::FIRST)?->values());
        self::assertSame([...$tour->values(), 'steps' => [$steps[1]]], $outputs->without($tour, self::FIRST)?->values());
        self::assertSame([...$tour->values(), 'steps' => [[...$steps[0], 'controlId' => null], $steps[1]]], $controls->without($tour, self::SECOND)?->values());
        self::assertSame([...$tour->values(), 'afterId' => null], $after->without($tour, self::FIRST)?->values());
    }

    public function test_records_are_read_field_by_field_and_every_fault_is_named_at_its_place(): void
    {
        $problems = new Problems;
        $read = Tour::shape()->accept(['id' => self::FIRST, 'steps' => [['outputId' => self::SECOND]]], '/tours/0', $problems);
        self::assertSame(0, $problems->count());
        self::assertSame([['outputId' => self::SECOND, 'controlId' => null, 'seconds' => 1]], $read['steps']);

        Tour::shape()->accept(['id' => self::FIRST, 'nodeIds' => ['x'], 'steps' => [['seconds' => 61, 'colour' => 'red'], 'wait']], '/tours/0', $problems);
        self::assertSame(
            ['/tours/0/nodeIds/0', '/tours/0/steps/0/colour', '/tours/0/steps/0/outputId', '/tours/0/steps/0/seconds', '/tours/0/steps/1'],
            array_map(static fn (Problem $problem): string => $problem->place, $problems->all()),
        );
    }

    /** @return list<Tie> */
    private static function tour(): array
    {
        return Ties::read(Tour::kind(), Tour::shape()->fields);
    }

    /** A plan takes over what was listed of the one before the edit: it must be what a plan put together anew lists. */
    public function test_who_refers_to_what_is_the_same_after_an_edit_as_in_a_plan_put_together_anew(): void
    {
        $plan = self::linden();
        $edits = new RandomEdits(3, self::knowledge());
        $referring = static function (Plan $plan, Plan $of): array {
            $all = [];
            foreach (ThingKind::cases() as $kind) {
                foreach (Ties::to($kind) as $tie) {
                    foreach (array_keys($of->all($kind)) as $id) {
                        $all["{$tie->from->value} {$tie->field} {$id}"] = array_map(static fn (Thing $thing): array => $thing->values(), $plan->referring($tie, $id));
                    }
                }
                $all[$kind->value] = array_map(static fn (Thing $thing): string => $thing->id(), $plan->of($kind->thing()));
            }

            return $all;
        };
        $referring($plan, $plan);
        for ($done = 0; $done < 60;) {
            $edited = $edits->next($plan);
            if ($edited !== null) {
                $done++;
                $plan = $edited->plan;
                self::assertSame($referring($plan->draft()->plan(), $edited->before), $referring($plan, $edited->before), json_encode($edited->touched, JSON_THROW_ON_ERROR));
            }
        }
    }
}
