<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

use RuntimeException;

final class NotInCatalogue extends RuntimeException
{
    public static function board(string $key): self
    {
        return new self("The catalogue has no board \"{$key}\".");
    }

    public static function module(string $key): self
    {
        return new self("The catalogue has no module \"{$key}\".");
    }

    public static function supply(string $key): self
    {
        return new self("The catalogue has no supply \"{$key}\".");
    }

    public static function region(string $key): self
    {
        return new self("The catalogue has no region \"{$key}\".");
    }
}
