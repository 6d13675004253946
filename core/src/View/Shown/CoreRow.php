<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

/** One core. */
final readonly class CoreRow
{
    public function __construct(
        public int $core,
        /** which of the wants; null where it is free */
        public ?string $want,
        public string $atFrom,
        public string $atTo,
        /** it goes from what speaks to what hears */
        public bool $crosses,
        public string $carries,
        public ?float $peakMa,
        public ?float $dropV,
        public string $note,
        /** of the plugs at either end, as marked there; empty where nobody said */
        public string $fromPin,
        public string $toPin,
    ) {
    }
}
