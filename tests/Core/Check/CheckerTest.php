<?php

declare(strict_types=1);

namespace Tests\Core\Check;

use Closure;
use LogicException;
use Rundfunk\Check\Checker;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\Rulebook;
use Rundfunk\Check\WorkStep;
use Rundfunk\Edit\Editor;
use Rundfunk\Plan\Acceptance;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\OwnBoard;
use Rundfunk\Plan\OwnModule;
use Rundfunk\Plan\ThingKind;
use Tests\Core\CoreTestCase;

final class CheckerTest extends CoreTestCase
{
    public function test_faulty_on_purpose_has_an_example_of_every_rule(): void
    {
        foreach (self::checker()->check(self::faulty())->byRule() as $rule => $findings) {
            self::assertNotSame([], $findings, $rule);
        }
    }

    public function test_a_look_at_a_plan_leaves_the_engines_search_for_circles_as_it_was_even_where_a_rule_fails(): void
    {
        $asked = null;
        $rule = new #[Finds('searches', WorkStep::Nodes)] class(static function () use (&$asked): void {
            $asked = gc_enabled();
            throw new LogicException('as a rule never should');
        }) implements PlanRule
        {

            public function __construct(private readonly Closure $look)
            {
            }

            public function check(Look $look): iterable
            {
                ($this->look)();

                return [];
            }
        };
        foreach ([true, false] as $searches) {
            $searches ? gc_enable() : gc_disable();
            try {
                (new Checker(self::knowledge(), new Rulebook([$rule])))->check(self::linden());
                self::fail('the rule fails');
            } catch (LogicException $failure) {
                self::assertSame('as a rule never should', $failure->getMessage());
                self::assertFalse($asked);
                self::assertSame($searches, gc_enabled());
            } finally {
                gc_enable();
            }
        }
    }

    public function test_every_finding_says_where_why_and_what_to_do_and_has_an_id_of_its_own(): void
    {
        $ids = [];
        foreach (self::checker()->check(self::faulty())->all() as $finding) {
            self::assertNotSame('', $finding->at->where);
            self::assertGreaterThan(20, strlen($finding->detail), $finding->title);
            self::assertGreaterThan(5, strlen($finding->remedy), $finding->title);
            self::assertStringEndsNotWith('.', $finding->title);
            self::assertArrayNotHasKey($finding->id(), $ids, $finding->title);
            $ids[$finding->id()] = true;
        }
    }

    public function test_every_fix_applies_and_takes_its_finding_away(): void
    {
        $checker = self::checker();
        $fixes = 0;
        $before = $checker->check(self::faulty());
        foreach ($before->all() as $finding) {
            if ($finding->fix === null) {
                continue;
            }
            $fixed = (new Editor(self::knowledge()))->apply(self::faulty(), $finding->fix->operations);
            $left = array_map(static fn (Finding $other): string => $other->id(), $checker->recheck($fixed, $before)->all());
            self::assertNotContains($finding->id(), $left, "{$finding->title}: {$finding->fix->label}");
            $fixes++;
        }
        self::assertGreaterThan(30, $fixes);
    }

    /** The shortcut after an edit must never differ from a full check. */
    public function test_a_recheck_gives_the_same_list_as_a_full_check(): void
    {
        $checker = self::checker();
        $editor = new Editor(self::knowledge());
        foreach ([self::linden(), self::faulty(), self::farms()] as $plan) {
            $before = $checker->check($plan);
            foreach (ThingKind::cases() as $kind) {
                foreach (array_slice($plan->all($kind), 0, 2) as $thing) {
                    // What others are of stays as long as they do.
                    $edits = $thing instanceof OwnBoard || $thing instanceof OwnModule ? [] : [Operation::remove($kind, $thing->id())];
                    if (isset($thing->values()['name'])) {
                        $edits[] = Operation::change($kind, $thing->id(), ['name' => 'Renamed']);
                    }
                    foreach ($edits as $operation) {
                        $edited = $editor->apply($plan, [$operation]);
                        self::assertEquals(
                            json_encode($checker->check($edited->plan)->all()),
                            json_encode($checker->recheck($edited, $before)->all()),
                            "{$operation->op->value} {$kind->value}",
                        );
                    }
                }
            }
            $edited = $editor->apply($plan, [Operation::changeProperties($plan->properties->id, ['busyWifi' => [13], 'region' => 'us'])]);
            self::assertEquals($checker->check($edited->plan)->byRule(), $checker->recheck($edited, $before)->byRule());
        }
    }

    public function test_an_accepted_finding_stays_listed_and_no_longer_counts(): void
    {
        $plan = self::linden();
        $findings = self::checker()->check($plan);
        $finding = $findings->all()[0];
        $accepted = (new Editor(self::knowledge()))->apply($plan, [Operation::add(new Acceptance('01ARZ3NDEKTSV4RRFFQ69G5FAV', $finding->id(), 'I have a licence'))])->plan;
        $after = self::checker()->check($accepted);
        self::assertEquals($findings->all(), $after->all());
        self::assertCount(count($findings->all()) - 1, $after->open($accepted));
    }
}
