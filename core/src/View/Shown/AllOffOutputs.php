<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

use Rundfunk\Shape\ListOf;

/** The outputs that "all off" reaches. */
final readonly class AllOffOutputs
{
    public function __construct(
        /** @var list<string> */
        #[ListOf('string')] public array $outputIds,
    ) {
    }
}
