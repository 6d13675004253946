<?php

declare(strict_types=1);

namespace Rundfunk\Timing;

enum SpanKind: string
{
    case Sampling = 'sampling';
    case Waiting = 'waiting';
    case Airtime = 'airtime';
    case Retries = 'retries';
    case Processing = 'processing';
    case Switching = 'switching';
}
