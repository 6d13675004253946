<?php

declare(strict_types=1);

namespace Rundfunk\Rehearsal;

enum EventKind: string
{
    /** Bytes come over a line. */
    case Bytes = 'bytes';
    /** Somebody calls. */
    case Call = 'call';
    /** A text arrives. */
    case Text = 'text';
}
