<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

/** The bit behind the data that makes their ones even or odd in number. */
enum Parity: string
{
    case None = 'none';
    case Even = 'even';
    case Odd = 'odd';

    public function letter(): string
    {
        return strtoupper($this->value[0]);
    }
}
