<?php

declare(strict_types=1);

namespace Rundfunk\Shape;

use Attribute;

/** What a list holds, where the language cannot say it: a class of what is shown, or "string", "int", "float". */
#[Attribute(Attribute::TARGET_PARAMETER | Attribute::TARGET_PROPERTY)]
final readonly class ListOf
{
    public function __construct(public string $what)
    {
    }
}
