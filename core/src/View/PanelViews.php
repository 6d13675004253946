<?php

declare(strict_types=1);

namespace Rundfunk\View;

use Rundfunk\Knowledge;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;

/** The instrument panels' figures, medium by medium. */
final readonly class PanelViews
{
    /**
     * @param  list<Link>|null  $links  only these; null for all
     * @return list<array{linkId: string, medium: string, figures: array<string, mixed>}>
     */
    public static function of(Plan $plan, Knowledge $knowledge, ?array $links = null): array
    {
        $panels = [];
        foreach ($links ?? $plan->links() as $link) {
            $panel = $knowledge->media->offering(DrawsPanel::class, $link->medium);
            if ($panel !== null) {
                $panels[] = ['linkId' => $link->id, 'medium' => $link->medium, 'figures' => $panel->panel($plan, $link, $knowledge)];
            }
        }

        return $panels;
    }
}
