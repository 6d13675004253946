<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Shown;

use Rundfunk\Shape\ListOf;

/** What follows for one end. */
final readonly class SerialEndFigures
{
    /** @param  list<string>  $disagrees  what is set otherwise than the line, in words */
    public function __construct(
        public string $endpointId,
        /** of its rate, percent with its sign; null where it has no board */
        public ?float $errorPercent,
        #[ListOf('string')] public array $disagrees,
        /** where on the cable it stands, from 1 */
        public int $place,
        public bool $isOuter,
        /** @var list<string> the outputs that are worked over the line, numbered along it in the order of ids */
        #[ListOf('string')] public array $owns,
    ) {
    }
}
