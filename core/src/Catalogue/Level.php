<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

enum Level: string
{
    case High = 'high';
    case Low = 'low';
}
