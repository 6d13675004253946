<?php

declare(strict_types=1);

namespace App\Plans;

use App\Models\EditId;
use App\Models\PlanRecord;
use App\Models\User;
use Rundfunk\Shape\PlanRefused;

/** Which edits were kept already. Asked and written under the lock of the plan's row. */
final class EditIds
{
    /**
     * @return int|null the version that came of it; null when it is new
     *
     * @throws PlanRefused when the id is of an edit of another plan or another user
     */
    public static function version(?string $id, PlanRecord $record, User $user): ?int
    {
        $kept = $id === null ? null : EditId::query()->find($id);
        if ($kept !== null && ($kept->plan_id !== $record->id || $kept->user_id !== $user->id)) {
            throw PlanRefused::at('/id', 'is of another edit');
        }

        return $kept?->version;
    }

    public static function keep(?string $id, PlanRecord $record, User $user): void
    {
        if ($id !== null) {
            EditId::query()->create(['id' => $id, 'plan_id' => $record->id, 'user_id' => $user->id, 'version' => $record->version]);
        }
    }
}
