<?php

declare(strict_types=1);

namespace Rundfunk\Medium;

/** The command codes a medium can carry. */
final readonly class CodeRange
{
    public function __construct(public int $lowest, public int $highest)
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
