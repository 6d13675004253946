<?php

declare(strict_types=1);

namespace App\Plans;

use RuntimeException;

/** The plan is there for the user, but not for this. */
final class AccessRefused extends RuntimeException
{
    public static function to(Access $has): self
    {
        return new self(match ($has) {
            Access::Viewer => 'This plan is shared with you to look at, not to change.',
            Access::Editor, Access::Owner => 'This plan is shared with you: only its owner can do this.',
        });
    }
}
