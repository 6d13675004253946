<?php

declare(strict_types=1);

namespace Tests\Core\Check;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Findings;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Found;
use Rundfunk\Check\WorkStep;
use Rundfunk\Edit\Editor;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;
use Rundfunk\Plan\ThingKind;
use Tests\Core\CoreTestCase;

/** Findings as they are kept and told. */
final class FindingsTest extends CoreTestCase
{
    private static function checked(Plan $plan): Findings
    {
        return self::checker()->check($plan);
    }

    public function test_the_gravest_come_first(): void
    {
        $ranks = array_map(static fn (Finding $finding): int => $finding->severity->rank(), self::checked(self::faulty())->all());
        $sorted = $ranks;
        rsort($sorted);
        self::assertSame($sorted, $ranks);
    }

    public function test_a_finding_keeps_its_id_when_something_else_changes(): void
    {
        $before = array_map(static fn (Finding $finding): string => $finding->id(), self::checked(self::faulty())->all());
        $plan = self::faulty();
        $place = $plan->places()[0];
        $after = (new Editor(self::knowledge()))->apply($plan, [Operation::change(ThingKind::Place, $place->id, ['name' => 'Elsewhere'])])->plan;
        self::assertSame($before, array_map(static fn (Finding $finding): string => $finding->id(), self::checked($after)->all()));
    }

    public function test_what_two_subjects_come_upon_is_listed_once_and_as_grave_as_either_says(): void
    {
        $node = self::linden()->nodes()[0];
        $finds = new Finds('thing', WorkStep::Nodes);
        $mild = Finding::advice('T', Spot::of($node, 'A'), 'D', 'R', about: ['x'])->foundBy($finds);
        $grave = Finding::fault('T', Spot::of($node, 'B'), 'D', 'R', about: ['x'])->foundBy($finds);
        self::assertSame([$grave], (new Findings(['thing' => Found::of(['one' => [$mild], 'other' => [$grave]])]))->all());
        self::assertSame([$grave], (new Findings(['thing' => Found::of(['one' => [$grave], 'other' => [$mild]])]))->all());
    }

    public function test_an_id_does_not_depend_on_the_order_of_what_it_is_about(): void
    {
        $node = self::linden()->nodes()[0];
        $finding = static fn (string ...$about): Finding => Finding::advice('T', Spot::of($node, 'N'), 'D', 'R', about: array_values($about))->foundBy(new Finds('thing', WorkStep::Nodes));
        self::assertSame($finding('a', 'b')->id(), $finding('b', 'a')->id());
        self::assertNotSame($finding('a', 'b')->id(), $finding('a', 'c')->id());
    }

    public function test_every_finding_is_about_something_in_the_plan(): void
    {
        $plan = self::faulty();
        foreach (self::checked($plan)->all() as $finding) {
            $kind = ThingKind::from($finding->at->kind);
            $thing = $plan->find($kind, $finding->at->id);
            self::assertNotNull($thing, $finding->title);
        }
    }

    public function test_no_finding_or_proposal_names_a_thing_by_its_id(): void
    {
        $plan = self::faulty();
        $words = [];
        foreach (self::checked($plan)->all() as $finding) {
            $words = [...$words, $finding->title, $finding->detail, $finding->remedy, $finding->at->where, $finding->fix->label ?? ''];
        }
        foreach (self::assigner()->assign($plan)->proposals as $proposal) {
            $words = [...$words, $proposal->what, $proposal->after, $proposal->reason];
        }
        self::assertSame([], preg_grep('/[0-7][0-9A-HJKMNP-TV-Z]{25}/', $words));
    }
}
