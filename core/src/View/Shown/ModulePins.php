<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

use Rundfunk\Shape\ListOf;

/** Where the terminals of a module can go. */
final readonly class ModulePins
{
    public function __construct(
        /** @var list<TerminalPins> */
        #[ListOf(TerminalPins::class)] public array $terminals,
    ) {
    }
}
