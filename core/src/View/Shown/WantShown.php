<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

/** What a core can be for. */
final readonly class WantShown
{
    public function __construct(public string $key, public string $words, public string $use, public ?string $linkId, public ?string $supplyId)
    {
    }
}
