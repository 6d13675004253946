<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

/** How one of the node's outputs stands, told to whoever shows it: when it changes, and again and again while it does not. */
final readonly class Report
{
    /**
     * @param  int  $output  which of the node's outputs, from 0
     * @param  int|null  $contact  the contact that senses it, from 0; null where the node says what it told the output
     * @param  int|null  $gauge  the reading that senses it by its threshold, from 0
     * @param  int  $everyMs  how often it is told while it stays; 0 for changes only
     * @param  bool  $always  a command that changes nothing is answered too
     */
    public function __construct(
        public string $name,
        public int $output,
        public ?int $contact,
        public ?int $gauge,
        public int $everyMs,
        public bool $always,
        public Does $does,
    ) {
    }

    /** A contact or a sensor says how it stands: a relay that was told to close may not have. */
    public function isMeasured(): bool
    {
        return $this->contact !== null || $this->gauge !== null;
    }
}
