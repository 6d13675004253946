<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

/** To send and forget, or to be answered: what each costs on a route. */
final readonly class RouteAnswer
{
    /**
     * @param  string|null  $state  what answers; null where nothing does, and the figures are what it would take
     * @param  string|null  $shownBy  the output that shows it to whoever asked
     * @param  bool  $measured  a contact or a sensor says how it stands, as against what it was told
     * @param  string|null  $believedFor  how long what is shown counts as known when nothing more is heard; null for ever
     * @param  string  $forgottenAfter  the longest until the output has moved
     * @param  string  $forgottenAir  how long the links are taken by it
     * @param  string  $answeredAfter  the longest until whoever asked knows
     * @param  string  $answeredAir  how long the links are taken by both messages
     */
    public function __construct(
        public ?string $state,
        public ?string $shownBy,
        public bool $measured,
        public ?string $believedFor,
        public string $forgottenAfter,
        public string $forgottenAir,
        public string $answeredAfter,
        public string $answeredAir,
        public string $advice,
    ) {
    }
}
