<?php

declare(strict_types=1);

namespace Rundfunk\Build;

use JsonSerializable;

/** One wire of a node. */
final readonly class WiringRow implements JsonSerializable
{
    public function __construct(
        public string $module,
        public string $terminal,
        public string $pin,
        public string $carries,
        public string $level,
        public string $note,
    ) {
    }

    /** @return array<string, string> */
    public function jsonSerialize(): array
    {
        return [
            'module' => $this->module,
            'terminal' => $this->terminal,
            'pin' => $this->pin,
            'carries' => $this->carries,
            'level' => $this->level,
            'note' => $this->note,
        ];
    }
}
