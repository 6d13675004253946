<?php

declare(strict_types=1);

namespace App\Views;

use App\Models\EditRecord;
use App\Models\PlanRecord;

final class HistoryView
{
    private const MOST = 200;

    /** @return list<array<string, mixed>> newest first */
    public static function of(PlanRecord $record): array
    {
        $edits = [];
        foreach (self::latest($record) as $edit) {
            $edits[] = [
                'version' => $edit->version,
                'label' => $edit->label,
                'by' => $edit->by(),
                'at' => $edit->created_at->toIso8601String(),
                'state' => $edit->state->value,
            ];
        }

        return $edits;
    }

    /** @return iterable<EditRecord> */
    private static function latest(PlanRecord $record): iterable
    {
        $query = EditRecord::query()->with('user')->whereBelongsTo($record, 'plan')->latest('id');
        $query->limit(self::MOST);

        // Without what was done, which may be megabytes.
        return $query->get(['id', 'plan_id', 'user_id', 'version', 'label', 'state', 'created_at']);
    }
}
