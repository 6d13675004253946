<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Shown;

/** A call or text, and what it does. */
final readonly class ModemCommand
{
    public function __construct(
        public string $controlId,
        public string $from,
        public string $kind,
        public ?string $word,
        public string $does,
        public bool $secret,
        public bool $answers,
        public bool $dangerous,
    ) {
    }
}
