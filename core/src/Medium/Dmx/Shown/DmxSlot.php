<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Shown;

/** One thing that an end is told. */
final readonly class DmxSlot
{
    public function __construct(
        public string $name,
        /** @var string in the universe: "17", "17+18" for sixteen bits, "+3" without an address */
        public string $place,
        /** @var string what it is for */
        public string $is,
        /** @var int of 255 */
        public int $rest,
        /** @var string what its figures mean */
        public string $ranges,
        /** @var string|null what it is in the plan; null while nothing is asked of it */
        public ?string $outputId,
        /** @var bool whether a black-out puts it to nothing: what makes light, or lets it out */
        public bool $darkens,
    ) {
    }
}
