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
            'plan' => $loaded->plan->properties->values(),
            'things' => PlanTables::of($loaded->plan),
            'findings' => $loaded->findings->all(),
            'history' => self::history($loaded->record, $user),
        ];
    }

    /** @return array{undo: string|null, redo: string|null} labels of what can be taken back and done again */
    public static function history(PlanRecord $record, User $user): array
    {
        return [
            'undo' => $record->editsOf($user, EditState::Done)->latest('id')->first(['label'])?->label,
            'redo' => $record->editsOf($user, EditState::Undone)->oldest('id')->first(['label'])?->label,
        ];
    }
}
