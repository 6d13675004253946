<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

use Rundfunk\Shape\ListOf;

/** An output with what its load does in every phase. */
final readonly class SafeRow
{
    public function __construct(
        public string $outputId,
        public string $nodeId,
        /** @var string|null why it must say what it is to be; null where nobody asks */
        public ?string $asked,
        /** @var string|null why nothing is worked out here, and whose it is then */
        public ?string $left,
        /** @var int in how many phases it is not safe */
        public int $unsafe,
        /** @var list<SafeCell> none where nothing is worked out */
        #[ListOf(SafeCell::class)] public array $cells,
    ) {
    }
}
