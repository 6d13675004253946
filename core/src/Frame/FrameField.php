<?php

declare(strict_types=1);

namespace Rundfunk\Frame;

final readonly class FrameField
{
    /** @param  string  $name as C may name it */
    public function __construct(public string $name, public FieldSize $size, public string $doc)
    {
    }
}
