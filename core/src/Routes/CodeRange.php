<?php

declare(strict_types=1);

namespace Rundfunk\Routes;

/** The command codes that a hop can carry, and where each command needs one of its own. */
final readonly class CodeRange
{
    /** @param  string  $endpointId  the receiver, where a message is addressed to one; the sender, where all hear it and it is signed */
    public function __construct(public int $lowest, public int $highest, public string $endpointId)
    {
    }

    /** @param  array<int, true>  $used */
    public function lowestFree(array $used): ?int
    {
        for ($code = $this->lowest; $code <= $this->highest; $code++) {
            if (! isset($used[$code])) {
                return $code;
            }
        }

        return null;
    }
}
