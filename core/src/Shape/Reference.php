<?php

declare(strict_types=1);

namespace Rundfunk\Shape;

/** What a field that holds an id refers to. */
final readonly class Reference
{
    /**
     * @param  string  $kind  of the thing referred to, as plan files name it
     * @param  bool  $shared  what is drawn from the thing by one is felt by all that refer to it
     */
    public function __construct(public string $kind, public Bond $bond, public bool $shared = false)
    {
    }
}
