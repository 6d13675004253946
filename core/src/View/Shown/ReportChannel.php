<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

/** A key or an axis, and what a report says of it. */
final readonly class ReportChannel
{
    /**
     * @param  string  $says  "pressed", "let go", or where between its ends an axis stands
     * @param  bool  $worked  pressed, or away from its middle
     */
    public function __construct(public string $name, public string $says, public bool $worked)
    {
    }
}
