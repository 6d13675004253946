<?php

declare(strict_types=1);

namespace Tests\Core\Build;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Build\CHeader;
use Rundfunk\Build\Fingerprint;
use Rundfunk\Build\Flashed;
use Rundfunk\Check\Finding;
use Rundfunk\Edit\Editor;
use Rundfunk\Format\PlanReader;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;
use Tests\Core\CoreTestCase;
use Tests\Core\RandomEdits;

/** What a node was flashed with, and who must be flashed again when something changes. */
final class FlashedTest extends CoreTestCase
{
    /** As the build of commit 8d71dc7 said it: a later build knows more, and nobody has to flash anything again for that. */
    public function test_an_upgrade_asks_nobody_to_flash_again(): void
    {
        $kept = json_decode((string) gzdecode((string) file_get_contents(dirname(__DIR__, 2).'/Golden/linden-hollow.json.gz')), true);
        self::assertIsArray($kept);
        self::assertIsString($kept['plan']);
        $plan = (new PlanReader(self::knowledge()))->read($kept['plan']);
        $before = ['Pocket A' => 'c9aa9241', 'Pocket B' => '964de7b0', 'Bench' => '862e5903', 'Shed' => 'dc65854e', 'Hen house' => '3a13a6d2', 'Greenhouse' => 'be5c5b48', 'Gate post' => '6904f047', 'Stick box' => '150a4f64'];
        $now = [];
        foreach ($plan->nodes() as $node) {
            $now += isset($before[$node->name]) ? [$node->name => Fingerprint::ofNode($plan, $node, self::knowledge()->of($plan))] : [];
        }
        self::assertSame($before, $now);
    }

    public function test_every_end_of_a_link_bears_the_same_fingerprint(): void
    {
        $plan = self::linden();
        $seen = [];
        foreach ($plan->nodes() as $node) {
            preg_match_all('/^#define (\w+_FINGERPRINT) (0x[0-9A-F]{8}UL)/m', (new CHeader(self::knowledge()))->write($plan, $node), $matches, PREG_SET_ORDER);
            foreach ($node->kind->isBought() ? [] : $matches as [, $name, $value]) {
                $seen[$name][] = $value;
            }
        }
        self::assertCount(5, $seen['HANDSETS_FINGERPRINT']);
        foreach ($seen as $name => $values) {
            self::assertCount(1, array_unique($values), $name);
        }
        self::assertCount(count($seen), array_unique(array_merge(...array_values($seen))));
    }

    /** @return iterable<string, array{callable(Plan): Operation, list<string>}> an edit, and who must be flashed again */
    public static function edits(): iterable
    {
        $link = static fn (Plan $plan, string $name): Link => array_values(array_filter($plan->links(), static fn (Link $one): bool => $one->name === $name))[0];
        $handsets = ['Pocket A', 'Pocket B', 'Bench', 'Shed', 'Greenhouse'];
        yield 'a channel: all on that link' => [static fn (Plan $plan): Operation => Operation::change(ThingKind::Link, $link($plan, 'Handsets')->id, ['settings' => ['channel' => 3]]), $handsets];
        yield 'a code: all on that link, for they share its table' => [static function (Plan $plan) use ($link): Operation {
            return Operation::change(ThingKind::Hop, $plan->hopsOver($link($plan, 'Yard'))[0]->id, ['code' => 99]);
        }, ['Shed', 'Hen house']];
        yield 'a debounce: that node alone' => [static fn (Plan $plan): Operation => Operation::change(ThingKind::Control, $plan->controlsOf(self::named($plan, 'Pocket B'))[0]->id, ['debounceMs' => 50]), ['Pocket B']];
        yield 'a name: nobody' => [static fn (Plan $plan): Operation => Operation::change(ThingKind::Node, self::named($plan, 'Bench')->id, ['name' => 'Table']), []];
        yield 'a note: nobody' => [static fn (Plan $plan): Operation => Operation::change(ThingKind::Node, self::named($plan, 'Bench')->id, ['note' => 'By the window.']), []];
    }

