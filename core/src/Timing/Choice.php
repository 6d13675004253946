<?php

declare(strict_types=1);

namespace Rundfunk\Timing;

/** What of a span is left to chance. */
enum Choice
{
    /** Nothing. */
    case None;
    /** How long it takes, between its best and its worst. */
    case Length;
    /** Which of several lengths it has. */
    case Which;
    /** How often it comes again. */
    case Times;
}
