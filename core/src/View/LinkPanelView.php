<?php

declare(strict_types=1);

namespace Rundfunk\View;

use Rundfunk\Knowledge;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;
use Rundfunk\View\Shown\LinkPanel;

/** A link's instrument panel, as its medium draws it. */
final readonly class LinkPanelView implements View
{
    public function key(): string
    {
        return 'link-panel';
    }

    public function owner(): string
    {
        return Link::class;
    }

    public function shape(): string
    {
        return LinkPanel::class;
    }

    public function of(string $of, Plan $plan, Knowledge $knowledge): ?LinkPanel
    {
        $link = $plan->link($of);
        $panel = $knowledge->media->offering(DrawsPanel::class, $link->medium);

        return $panel === null ? null : new LinkPanel($link->medium, $panel->panel($plan, $link, $knowledge));
    }
}
