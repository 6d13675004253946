<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

use Rundfunk\Shape\ListOf;

/** A report that came, read by hand. */
final readonly class ReportTrial
{
    /**
     * @param  list<ReportChannel>  $channels  none while nothing came, and where it does not count
     * @param  string|null  $lost  why it does not count; null where it does
     */
    public function __construct(#[ListOf(ReportChannel::class)] public array $channels, public ?string $lost)
    {
    }
}
