<?php

declare(strict_types=1);

namespace App\Plans;

use App\Models\EditId;
use App\Models\EditRecord;
use App\Models\PlanRecord;
use Illuminate\Support\Facades\DB;

/** How long what is not the plan itself is kept. */
final class Retention
{
    /** Of a plan's history, at most so many edits and none older than so many days. */
    public const EDITS = 1_000;

    public const EDIT_DAYS = 90;

    /** A client that has not heard that its edit was kept sends it again within this. */
    public const EDIT_ID_DAYS = 30;

    public const DELETED_PLAN_DAYS = 30;

    /** @return array<string, int> how many of each were let go */
    public function letGo(): array
    {
        return [
            'edits in histories' => $this->histories(),
            'ids of edits' => self::count(EditId::query()->where('created_at', '<', now()->subDays(self::EDIT_ID_DAYS))->delete()),
            'plans deleted long ago' => $this->deletedPlans(),
            'sessions that ended' => DB::table('sessions')->where('last_activity', '<', now()->subMinutes(config()->integer('session.lifetime'))->getTimestamp())->delete(),
        ];
    }

    private function histories(): int
    {
        $gone = 0;
        foreach (PlanRecord::query()->pluck('id') as $id) {
            $gone += Transaction::of(fn (): int => is_string($id) ? $this->history($id) : 0);
        }

        return $gone;
    }

    /** From the last edit that is let go on, a plan's history is whole: who held an older version reads the plan anew. */
    private function history(string $planId): int
    {
        $query = PlanRecord::query()->where('id', $planId);
        $query->lockForUpdate();
        $plan = $query->first();
        $edits = EditRecord::query()->where('plan_id', $planId);
        $oldest = (clone $edits)->latest('version')->skip(self::EDITS - 1)->value('version');
        $aged = (clone $edits)->where('created_at', '<', now()->subDays(self::EDIT_DAYS))->max('version');
        $last = max(is_numeric($oldest) ? (int) $oldest - 1 : 0, is_numeric($aged) ? (int) $aged : 0);
        $going = $edits->where('version', '<=', $last);
        $known = (clone $going)->max('version');
        if ($plan === null || ! is_numeric($known)) {
            return 0;
        }
        PlanRecord::withoutTimestamps(static fn (): bool => $plan->update(['known_since' => (int) $known]));

        return self::count($going->delete());
    }

    private function deletedPlans(): int
    {
        $plans = PlanRecord::onlyTrashed()->where('deleted_at', '<', now()->subDays(self::DELETED_PLAN_DAYS))->get();
        foreach ($plans as $plan) {
            $plan->forceDelete();
        }

        return count($plans);
    }

    private static function count(mixed $deleted): int
    {
        return is_int($deleted) ? $deleted : 0;
    }
}
