<?php

declare(strict_types=1);

namespace App\Models;

enum EditState: string
{
    /** In force; its user can undo it. */
    case Done = 'done';
    /** In force, and made before what it touched took another form: nobody can undo it. */
    case Settled = 'settled';
    /** Taken back; its user can do it again. */
    case Undone = 'undone';
    /** Taken back, and something else was done since: out of reach. */
    case Gone = 'gone';
}
