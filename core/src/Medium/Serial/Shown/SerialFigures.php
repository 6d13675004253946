<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Shown;

use Rundfunk\Shape\ListOf;

/** The figures of a serial line: its characters and frames, and who speaks when. */
final readonly class SerialFigures
{
    public function __construct(
        /** "8N1" */
        public string $format,
        public float $bitUs,
        public int $frameBytes,
        public float $frameMs,
        /** @var list<SerialField> of a frame */
        #[ListOf(SerialField::class)]
        public array $fields,
        public string $check,
        public float $reachM,
        public ?float $lengthM,
        /** until each was asked once, or a frame is round; null where nobody asks yet */
        public ?float $cycleMs,
        /** with one that does not answer */
        public ?float $deadCycleMs,
        public float $wholeMs,
        /** @var list<string> the nodes, as columns from left to right */
        #[ListOf('string')]
        public array $columns,
        /** @var list<SerialStroke> in the order of time */
        #[ListOf(SerialStroke::class)]
        public array $strokes,
        /** @var list<SerialEndFigures> */
        #[ListOf(SerialEndFigures::class)]
        public array $ends,
        /** @var list<string> ids of what bought devices on it speak; none where all speak frames of ours */
        #[ListOf('string')]
        public array $protocolIds,
    ) {
    }
}
