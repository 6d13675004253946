<?php

declare(strict_types=1);

namespace App\Views;

use App\Models\EditState;
use App\Models\PlanRecord;
use App\Models\User;
use App\Plans\LoadedPlan;
use Rundfunk\Format\PlanWriter;
use Rundfunk\Knowledge;
use Rundfunk\Masters\AllOff;
use Rundfunk\Plan\Output;
use Rundfunk\View\LineMap;
use Rundfunk\View\Views;

/** All that the workspace shows of a plan, worked out by the core. */
final class WorkspaceView
{
    /** @return array<string, mixed> */
    public static function of(LoadedPlan $loaded, User $user, Knowledge $knowledge): array
    {
        $plan = $loaded->plan;

        return [
            'version' => $loaded->version,
            'document' => (new PlanWriter)->toArray($plan),
            ...Views::of($plan, $knowledge),
            ...self::whole($loaded, $user, $knowledge),
        ];
    }

    /** @return array<string, mixed> what every answer holds whole: it is small, or hangs on everything */
    public static function whole(LoadedPlan $loaded, User $user, Knowledge $knowledge): array
    {
        return [
            'findings' => $loaded->findings->all(),
            'lineMap' => LineMap::of($loaded->plan, $knowledge->media),
            'allOff' => array_map(static fn (Output $output): string => $output->id, AllOff::of($loaded->plan)),
            'history' => self::history($loaded->record, $user),
        ];
    }

    /** @return array{undo: string|null, redo: string|null} labels of what can be taken back and done again */
    private static function history(PlanRecord $record, User $user): array
    {
        return [
            'undo' => $record->editsOf($user, EditState::Done)->latest('id')->first(['label'])?->label,
            'redo' => $record->editsOf($user, EditState::Undone)->oldest('id')->first(['label'])?->label,
        ];
    }
}
