<?php

declare(strict_types=1);

namespace Rundfunk\Medium;

/** A medium whose messages begin with a command code that both ends agree on, one for each command. */
interface HandsOutCodes
{
    public function codes(): CodeRange;
}
