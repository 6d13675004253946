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

    /** And no more than this, however few they are: an edit may be a megabyte. */
    public const HISTORY_BYTES = 32_000_000;

    /** So many edits after one another it is looked at while a plan is edited; for the rest once a day. */
    public const LOOKED_AT_EVERY = 50;

    /** A client that has not heard that its edit was kept sends it again within this. */
    public const EDIT_ID_DAYS = 30;

    public const DELETED_PLAN_DAYS = 30;

    /** @return array<string, int> how many of each were let go */
    public function letGo(): array
    {
        return [
            'edits in histories' => $this->histories(),
            'ids of edits' => self::number(EditId::query()->where('created_at', '<', now()->subDays(self::EDIT_ID_DAYS))->delete()),
            'plans deleted long ago' => $this->deletedPlans(),
            'sessions that ended' => DB::table('sessions')->where('last_activity', '<', now()->subMinutes(config()->integer('session.lifetime'))->getTimestamp())->delete(),
        ];
    }

    private function histories(): int
    {
        $gone = 0;
        foreach (PlanRecord::query()->pluck('id') as $id) {
            $gone += Transaction::of(function () use ($id): int {
                $query = PlanRecord::query()->where('id', $id);
                $query->lockForUpdate();
                $plan = $query->first();

                return $plan === null ? 0 : $this->shorten($plan);
            });
        }

        return $gone;
    }

    /**
     * From the last edit that is let go on, a plan's history is whole: who held an older version reads the plan anew. Within
     * a transaction that holds the plan.
     *
     * @return int how many edits were let go
     */
    public function shorten(PlanRecord $plan): int
    {
        $edits = EditRecord::query()->where('plan_id', $plan->id);
        $counted = (clone $edits)->latest('version')->skip(self::EDITS - 1)->value('version');
        $aged = (clone $edits)->where('created_at', '<', now()->subDays(self::EDIT_DAYS))->max('version');
        $sized = DB::scalar('select max(version) from (select version, sum(length(operations) + length(inverse) + length(touched)) over (order by version desc) as bytes from plan_edits where plan_id = ?) as sums where bytes > ?', [$plan->id, self::HISTORY_BYTES]);
        $last = max(self::number($counted) - 1, self::number($aged), self::number($sized));
        $going = $edits->where('version', '<=', $last);
        $known = self::number((clone $going)->max('version'));
        if ($known === 0) {
            return 0;
        }
        PlanRecord::withoutTimestamps(static fn (): bool => $plan->update(['known_since' => $known]));

        return self::number($going->delete());
    }

    private function deletedPlans(): int
    {
        $plans = PlanRecord::onlyTrashed()->where('deleted_at', '<', now()->subDays(self::DELETED_PLAN_DAYS))->get();
        foreach ($plans as $plan) {
            $plan->forceDelete();
        }

        return count($plans);
    }

    private static function number(mixed $found): int
    {
        return is_numeric($found) ? (int) $found : 0;
    }
}