    /**
     * @param  callable(Plan): Operation  $edit
     * @param  list<string>  $again
     */
    #[DataProvider('edits')]
    public function test_those_that_an_edit_touches_must_be_flashed_again(callable $edit, array $again): void
    {
        $plan = self::flashed();
        self::assertSame([], self::again($plan));
        $edited = (new Editor(self::knowledge()))->apply($plan, [$edit($plan)])->plan;
        self::assertSame($again, self::again($edited));
        while (($found = array_values(array_filter(self::checker()->check($edited)->all(), static fn (Finding $finding): bool => in_array($finding->rule(), ['flash-again', 'link-flashed-otherwise'], true)))) !== []) {
            $edited = (new Editor(self::knowledge()))->apply($edited, $found[0]->fixes()[0]->operations)->plan;
        }
        self::assertSame([], self::again($edited));
    }

    public function test_after_each_of_many_edits_those_are_found_that_a_whole_check_finds(): void
    {
        foreach ([3, 4] as $seed) {
            $plan = self::flashed();
            $edits = new RandomEdits($seed, self::knowledge());
            $checker = self::checker();
            $findings = $checker->check($plan);
            for ($done = 0; $done < 60; $done++) {
                $edited = $edits->next($plan);
                if ($edited === null) {
                    continue;
                }
                $findings = $checker->recheck($edited, $findings);
                $plan = $edited->plan;
                self::assertEquals(self::flashing($checker->check($plan)->all()), self::flashing($findings->all()), "seed {$seed}, edit {$done}");
            }
        }
    }

    /**
     * @param  list<Finding>  $findings
     * @return array<string, mixed>
     */
    private static function flashing(array $findings): array
    {
        $flashing = [];
        foreach ($findings as $finding) {
            if (in_array($finding->rule(), ['flash-again', 'link-flashed-otherwise'], true)) {
                $flashing[$finding->id()] = json_decode((string) json_encode($finding), true);
            }
        }
        ksort($flashing);

        return $flashing;
    }

    /** A later build brings new settings, off at first, and new tables, empty at first: boards that were flashed before must not be flashed again for that. */
    public function test_what_is_off_or_empty_is_not_in_a_fingerprint(): void
    {
        $plan = self::linden();
        $link = array_values(array_filter($plan->links(), static fn (Link $one): bool => $one->name === 'Handsets'))[0];
        self::assertFalse($link->settings['proven']);
        $before = new Link($link->id, $link->name, $link->medium, array_diff_key($link->settings, ['proven' => true]));
        self::assertSame(Fingerprint::ofLink($plan, $before, self::knowledge()), Fingerprint::ofLink($plan, $link, self::knowledge()));
        $now = new Link($link->id, $link->name, $link->medium, [...$link->settings, 'proven' => true]);
        self::assertNotSame(Fingerprint::ofLink($plan, $now, self::knowledge()), Fingerprint::ofLink($plan, $link, self::knowledge()));
        self::assertSame(['a' => 1, 'list' => [0, ['b' => 2]]], Fingerprint::bare(['form' => 7, 'a' => 1, 'none' => null, 'off' => false, 'nought' => 0, 'empty' => [], 'list' => [0, ['b' => 2, 'c' => false]]]));
    }

    public function test_a_fingerprint_is_eight_digits_and_follows_from_the_plan_alone(): void
    {
        $plan = self::linden();
        self::assertMatchesRegularExpression('/^[0-9a-f]{8}$/D', Fingerprint::ofNode($plan, self::named($plan, 'Shed'), self::knowledge()));
        self::assertSame(Flashed::now($plan, self::named($plan, 'Shed'), self::knowledge()), Flashed::now($plan, self::named($plan, 'Shed'), self::knowledge()));
        self::assertSame([], Flashed::changed($plan, self::named($plan, 'Shed'), self::knowledge()), 'what was never flashed cannot have changed since');
    }

    private static function flashed(): Plan
    {
        $plan = self::linden();
        $draft = $plan->draft();
        foreach ($plan->nodes() as $node) {
            if (! $node->kind->isBought()) {
                $draft->change($node, Flashed::now($plan, $node, self::knowledge()));
            }
        }

        return $draft->plan();
    }

    /** @return list<string> */
    private static function again(Plan $plan): array
    {
        return array_values(array_map(static fn (Node $node): string => $node->name, array_filter($plan->nodes(), static fn (Node $node): bool => Flashed::changed($plan, $node, self::knowledge()) !== [])));
    }

    private static function named(Plan $plan, string $name): Node
    {
        foreach ($plan->nodes() as $node) {
            if ($node->name === $name) {
                return $node;
            }
        }
        self::fail("no {$name}");
    }
}
