<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Shown;

use Rundfunk\Shape\ListOf;

/** A control that tells slots something. */
final readonly class DmxTrigger
{
    public function __construct(
        public string $controlId,
        public string $name,
        public string $node,
        /** @var list<DmxCue> */
        #[ListOf(DmxCue::class)]
        public array $cues,
    ) {
    }
}
