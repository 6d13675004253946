<?php

declare(strict_types=1);

namespace Tests\Core\Check;

use Rundfunk\Check\Checker;
use Rundfunk\Check\Finding;
use Rundfunk\Edit\Editor;
use Rundfunk\Edit\Operation;
use Rundfunk\Plan\Acceptance;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Rundfunk\Plan\SupplyFrom;
use Rundfunk\Plan\ThingKind;
use Tests\Core\CoreTestCase;

final class CheckerTest extends CoreTestCase
{
    public function test_faulty_on_purpose_has_an_example_of_every_rule(): void
    {
        foreach ((new Checker(self::knowledge()))->check(self::faulty())->byRule() as $rule => $findings) {
            self::assertNotSame([], $findings, $rule);
        }
    }

    public function test_every_finding_says_where_why_and_what_to_do_and_has_an_id_of_its_own(): void
    {
        $ids = [];
        foreach ((new Checker(self::knowledge()))->check(self::faulty())->all() as $finding) {
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
        $checker = new Checker(self::knowledge());
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
        $checker = new Checker(self::knowledge());
        $editor = new Editor(self::knowledge());
        foreach ([self::linden(), self::faulty(), self::valley()] as $plan) {
            $before = $checker->check($plan);
            foreach (ThingKind::cases() as $kind) {
                foreach (array_slice($plan->all($kind), 0, 4) as $thing) {
                    $edits = [Operation::remove($kind, $thing->id())];
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
            $edited = $editor->apply($plan, [Operation::changeParticulars($plan->particulars->id, ['busyWifi' => [13], 'region' => 'us'])]);
            self::assertEquals($checker->check($edited->plan), $checker->recheck($edited, $before));
        }
    }

    public function test_an_accepted_finding_stays_listed_and_no_longer_counts(): void
    {
        $plan = self::linden();
        $findings = (new Checker(self::knowledge()))->check($plan);
        $finding = $findings->all()[0];
        $accepted = (new Editor(self::knowledge()))->apply($plan, [Operation::add(new Acceptance('01ARZ3NDEKTSV4RRFFQ69G5FAV', $finding->id(), 'I have a licence'))])->plan;
        $after = (new Checker(self::knowledge()))->check($accepted);
        self::assertEquals($findings->all(), $after->all());
        self::assertCount(count($findings->all()) - 1, $after->open($accepted));
    }

    /** Ten farms in a row, each with a radio of its own and a wire to the next: an edit at one end is not felt at the other. */
    private static function valley(): Plan
    {
        $sketch = self::sketch();
        foreach (range(1, 10) as $farm) {
            $sketch
                ->node("yard{$farm}", "Yard {$farm}", NodeKind::Controller, null, 'wifi-3v3-26io')
                ->module("radio{$farm}", "yard{$farm}", 'packet-radio-plain', 'Radio', SupplyFrom::Board3V3)
                ->module("relays{$farm}", "yard{$farm}", 'relay-bank-2-high', 'Relays', SupplyFrom::Own)
                ->output("lamp{$farm}", "yard{$farm}", "Lamp {$farm}")
                ->output("spare{$farm}", "yard{$farm}", "Spare {$farm}")
                ->node("hand{$farm}", "Hand {$farm}", NodeKind::Handset, null, '8bit-5v-20io')
                ->module("handradio{$farm}", "hand{$farm}", 'packet-radio-plain', 'Radio', SupplyFrom::Board3V3)
                ->module("keys{$farm}", "hand{$farm}", 'button-pad-4', 'Keys')
                ->control("key{$farm}", "hand{$farm}", 'Key')
                ->control("turn{$farm}", "hand{$farm}", 'Turn', ControlKind::Switch)
                ->link("air{$farm}", "Air {$farm}", 'packet-radio')
                ->join("air{$farm}", "hand{$farm}", Role::Sends, "handradio{$farm}")
                ->join("air{$farm}", "yard{$farm}", Role::Receives, "radio{$farm}")
                ->route("key{$farm}", Action::Toggle, "lamp{$farm}")
                // A switch cannot toggle: something to find at every farm.
                ->route("turn{$farm}", Action::Toggle, "lamp{$farm}");
            if ($farm > 1) {
                $sketch
                    ->link("wire{$farm}", "Wire {$farm}", 'ip')
                    ->join("wire{$farm}", 'yard'.($farm - 1), Role::Both)
                    ->join("wire{$farm}", "yard{$farm}", Role::Both)
                    ->route('key'.($farm - 1), Action::Off, "lamp{$farm}");
            }
        }

        return $sketch->assigned();
    }
}
