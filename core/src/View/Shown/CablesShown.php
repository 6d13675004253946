<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

use Rundfunk\Shape\ListOf;

/** The cables at a node. */
final readonly class CablesShown
{
    public function __construct(
        /** @var list<CableShown> */
        #[ListOf(CableShown::class)]
        public array $cables,
    ) {
    }
}
