<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

/** A signal terminal of a module. */
final readonly class TerminalOffered
{
    public function __construct(public string $name, public string $needs, public ?string $carries, public string $doc, public bool $canBeSoftware)
    {
    }
}
