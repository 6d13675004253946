<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Shown;

use Rundfunk\Shape\ListOf;

/** One end of a bus. */
final readonly class CanEndFigures
{
    /**
     * @param  string|null  $timing  how its controller divides its clock: "8 quanta of 250 ns, sampled at 87.5 %"; null where nobody knows its clock
     * @param  list<string>  $filters  what its controller lets through, mask by mask; none where it has no filters, or needs nothing
     * @param  list<string>  $strangers  identifiers that come along
     */
    public function __construct(
        public string $endpointId,
        public string $name,
        public bool $listenOnly,
        public bool $terminated,
        public ?string $timing,
        #[ListOf('string')]
        public array $filters,
        #[ListOf('string')]
        public array $strangers,
    ) {
    }
}
