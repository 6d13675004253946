<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

/** What one entry of a device's manual is for. */
enum ProtocolItemKind: string
{
    /** A function: it does something when it is told. */
    case Does = 'does';
    /** A reading: it answers when it is asked. */
    case Answers = 'answers';
    /** Something that it says unasked. */
    case Says = 'says';
}
