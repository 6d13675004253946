<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Bought;

use Rundfunk\Plan\Protocol;
use Rundfunk\Plan\ProtocolForm;

/** The form of a protocol, and what keeps the bytes that come for it. */
final readonly class Forms
{
    public static function of(Protocol $protocol): Form
    {
        return match ($protocol->form) {
            ProtocolForm::Packet => new PacketForm($protocol),
            ProtocolForm::Words => new WordForm($protocol),
        };
    }

    /** @param  int  $most  bytes that the longest frame keeps */
    public static function received(Protocol $protocol, int $most): Received
    {
        return match ($protocol->form) {
            ProtocolForm::Packet => new Splitting($protocol->coding, max(1, $most)),
            ProtocolForm::Words => new LineReceived(Escaped::bytes($protocol->ending), max(1, $most)),
        };
    }

    /** What must be the same for two to share a line: where a frame begins and ends, and how it is checked. */
    public static function apart(Protocol $protocol): string
    {
        return ($protocol->form === ProtocolForm::Words ? "words {$protocol->ending}" : "packets {$protocol->coding->value}")." {$protocol->check->value} {$protocol->checkFrom}";
    }
}
