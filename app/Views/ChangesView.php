<?php

declare(strict_types=1);

namespace App\Views;

use App\Models\User;
use App\Plans\KeptEdit;
use App\Plans\LoadedPlan;
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
        if ($kept->edited === null || $kept->before === null || ($held !== null && $held !== $kept->version - 1)) {
            return [...self::since($held ?? $kept->version - 1, $kept->after, $user, $views, $onScreen), 'kept' => $kept->version];
        }
        $plan = $kept->after->plan;

        return [
            'from' => $kept->version - 1,
            'version' => $kept->version,
            'kept' => $kept->version,
            'plan' => $plan->properties->values(),
            'things' => self::things($plan, $kept->edited->touched),
            'findings' => $kept->after->findings->since($kept->before),
            'views' => (object) $views->after($kept->edited, $onScreen),
            'history' => WorkspaceView::history($kept->after->record, $user),
        ];
    }

    /**
     * All that came after a version: what was found then is not known any more, so all findings are told.
     *
     * @param  array<string, list<string>>  $onScreen
     * @return array<string, mixed>
     */
    public static function since(int $version, LoadedPlan $now, User $user, Views $views, array $onScreen): array
    {
        $touched = [];
        $edits = $now->record->editsSince($version);
        foreach ($edits as $edit) {
            foreach ($edit->touched as $kind => $ids) {
                $touched[$kind] = array_values(array_unique([...$touched[$kind] ?? [], ...$ids]));
            }
        }
        $known = $version <= $now->version && count($edits) <= self::MOST;
        $all = $now->findings->all();

        return [
            // Of a version that is not to be had any more, nothing can be told: the client reads the plan anew.
            'from' => $known ? $version : 0,
            'version' => $now->version,
            'kept' => null,
            'plan' => $now->plan->properties->values(),
            'things' => self::things($now->plan, $known ? $touched : []),
            'findings' => ['put' => $known ? $all : [], 'gone' => [], 'order' => array_map(static fn ($finding): string => $finding->id(), $all)],
            'views' => (object) ($known ? $views->now($now->plan, $onScreen) : []),
            'history' => WorkspaceView::history($now->record, $user),
        ];
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
