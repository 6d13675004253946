<?php

declare(strict_types=1);

namespace Rundfunk\Assign;

/** The order in which Assign works: outside in, what is shared first. */
enum Stage: string
{
    case Expander = 'expander';

    /** Before what feeds it: what is on a module says what it draws. */
    case Channel = 'channel';
    case Supply = 'supply';
    case Board = 'board';
    case Attachment = 'attachment';
    case Link = 'link';
    case Path = 'path';
    case Address = 'address';
    case Code = 'code';
    case Frame = 'frame';
    case End = 'end';
    case Pin = 'pin';
    case Part = 'part';
}
