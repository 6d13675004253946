<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

/** A load with what it takes. */
final readonly class LoadShown
{
    public function __construct(
        public string $loadId,
        public ?float $amperes,
        public ?float $inrushA,
        /** @var float|null what its contact bears of such a load */
        public ?float $mostA,
        /** @var string|null which fuse suits it */
        public ?string $fuse,
    ) {
    }
}
