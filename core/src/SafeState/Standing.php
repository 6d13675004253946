<?php

declare(strict_types=1);

namespace Rundfunk\SafeState;

/** What a load does in one phase, and the chain that makes it so. */
final readonly class Standing
{
    /**
     * @param  bool  $occurs  such a phase can be at all, as its supplies are
     * @param  bool  $mayBeOn  at some moment of the phase
     * @param  bool  $mayBeOff  at some moment of the phase
     * @param  string  $word  for the matrix
     * @param  list<ChainLink>  $chain  at the moment that counts
     */
    public function __construct(public Phase $phase, public bool $occurs, public bool $mayBeOn, public bool $mayBeOff, public string $word, public array $chain)
    {
    }
}
