<?php

declare(strict_types=1);

namespace App\Views;

use App\Models\User;
use App\Plans\KeptEdit;
use App\Plans\LoadedPlan;
use Rundfunk\Check\Finding;
use Rundfunk\Format\PlanWriter;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;
use Rundfunk\View\Views;

/** What changed of all that the workspace shows: put into what was there, it gives the workspace of the new version. */
final class ChangesView
{
    /** Of more edits than this since, the whole plan is sooner had. */
    private const MOST = 200;

    /**
     * An edit's answer: what it changed; and where the client holds an older version than the edit met, all that came since.
     *
     * @param  int|null  $held  the version that the client holds; the one before the edit, where it does not say
     * @param  array<string, list<string>>  $onScreen  what the screen shows, by key of the view
     * @return array<string, mixed>
     */
    public static function of(KeptEdit $kept, ?int $held, User $user, Views $views, array $onScreen): array
    {
        if ($kept->edited === null || $kept->findings === null || ($held !== null && $held !== $kept->version - 1)) {
            return [...self::since($held ?? $kept->version - 1, $kept->after, $user, $views, $onScreen), 'kept' => $kept->version];
        }
        $plan = $kept->after->plan;

        return [
            'from' => $kept->version - 1,
            'version' => $kept->version,
            'kept' => $kept->version,
            'plan' => $plan->properties->values(),
            'things' => self::things($plan, $kept->edited->touched),
            'findings' => $kept->findings,
            'views' => (object) $views->after($kept->edited, $onScreen),
            'history' => WorkspaceView::history($kept->after->record, $user),
        ];
    }

    /**
     * All that came after a version: of things and findings, those that any edit since touched or was felt by, as they are now.
     *
     * @param  array<string, list<string>>  $onScreen
     * @return array<string, mixed>
     */
    public static function since(int $version, LoadedPlan $now, User $user, Views $views, array $onScreen): array
    {
        $touched = [];
        $felt = [];
        $edits = $now->record->editsSince($version);
        foreach ($edits as $edit) {
            $felt = $felt === null || $edit->felt === null ? null : [...$felt, ...$edit->felt];
            foreach ($edit->touched as $kind => $ids) {
                $touched[$kind] = array_values(array_unique([...$touched[$kind] ?? [], ...$ids]));
            }
        }
        $known = $version <= $now->version && $version >= $now->record->known_since && count($edits) <= self::MOST;

        return [
            // Of a version that is not to be had any more, nothing can be told: the client reads the plan anew.
            'from' => $known ? $version : 0,
            'version' => $now->version,
            'kept' => null,
            'plan' => $now->plan->properties->values(),
            'things' => self::things($now->plan, $known ? $touched : []),
            'findings' => self::findings($now, $known ? $felt : []),
            'views' => (object) ($known ? $views->now($now->plan, $onScreen) : []),
            'history' => WorkspaceView::history($now->record, $user),
        ];
    }

    /**
     * @param  list<string>|null  $felt  ids; null where an edit does not say what it was felt by
     * @return array{put: list<Finding>, gone: list<string>, order: list<string>}
     */
    private static function findings(LoadedPlan $now, ?array $felt): array
    {
        $order = $now->findings()->ids();
        $felt = array_flip($felt ?? $order);
        $put = $now->findings()->among($felt);

        return ['put' => array_values($put), 'gone' => array_map(strval(...), array_keys(array_diff_key($felt, $put))), 'order' => $order];
    }

    /**
     * @param  array<string, list<string>>  $touched  ids by kind
     * @return array<string, array{put: list<array<string, mixed>>, gone: list<string>}> by the plural of the kind
     */
    private static function things(Plan $plan, array $touched): array
    {
        $parts = [];
        foreach (ThingKind::cases() as $kind) {
            $part = ['put' => [], 'gone' => []];
            foreach ($touched[$kind->value] ?? [] as $id) {
                $thing = $plan->find($kind, $id);
                if ($thing === null) {
                    $part['gone'][] = $id;
                } else {
                    $part['put'][] = PlanWriter::plain($thing);
                }
            }
            $parts[$kind->plural()] = $part;
        }

        return $parts;
    }
}
