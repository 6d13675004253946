<?php

declare(strict_types=1);

namespace Rundfunk\Rehearsal;

/** Something that happens on the bench. */
final readonly class Event
{
    /** @param  string|null  $from  who calls or texts; null for a call from nobody knows whom */
    private function __construct(public EventKind $kind, public string $bytes, public ?string $from, public string $at = '')
    {
    }

    /** Bytes come over a line. */
    public static function bytes(string $bytes): self
    {
        return new self(EventKind::Bytes, $bytes, null);
    }

    public static function call(?string $from): self
    {
        return new self(EventKind::Call, '', $from);
    }

    /** @param  string  $at  when it was sent, as the network says it */
    public static function text(string $from, string $at, string $text): self
    {
        return new self(EventKind::Text, $text, $from, $at);
    }
}
