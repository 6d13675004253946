<?php

declare(strict_types=1);

namespace App\Views;

use App\Models\EditState;
use App\Models\PlanRecord;
use App\Models\User;
use App\Plans\LoadedPlan;
use Rundfunk\Format\PlanTables;

/** What the workspace is given when a plan is opened: the plan, and what was found in it. What else it shows, it asks for. */
final class WorkspaceView
{
    /** @return array<string, mixed> */
    public static function of(LoadedPlan $loaded, User $user): array
    {
        return [
            'version' => $loaded->version,
            'access' => $loaded->record->access?->value,
            'plan' => $loaded->plan->properties->values(),
            'things' => PlanTables::of($loaded->plan),
            'findings' => $loaded->findings()->all(),
            'history' => self::history($loaded->record, $user),
        ];
    }

    /** @return array{undo: string|null, undoOf: int|null, redo: string|null, redoOf: int|null} what can be taken back and done again: labels, and which edits they are */
    public static function history(PlanRecord $record, User $user): array
    {
        $undo = $record->editsOf($user, EditState::Done)->latest('id')->first(['id', 'label']);
        $redo = $record->editsOf($user, EditState::Undone)->oldest('id')->first(['id', 'label']);

        return ['undo' => $undo?->label, 'undoOf' => $undo?->id, 'redo' => $redo?->label, 'redoOf' => $redo?->id];
    }
}
