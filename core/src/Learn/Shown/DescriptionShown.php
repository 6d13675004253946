<?php

declare(strict_types=1);

namespace Rundfunk\Learn\Shown;

use Rundfunk\Shape\ListOf;

/** What a file says of what comes over a link. */
final readonly class DescriptionShown
{
    /**
     * @param  list<DescribedThing>  $things
     * @param  list<string>  $leftOut  what of it is not taken, in words
     */
    public function __construct(#[ListOf(DescribedThing::class)] public array $things, #[ListOf('string')] public array $leftOut)
    {
    }
}
