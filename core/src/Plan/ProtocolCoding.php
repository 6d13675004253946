<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

/** How a packet's bits become bytes on the line, so that its beginning and its end are known. */
enum ProtocolCoding: string
{
    /** Eight bits a byte, as they come: the first field and the length say where a packet is. */
    case Bytes = 'bytes';
    /** The first byte has its top bit set and no other has: those carry seven bits each. */
    case Seven = 'seven';
    /** Ended by 0xC0, which is written as two bytes where it occurs (RFC 1055). */
    case Slip = 'slip';
    /** Between two 0x7E, which is written as two bytes where it occurs (octet stuffing of RFC 1662). */
    case Hdlc = 'hdlc';
}
