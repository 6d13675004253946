<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

use Rundfunk\Plan\Endpoint;

/** Something that an end says again and again. */
final readonly class Traffic
{
    /** @param  CanMessage|null  $message  null for the commands of this plan */
    public function __construct(public Endpoint $end, public string $name, public Sent $sent, public ?CanMessage $message)
    {
    }
}
