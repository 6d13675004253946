<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio\Shown;

use Rundfunk\Shape\ListOf;

/** The figures of a keyed-radio link: a frame, a press, the band, every code, each end. */
final readonly class KeyedFigures
{
    public function __construct(
        public float $freqMhz,
        public int $quarterWaveMm,
        public float $frameMs,
        public float $pressMs,
        /** @var list<KeyedBand> that the region has */
        #[ListOf(KeyedBand::class)]
        public array $bands,
        public string $region,
        public string $asOf,
        /** @var list<KeyedCodeFigures> */
        #[ListOf(KeyedCodeFigures::class)]
        public array $codes,
        /** @var list<KeyedEndFigures> */
        #[ListOf(KeyedEndFigures::class)]
        public array $ends,
    ) {
    }
}
