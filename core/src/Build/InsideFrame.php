<?php

declare(strict_types=1);

namespace Rundfunk\Build;

use Rundfunk\Frame\FrameLayout;

/** Bytes inside a frame that have a layout of their own. */
final readonly class InsideFrame
{
    /** @param  string  $what  they are, as C may name it, in small letters */
    public function __construct(public string $what, public string $title, public FrameLayout $layout)
    {
    }
}
