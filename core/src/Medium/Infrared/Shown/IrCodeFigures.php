<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Shown;

use Rundfunk\Shape\ListOf;

/** One code: what it says, and its signal to scale. */
final readonly class IrCodeFigures
{
    public function __construct(
        public string $codeId,
        public string $nodeId,
        public string $node,
        public string $name,
        public string $says,
        public ?string $controlId,
        public ?string $outputId,
        public ?string $action,
        public float $carrierKhz,
        /** @var float|null null where no signal follows */
        public ?float $durationMs,
        public float $periodMs,
        /** @var int how often it is sent at least */
        public int $sends,
        /** @var string what a held key does, in words */
        public string $holding,
        /** @var list<int> marks and spaces in turn */
        #[ListOf('int')]
        public array $lengthsUs,
        /** @var IrTurned|null the same bits in the other order, where its protocol leaves that open */
        public ?IrTurned $turned,
    ) {
    }
}
