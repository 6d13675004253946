<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Shown;

use Rundfunk\Shape\ListOf;

/** One end: what it sends and hears, and how far. */
final readonly class IrEndFigures
{
    public function __construct(
        public string $endpointId,
        /** @var string|null its module */
        public ?string $part,
        /** @var bool a board of one's own */
        public bool $board,
        /** @var IrLedFigures|null null where it drives none, or the supply does not light it */
        public ?IrLedFigures $led,
        public ?float $reachM,
        /** @var list<string> */
        #[ListOf('string')]
        public array $sends,
        /** @var list<string> */
        #[ListOf('string')]
        public array $hears,
        public int $leastIntervalMs,
    ) {
    }
}
