<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular;

/** One exchange with a modem: what to send, what must come, how long to wait, what to do when it does not. */
final readonly class DialogueStep
{
    /**
     * @param  string  $source  the standard that has the command, or "maker's own"
     * @param  string|null  $orExpect  what will do as well
     */
    public function __construct(
        public string $send,
        public string $expect,
        public int $timeoutMs,
        public int $tries,
        public string $ifNot,
        public string $why,
        public string $source,
        public ?string $orExpect = null,
    ) {
    }
}
