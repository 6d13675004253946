<?php

declare(strict_types=1);

namespace Rundfunk\Frame;

final readonly class FrameField
{
    /**
     * @param  string  $name  as C may name it
     * @param  int  $notBefore  byte at which it begins at the earliest: what stands before it is another's
     */
    public function __construct(public string $name, public FieldSize $size, public string $doc, public int $notBefore = 0)
    {
    }
}
