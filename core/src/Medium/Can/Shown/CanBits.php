<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Shown;

use Rundfunk\Shape\ListOf;

/** A signal, and which bits are its own. */
final readonly class CanBits
{
    /**
     * @param  list<int>  $places  8 · byte + bit, the highest bit of the signal first; none beyond the message
     * @param  string  $says  what it goes from and to, in words
     * @param  bool  $isRead  whether a reading or a function is this
     */
    public function __construct(public string $name, #[ListOf('int')] public array $places, public string $says, public bool $isRead)
    {
    }
}
