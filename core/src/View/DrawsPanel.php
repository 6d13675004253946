<?php

declare(strict_types=1);

namespace Rundfunk\View;

use Rundfunk\Knowledge;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;
use Rundfunk\Shape\Schema;

interface DrawsPanel
{
    /** @return array<string, mixed> JSON Schema of what {@see panel} gives */
    public function panelSchema(): array;

    /** @return array<string, mixed> the figures of the medium's instrument panel */
    public function panel(Plan $plan, Link $link, Knowledge $knowledge): array;
}
