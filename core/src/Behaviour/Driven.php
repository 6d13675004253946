<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Plan\AtStart;
use Rundfunk\Plan\Precedence;
use Rundfunk\Shape\ListOf;

/** An output of the node. */
final readonly class Driven
{
    /**
     * @param  int  $off  the value that is off
     * @param  int  $silenceMs  what another node put on or holds goes off when nothing more is heard for so long; 0 for never
     * @param  int  $masters  how many hold it
     * @param  int  $far  which of them are other nodes' controls, a bit each
     * @param  int  $unheardMs  what it shows of another node is not known any more when nothing is heard of it for so long; 0 for never
     * @param  bool  $blinks  it blinks while that is not known
     * @param  AtStart|null  $atStart  what it is put to before the first step, where that is not off: what a later build knows more of must not say otherwise of what was flashed before
     * @param  list<int>  $never  which of the node's outputs must be off while it is on
     * @param  true|null  $comesOn  unheard of for {@see $silenceMs} it goes on instead, whatever it was last told, until it is heard of again
     */
    public function __construct(
        public string $name,
        public int $lowest,
        public int $highest,
        public int $off,
        public int $on,
        public Precedence $precedence,
        public int $silenceMs,
        public int $masters,
        public int $far,
        public int $unheardMs = 0,
        public bool $blinks = false,
        public ?AtStart $atStart = null,
        #[ListOf('int')] public array $never = [],
        public ?bool $comesOn = null,
    ) {
    }
}
