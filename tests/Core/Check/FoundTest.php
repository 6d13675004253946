<?php

declare(strict_types=1);

namespace Tests\Core\Check;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Findings;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Found;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Spot;
use Tests\Core\CoreTestCase;

final class FoundTest extends CoreTestCase
{
    public function test_what_was_kept_says_the_same(): void
    {
        foreach (self::checker()->check(self::faulty())->found as $rule => $found) {
            $kept = Found::from($found->packed(serialize(...)), self::unpacked(...));
            self::assertEquals($found->listed(), $kept->listed(), $rule);
            self::assertSame($found->ranks(), $kept->ranks(), $rule);
            self::assertSame($found->subjects, $kept->subjects, $rule);
            self::assertEquals($found->packed(serialize(...)), $kept->packed(serialize(...)), $rule);
        }
    }

    public function test_what_was_kept_is_not_unpacked_for_what_was_not_asked_about_anew(): void
    {
        $kept = self::neverUnpacked(Found::of(['one' => [self::finding('a')], 'two' => [self::finding('b')]]));
        self::assertSame($kept, $kept->but(['three' => true], []));
        self::assertFalse($kept->but(['three' => true], [])->saysOtherThan($kept));
        $findings = new Findings(['thing' => $kept, 'other' => Found::of([])]);
        self::assertSame(array_keys($kept->ranks()), $findings->ids());
        self::assertSame([], $findings->among(['other:x' => true]));
        self::assertSame(['put' => [], 'gone' => [], 'order' => $findings->ids()], $findings->since($findings));
    }

    public function test_what_was_asked_about_anew_says_what_it_says_now(): void
    {
        $found = Found::of(['one' => [self::finding('a')], 'two' => [self::finding('b')]]);
        $now = $found->but(['one' => true, 'three' => true], ['three' => [self::finding('c')]]);
        self::assertSame(['two', 'three'], array_keys($now->subjects));
        self::assertTrue($now->saysOtherThan($found));
        $since = (new Findings(['thing' => $now]))->since(new Findings(['thing' => $found]));
        self::assertEquals([self::finding('c')], $since['put']);
        self::assertSame([self::finding('a')->id()], $since['gone']);
        self::assertSame([self::finding('b')->id(), self::finding('c')->id()], $since['order']);
    }

    public function test_nothing_says_nothing_else_than_nothing(): void
    {
        self::assertFalse(Found::of([])->saysOtherThan(Found::of([])));
        self::assertTrue(Found::of([])->saysOtherThan(Found::of(['one' => [self::finding('a')]])));
        self::assertSame([], Found::of([])->packed(serialize(...)));
        self::assertSame([], Found::from([], self::unpacked(...))->listed());
    }

    public function test_some_are_picked_out_by_id(): void
    {
        $a = self::finding('a');
        $findings = new Findings(['thing' => Found::of(['one' => [$a, self::finding('b')]])]);
        self::assertSame([$a->id() => $a], $findings->among([$a->id() => true, 'thing:none' => true]));
    }

    private static function finding(string $about): Finding
    {
        return Finding::fault("T {$about}", Spot::of(self::linden()->nodes()[0], 'Lamp'), 'D', 'R', about: [$about])->foundBy(new Finds('thing', WorkStep::Nodes));
    }

    private static function neverUnpacked(Found $found): Found
    {
        return Found::from($found->packed(serialize(...)), static fn (string $packed): array => self::fail('Nobody asked for its words.'));
    }

    /** @return array<mixed> */
    private static function unpacked(string $packed): array
    {
        $array = unserialize($packed);
        self::assertIsArray($array);

        return $array;
    }
}
