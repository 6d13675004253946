<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

/** What a module wants of a supply, and what it gets. */
final readonly class FedModule
{
    public function __construct(
        public string $moduleId,
        /** @var string "1.9 to 3.6 V" */
        public string $wants,
        public float $typicalMa,
        public float $peakMa,
        /** @var string|null "3.3 V"; null where nothing feeds it, or nobody can tell */
        public ?string $gets,
        /** @var bool what it gets is what it wants */
        public bool $suits,
    ) {
    }
}
