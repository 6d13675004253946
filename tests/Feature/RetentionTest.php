<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\EditId;
use App\Models\EditRecord;
use App\Models\EditState;
use App\Models\PlanRecord;
use App\Plans\Retention;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Tests\Demos;

/** What is kept no longer, and that nobody is told less than all for it. */
final class RetentionTest extends FeatureTestCase
{
    private PlanRecord $plan;

    private string $node;

    protected function setUp(): void
    {
        parent::setUp();
        $ann = self::user();
        $this->plan = $this->linden($ann);
        $this->node = Demos::lindenHollow()->nodes()[0]->id;
        $this->actingAs($ann);
    }

    private function tidy(): void
    {
        self::assertSame(0, Artisan::call('plan:tidy'), Artisan::output());
    }

    private function rename4(): void
    {
        foreach ([1, 2, 3, 4] as $version) {
            $this->edit($this->plan, $version, self::rename($this->node, "Name {$version}"))->assertOk();
        }
    }

    public function test_history_of_ninety_days_stays_and_older_goes(): void
    {
        $this->rename4();
        EditRecord::query()->where('version', '<=', 3)->update(['created_at' => now()->subDays(Retention::EDIT_DAYS + 1)]);
        $changed = PlanRecord::query()->findOrFail($this->plan->id)->updated_at;
        $this->tidy();
        self::assertSame([4, 5], EditRecord::query()->orderBy('version')->pluck('version')->all());
        self::assertEquals($changed, PlanRecord::query()->findOrFail($this->plan->id)->updated_at);

        // Who holds a version from before that is told to read the plan anew, and never a part of what came since.
        $changes = "/api/plans/{$this->plan->id}/changes?since=";
        self::assertSame(0, $this->getJson($changes.'2')->assertOk()->json('from'));
        self::assertSame(3, $this->getJson($changes.'3')->assertOk()->json('from'));
        $this->edit($this->plan, 2, self::rename(Demos::lindenHollow()->nodes()[1]->id, 'Late'))->assertConflict()->assertJsonPath('version', 5);
        $this->edit($this->plan, 5, self::rename($this->node, 'On time'))->assertOk();
    }

    public function test_of_a_history_longer_than_a_thousand_the_newest_thousand_stay(): void
    {
        $this->rename4();
        $row = (array) DB::table('plan_edits')->where('version', 5)->first();
        unset($row['id']);
        foreach (array_chunk(range(6, Retention::EDITS + 4), 500) as $versions) {
            DB::table('plan_edits')->insert(array_map(static fn (int $version): array => [...$row, 'version' => $version, 'state' => EditState::Done->value], $versions));
        }
        $this->tidy();
        self::assertSame([5, Retention::EDITS], [(int) EditRecord::query()->min('version'), EditRecord::query()->count()]);
        self::assertSame(4, PlanRecord::query()->findOrFail($this->plan->id)->known_since);
        $this->tidy();
        self::assertSame(Retention::EDITS, EditRecord::query()->count());
    }

    public function test_a_history_of_large_edits_is_shortened_while_they_are_made(): void
    {
        $this->rename4();
        $row = (array) DB::table('plan_edits')->where('version', 5)->first();
        unset($row['id']);
        $row['inverse'] = '[{"op":"none","pad":"'.str_repeat('x', 4_000_000).'"}]';
        foreach (range(6, Retention::LOOKED_AT_EVERY - 1) as $version) {
            DB::table('plan_edits')->insert([...$row, 'version' => $version, 'inverse' => $version > 35 ? $row['inverse'] : '[]']);
        }
        PlanRecord::query()->where('id', $this->plan->id)->update(['version' => Retention::LOOKED_AT_EVERY - 1]);
        $this->edit($this->plan, Retention::LOOKED_AT_EVERY - 1, self::rename($this->node, 'The fiftieth'))->assertOk();
        $bytes = (int) EditRecord::query()->sum(DB::raw('length(inverse)'));
        self::assertLessThanOrEqual(Retention::HISTORY_BYTES, $bytes);
        self::assertGreaterThan(Retention::HISTORY_BYTES - 4_100_000, $bytes);
        self::assertSame((int) EditRecord::query()->min('version') - 1, PlanRecord::query()->findOrFail($this->plan->id)->known_since);
    }

    public function test_ids_of_edits_and_deleted_plans_stay_a_month(): void
    {
        $other = $this->linden(self::user('Bob'));
        $this->postJson("/api/plans/{$this->plan->id}/operations", ['version' => 1, 'label' => '', 'operations' => [self::rename($this->node, 'x')], 'views' => [], 'id' => '01ARZ3NDEKTSV4RRFFQ69G5FAV'])->assertOk();
        $this->deleteJson("/api/plans/{$this->plan->id}")->assertOk();
        $this->travel(29)->days();
        $this->tidy();
        self::assertSame(1, EditId::query()->count());
        $this->postJson("/api/plans/{$this->plan->id}/restore")->assertOk();
        $this->deleteJson("/api/plans/{$this->plan->id}")->assertOk();
        $this->travel(31)->days();
        $this->tidy();
        self::assertSame(0, EditId::query()->count());
        self::assertSame([$other->id], PlanRecord::withTrashed()->pluck('id')->all());
        self::assertSame([$other->id], DB::table('nodes')->distinct()->pluck('plan_id')->all());
    }
}
