<?php

declare(strict_types=1);

namespace App\Views;

use App\Models\EditState;
use App\Models\PlanRecord;
use App\Models\User;
use App\Plans\LoadedPlan;
use Rundfunk\Knowledge;
use Rundfunk\Masters\AllOff;
use Rundfunk\Overview\CodeGrids;
use Rundfunk\Overview\LineMap;
use Rundfunk\Overview\MasterViews;
use Rundfunk\Overview\PanelViews;
use Rundfunk\Overview\PinTables;
use Rundfunk\Overview\RouteViews;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\PlanWriter;

/** All that the workspace shows of a plan, worked out by the core. */
final class WorkspaceView
{
    /** @return array<string, mixed> */
    public static function of(PlanRecord $record, LoadedPlan $loaded, User $user, Knowledge $knowledge): array
    {
        $plan = $loaded->plan;

        return [
            'version' => $loaded->version,
            'document' => (new PlanWriter)->toArray($plan),
            'findings' => $loaded->findings->all(),
            'lineMap' => LineMap::of($plan, $knowledge->media),
            'routes' => RouteViews::of($plan, $knowledge),
            'masters' => MasterViews::of($plan),
            'allOff' => array_map(static fn (Output $output): string => $output->id, AllOff::of($plan)),
            'codeGrids' => CodeGrids::of($plan, $knowledge->media),
            'panels' => PanelViews::of($plan, $knowledge),
            'pinTables' => PinTables::of($plan, $knowledge->catalogue),
            'history' => self::history($record, $user),
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
