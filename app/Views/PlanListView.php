<?php

declare(strict_types=1);

namespace App\Views;

use App\Models\PlanRecord;
use App\Models\User;

final class PlanListView
{
    /** @return list<array<string, mixed>> newest first */
    public static function of(User $user): array
    {
        $plans = [];
        $records = PlanRecord::query()->whereBelongsTo($user)->withCount('nodes')->latest('updated_at')->oldest('id');
        foreach ($records->get(['id', 'name', 'note', 'version', 'updated_at']) as $record) {
            $plans[] = [
                'id' => $record->id,
                'name' => $record->name,
                'note' => $record->note,
                'version' => $record->version,
                'nodes' => $record->nodes_count ?? 0,
                'changedAt' => $record->updated_at->toIso8601String(),
            ];
        }

        return $plans;
    }
}
