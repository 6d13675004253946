<?php

declare(strict_types=1);

namespace Rundfunk\SafeState;

/** One link of the chain from pin to load, as it is in a phase. */
final readonly class ChainLink
{
    /**
     * @param  string  $what  "Pin D4", "Driver", "Coil", "Contact", "Load"
     * @param  string  $is  how it stands
     * @param  string  $why  in a few words
     */
    public function __construct(public string $what, public string $is, public string $why)
    {
    }
}
