<?php

declare(strict_types=1);

namespace App\Views;

use App\Models\User;
use App\Plans\KeptEdit;
use Rundfunk\Edit\Edited;
use Rundfunk\Format\PlanWriter;
use Rundfunk\Plan\ThingKind;
use Rundfunk\View\Views;

/** What an edit changed of all that the workspace shows: put into what was there, it gives the workspace of the new version. */
final class ChangesView
{
    /**
     * @param  array<string, list<string>>  $onScreen  what the screen shows, by key of the view
     * @return array<string, mixed>
     */
    public static function of(KeptEdit $kept, User $user, Views $views, array $onScreen): array
    {
        $plan = $kept->after->plan;

        return [
            'from' => $kept->from,
            'version' => $kept->after->version,
            'plan' => $plan->properties->values(),
            'things' => self::things($kept->edited),
            'findings' => $kept->after->findings->since($kept->before),
            'views' => (object) $views->after($kept->edited, $onScreen),
            'history' => WorkspaceView::history($kept->after->record, $user),
        ];
    }

    /** @return array<string, array{put: list<array<string, mixed>>, gone: list<string>}> by the plural of the kind */
    private static function things(Edited $edited): array
    {
        $parts = [];
        foreach (ThingKind::cases() as $kind) {
            $part = ['put' => [], 'gone' => []];
            foreach ($edited->touched[$kind->value] ?? [] as $id) {
                $thing = $edited->plan->find($kind, $id);
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
