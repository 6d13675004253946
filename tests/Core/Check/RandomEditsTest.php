<?php

declare(strict_types=1);

namespace Tests\Core\Check;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Build\Artefacts;
use Rundfunk\Build\CHeader;
use Rundfunk\Check\Finding;
use Rundfunk\Edit\Editor;
use Rundfunk\Format\PlanReader;
use Rundfunk\Format\PlanWriter;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\ThingKind;
use Tests\Core\CoreTestCase;
use Tests\Core\RandomEdits;

/** Whatever is done to a plan, what an edit is said to have changed is all that it has changed. */
final class RandomEditsTest extends CoreTestCase
{
    private const EDITS = 16;

    /** @return iterable<string, array{int, string, bool}> seed, plan, whether it stays tidy */
    public static function walks(): iterable
    {
        $seeds = array_map(intval(...), explode(',', getenv('SEEDS') ?: '9,11'));
        foreach ($seeds as $seed) {
            foreach ([['linden', true], ['linden', false], ['faulty', true], ['farms', true]] as [$plan, $tidy]) {
                yield "{$plan}, seed {$seed}".($tidy ? ', tidily' : '') => [$seed, $plan, $tidy];
            }
        }
    }

    #[DataProvider('walks')]
    public function test_findings_and_views_after_each_edit_are_those_of_a_whole_look(int $seed, string $name, bool $tidy): void
    {
        $plan = match ($name) {
            'linden' => self::linden(),
            'faulty' => self::faulty(),
            default => self::farms(),
        };
        $edits = new RandomEdits($seed, self::knowledge(), $tidy);
        $checker = self::checker();
        $findings = $checker->check($plan);
        $shown = self::allShown($plan);
        for ($done = 0; $done < self::EDITS;) {
            $edited = $edits->next($plan);
            if ($edited === null) {
                continue;
            }
            $done++;
            $what = json_encode($edited->touched, JSON_THROW_ON_ERROR)." as edit {$done}";
            $findings = $checker->recheck($edited, $findings);
            // Put together anew, so that nothing in it was taken over from the plan before.
            $fresh = $edited->plan->draft()->plan();
            self::assertSame(self::json($checker->check($fresh)->all()), self::json($findings->all()), $what);
            $shown = self::allShownAfter($edited, $shown);
            $whole = self::allShown($fresh);
            foreach ($whole as &$parts) {
                ksort($parts);
            }
            unset($parts);
            self::assertSame($whole, $shown, $what);
            $plan = $edited->plan;
        }
    }

    /** Walks come by few of the things that stand far from what they are judged by: here each goes once, and comes back. */
    public function test_findings_after_any_removal_and_after_it_is_undone_are_those_of_a_whole_look(): void
    {
        $plan = self::linden();
        $editor = new Editor(self::knowledge());
        $checker = self::checker();
        $before = $checker->check($plan);
        foreach ([ThingKind::Node, ThingKind::Supply, ThingKind::Module, ThingKind::Link, ThingKind::Endpoint, ThingKind::Control, ThingKind::Output, ThingKind::Route] as $kind) {
            foreach ($plan->all($kind) as $thing) {
                $gone = $editor->apply($plan, [Operation::remove($kind, $thing->id())]);
                $findings = $checker->recheck($gone, $before);
                self::assertSame(self::json($checker->check($gone->plan->draft()->plan())->all()), self::json($findings->all()), "without {$kind->value} {$thing->label()}");
                $back = $editor->apply($gone->plan, $gone->inverse);
                self::assertSame(self::json($before->all()), self::json($checker->recheck($back, $findings)->all()), "with {$kind->value} {$thing->label()} again");
            }
        }
    }

    #[DataProvider('walks')]
    public function test_every_fix_can_be_done_and_mends_what_it_says(int $seed, string $name, bool $tidy): void
    {
        $plan = $name === 'faulty' ? self::faulty() : self::linden();
        $edits = new RandomEdits($seed, self::knowledge(), $tidy);
        for ($done = 0; $done < self::EDITS; $done++) {
            $plan = $edits->next($plan)->plan ?? $plan;
        }
        $checker = self::checker();
        $findings = $checker->check($plan);
        foreach ($findings->all() as $finding) {
            foreach ($finding->fixes() as $fix) {
                $edited = (new Editor(self::knowledge()))->apply($plan, $fix->operations);
                $left = array_map(static fn (Finding $one): string => $one->id(), $checker->recheck($edited, $findings)->all());
                self::assertNotContains($finding->id(), $left, "{$finding->title}: {$fix->label}");
            }
        }
        self::assertNotSame([], $findings->all());
    }

    public function test_undoing_a_long_walk_step_by_step_leads_back_to_where_it_began(): void
    {
        $plan = self::linden();
        $edits = new RandomEdits(14, self::knowledge());
        $writer = new PlanWriter;
        $inverses = [];
        $passed = [$writer->write($plan)];
        while (count($inverses) < self::EDITS) {
            $edited = $edits->next($plan);
            if ($edited !== null) {
                $inverses[] = $edited->inverse;
                $plan = $edited->plan;
                $passed[] = $writer->write($plan);
            }
        }
        self::assertGreaterThan(self::EDITS / 2, count(array_unique($passed)));
        for ($step = self::EDITS - 1; $step >= 0; $step--) {
            $plan = (new Editor(self::knowledge()))->apply($plan, $inverses[$step])->plan;
            self::assertSame($passed[$step], $writer->write($plan), "back at {$step}");
        }
    }

    public function test_whatever_a_plan_holds_every_node_of_it_has_its_sheets(): void
    {
        foreach ([self::linden(), self::faulty()] as $plan) {
            $edits = new RandomEdits(16, self::knowledge());
            for ($done = 0; $done < self::EDITS; $done++) {
                $plan = $edits->next($plan)->plan ?? $plan;
            }
            foreach ($plan->nodes() as $node) {
                self::assertStringContainsString('#endif', (new CHeader(self::knowledge()))->write($plan, $node));
                foreach (Artefacts::of($plan, $node, self::knowledge()) as $artefact) {
                    self::assertNotSame('', $artefact->content, "{$node->name}: {$artefact->key}");
                }
            }
        }
    }

    public function test_a_plan_that_was_walked_through_is_written_and_read_back_the_same(): void
    {
        $plan = self::faulty();
        $edits = new RandomEdits(15, self::knowledge());
        for ($done = 0; $done < self::EDITS; $done++) {
            $plan = $edits->next($plan)->plan ?? $plan;
        }
        $text = (new PlanWriter)->write($plan);
        self::assertSame($text, (new PlanWriter)->write((new PlanReader(self::knowledge()))->read($text)));
    }

    private static function json(mixed $value): string
    {
        return json_encode($value, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE);
    }
}
