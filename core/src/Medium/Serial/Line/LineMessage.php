<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Line;

/** What one node tells another over a line. */
final readonly class LineMessage
{
    /** @param  int  $id  whose it is, of whoever says it; or for whom */
    public function __construct(public int $id, public int $code, public int $argument)
    {
    }
}
