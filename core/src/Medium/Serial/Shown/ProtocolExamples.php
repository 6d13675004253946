<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Shown;

use Rundfunk\Shape\ListOf;

final readonly class ProtocolExamples
{
    /** @param  list<ProtocolExample>  $examples */
    public function __construct(#[ListOf(ProtocolExample::class)] public array $examples)
    {
    }
}
