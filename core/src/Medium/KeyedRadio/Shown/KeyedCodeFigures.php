<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio\Shown;

use Rundfunk\Shape\ListOf;

/** One code: what it says, and its frame to scale. */
final readonly class KeyedCodeFigures
{
    public function __construct(
        public string $codeId,
        public string $node,
        public string $name,
        public string $says,
        /** @var string|null where each bit is sent twice: 0, 1 and F */
        public ?string $trits,
        /** @var list<int> marks and spaces in turn */
        #[ListOf('int')]
        public array $lengthsUs,
    ) {
    }
}
