<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular;

/** What a modem's answer to AT+CREG? or AT+CEREG? says of the network. Source: 3GPP TS 27.007. */
enum Registration: int
{
    case Not = 0;
    case Home = 1;
    case Searching = 2;
    case Denied = 3;
    case Unknown = 4;
    case Roaming = 5;

    /** Calls and texts can come and go. */
    public function serves(): bool
    {
        return $this === self::Home || $this === self::Roaming;
    }

    public function words(): string
    {
        return match ($this) {
            self::Not => 'not registered, and not looking: card, or switched off the air',
            self::Home => 'registered at home',
            self::Searching => 'not registered, looking for a network',
            self::Denied => 'refused: ask the operator whether card and modem are let in',
            self::Unknown => 'not known: out of reach, most often',
            self::Roaming => 'registered in another\'s network, which will do and may cost',
        };
    }
}
