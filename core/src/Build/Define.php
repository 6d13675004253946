<?php

declare(strict_types=1);

namespace Rundfunk\Build;

/** One constant of a generated header. */
final readonly class Define
{
    /** @param  string  $value as C writes it */
    public function __construct(public string $name, public string $value, public string $comment = '')
    {
    }
}
