<?php

declare(strict_types=1);

namespace Rundfunk\View;

use RuntimeException;

final class NoSuchView extends RuntimeException
{
    /** @param  list<string>  $known */
    public static function named(string $key, array $known): self
    {
        return new self('There is no view "'.mb_substr(mb_scrub($key), 0, 40).'". There are '.implode(', ', $known).'.');
    }
}
