<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

/** What stands in one place of a packet. */
enum ProtocolPartKind: string
{
    /** Always the same. */
    case Fixed = 'fixed';
    /** The id of the device that is meant, or that answers. */
    case Id = 'id';
    /** What is to be done: the code of the function or reading. */
    case Function = 'function';
    /** How many bytes of values follow, and a number that is added. */
    case Length = 'length';
    /** The values of the function, in their order. */
    case Values = 'values';
    /** The check sum of the bytes before it. */
    case Check = 'check';
}
