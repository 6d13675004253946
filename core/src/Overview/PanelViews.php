<?php

declare(strict_types=1);

namespace Rundfunk\Overview;

use Rundfunk\Knowledge;
use Rundfunk\Medium\DrawsPanel;
use Rundfunk\Plan\Plan;

/** The instrument panels' figures, medium by medium. */
final readonly class PanelViews
{
    /** @return list<array{linkId: string, medium: string, figures: array<string, mixed>}> */
    public static function of(Plan $plan, Knowledge $knowledge): array
    {
        $panels = [];
        foreach ($plan->links() as $link) {
            $medium = $knowledge->media->named($link->medium);
            if ($medium instanceof DrawsPanel) {
                $panels[] = ['linkId' => $link->id, 'medium' => $medium->key(), 'figures' => $medium->panel($plan, $link, $knowledge)];
            }
        }

        return $panels;
    }
}
