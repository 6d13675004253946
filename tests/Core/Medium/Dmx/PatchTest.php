<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Dmx;

use Rundfunk\Medium\Dmx\Patch;
use Rundfunk\Medium\Dmx\Universe;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Role;
use Rundfunk\Plan\ThingKind;
use Tests\Core\CoreTestCase;

/** Who gets which address: what is sound stays, and as much of it as can; blocks stand together; what is pinned is left alone. */
final class PatchTest extends CoreTestCase
{
    /**
     * @param  list<array{slots: int, start?: int|null, pinned?: bool, together?: string}>  $lamps
     * @return array{Universe, list<int|null>} and where each stands when it is patched
     */
    private static function patched(array $lamps): array
    {
        $sketch = self::sketch()->link('l', 'Lamps', 'dmx');
        foreach ($lamps as $at => $lamp) {
            $sketch->fixtureType("t{$at}", "Type {$at}", ['modes' => [['name' => 'm', 'slots' => [['name' => 'Last', 'at' => $lamp['slots']]]]]])
                ->node("f{$at}", "Lamp {$at}", NodeKind::Fixture, null, null, ['fixtureTypeId' => $sketch->id("t{$at}")])
                ->join('l', "f{$at}", Role::Receives, null, ['start' => $lamp['start'] ?? null, 'together' => $lamp['together'] ?? ''])
                ->change(ThingKind::Endpoint, "l f{$at}", ['pinned' => ($lamp['pinned'] ?? false) ? ['start'] : []]);
        }
        $plan = $sketch->plan();
        $universe = Universe::of($plan, $plan->links()[0]);
        $changed = Patch::of($universe);

        return [$universe, array_map(static fn ($one): ?int => $changed[$one->end->id] ?? $one->settings->start, $universe->patched)];
    }

    public function test_lamps_without_an_address_stand_one_behind_the_other(): void
    {
        self::assertSame([1, 7, 13], self::patched([['slots' => 6], ['slots' => 6], ['slots' => 6]])[1]);
    }

    public function test_what_is_sound_stays_and_gaps_are_filled(): void
    {
        self::assertSame([10, 1, 5], self::patched([['slots' => 6, 'start' => 10], ['slots' => 4], ['slots' => 4]])[1]);
        self::assertSame([10, 16], self::patched([['slots' => 6, 'start' => 10], ['slots' => 12]])[1], 'What fits nowhere between goes behind.');
    }

    public function test_of_two_that_overlap_one_moves(): void
    {
        self::assertSame([1, 7], self::patched([['slots' => 6, 'start' => 1], ['slots' => 6, 'start' => 4]])[1]);
        self::assertSame([10, 4], self::patched([['slots' => 6, 'start' => 1], ['slots' => 6, 'start' => 4, 'pinned' => true]])[1], 'Not the one that is pinned.');
    }

    public function test_what_reaches_out_of_the_universe_comes_back(): void
    {
        self::assertSame([1], self::patched([['slots' => 6, 'start' => 510]])[1]);
        self::assertSame([510], self::patched([['slots' => 6, 'start' => 510, 'pinned' => true]])[1]);
    }

    public function test_a_block_stands_together(): void
    {
        // Between 1 and 9 there is room for one of the block, and not for both.
        self::assertSame([9, 15, 21], self::patched([['slots' => 6, 'start' => 9], ['slots' => 6, 'together' => 'bar'], ['slots' => 6, 'together' => 'bar']])[1]);
        self::assertSame([20, 26], self::patched([['slots' => 6, 'start' => 20, 'together' => 'bar'], ['slots' => 6, 'start' => 26, 'together' => 'bar']])[1], 'One that is whole stays where it is.');
        self::assertSame([1, 7], self::patched([['slots' => 6, 'start' => 20, 'together' => 'bar'], ['slots' => 6, 'start' => 40, 'together' => 'bar']])[1]);
    }

    public function test_where_what_stays_leaves_no_room_all_but_the_pinned_move(): void
    {
        // 200 + 200 + 100 slots fit, but not with the first two where they are.
        [, $starts] = self::patched([['slots' => 200, 'start' => 60], ['slots' => 200, 'start' => 310], ['slots' => 100]]);
        self::assertSame([1, 201, 401], $starts);
    }

    public function test_as_many_stay_as_can(): void
    {
        mt_srand(8);
        for ($draw = 0; $draw < 150; $draw++) {
            $lamps = [];
            foreach (range(1, mt_rand(2, 7)) as $ignored) {
                $lamps[] = ['slots' => mt_rand(1, 9), 'start' => mt_rand(0, 5) === 0 ? null : mt_rand(1, 30)];
            }
            [$universe, $starts] = self::patched($lamps);
            $kept = 0;
            foreach ($lamps as $at => $lamp) {
                $kept += $lamp['start'] !== null && $starts[$at] === $lamp['start'] ? 1 : 0;
                foreach (array_slice($lamps, $at + 1, null, true) as $other => $next) {
                    self::assertTrue($starts[$other] >= $starts[$at] + $lamp['slots'] || $starts[$at] >= $starts[$other] + $next['slots']);
                }
            }
            self::assertSame(self::mostThatCan($universe), $kept);
        }
    }

    private static function mostThatCan(Universe $universe): int
    {
        $count = count($universe->patched);
        $most = 0;
        for ($set = 0; $set < 1 << $count; $set++) {
            $chosen = array_values(array_filter($universe->patched, static fn (int $at): bool => ($set >> $at & 1) === 1, ARRAY_FILTER_USE_KEY));
            $sound = true;
            foreach ($chosen as $at => $one) {
                $sound = $sound && $one->last() !== null;
                foreach (array_slice($chosen, $at + 1) as $other) {
                    $sound = $sound && ! $one->overlaps($other);
                }
            }
            $most = $sound ? max($most, count($chosen)) : $most;
        }

        return $most;
    }
}
