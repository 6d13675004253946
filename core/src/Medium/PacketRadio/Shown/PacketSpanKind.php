<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Shown;

/** What goes on in a part of an exchange. */
enum PacketSpanKind: string
{
    /** Transmitter and receiver change over. */
    case Turn = 'turn';

    /** The message. */
    case Frame = 'frame';

    /** The receiver's answer. */
    case Acknowledge = 'acknowledge';
}
