<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Shown;

/** Something to begin with when what a device speaks is written down. */
final readonly class ProtocolExample
{
    /** @param  string  $values  of a protocol, as JSON */
    public function __construct(public string $key, public string $name, public string $basis, public string $values)
    {
    }
}
