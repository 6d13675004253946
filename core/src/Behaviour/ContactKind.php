<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

/** What is either worked or not. */
enum ContactKind: string
{
    /** Springs back. Held when the node starts, it counts only once it was let go. */
    case Key = 'key';

    /** Stays where it is put: what follows it is told where it stands when the node starts. */
    case Switch = 'switch';

    /** Something that the program itself notices: a press on its web page, a phrase, a doorbell. It does not bounce. */
    case Notice = 'notice';
}
