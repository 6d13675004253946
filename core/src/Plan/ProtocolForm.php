<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

/** What a bought device's frames are made of. */
enum ProtocolForm: string
{
    /** Fields of bits, one behind the other. */
    case Packet = 'packet';
    /** Words and figures in ASCII, ended by a sign. */
    case Words = 'words';
}
