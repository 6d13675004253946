<?php

declare(strict_types=1);

namespace App\Accounts;

use RuntimeException;
use Throwable;

/** Where it stands who is signed in, nobody can read just now. */
final class SessionsAway extends RuntimeException
{
    public static function because(Throwable $failed): self
    {
        return new self('Sessions cannot be read.', 0, $failed);
    }
}
