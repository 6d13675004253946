<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

use Rundfunk\Shape\ListOf;

/** One line of a parts list. */
final readonly class PartLineShown
{
    public function __construct(
        public string $what,
        public string $rating,
        public int $quantity,
        public int $toBuy,
        /** @var list<string> */
        #[ListOf('string')] public array $where,
    ) {
    }
}
