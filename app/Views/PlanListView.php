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
        $records = PlanRecord::ofUser($user)->withCount('nodes')->latest('plans.updated_at')->oldest('plans.id');
        foreach ($records->get() as $record) {
            $plans[] = [
                'id' => $record->id,
                'name' => $record->name,
                'note' => $record->note,
                'version' => $record->version,
                'access' => $record->access?->value,
                'nodes' => $record->nodes_count ?? 0,
                'changedAt' => $record->updated_at->toIso8601String(),
            ];
        }

        return $plans;
    }
}
