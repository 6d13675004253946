<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

/** Who may speak when. */
enum Topology: string
{
    /** Two ends, each on a wire of its own: each speaks when it has something to say. */
    case Pair = 'pair';
    /** One asks, the others answer; nobody speaks unasked. */
    case Polled = 'polled';
    /** What one says the next hears, takes or hands on, until it is back. */
    case Ring = 'ring';

    public function words(): string
    {
        return match ($this) {
            self::Pair => 'two ends',
            self::Polled => 'one asks, the others answer',
            self::Ring => 'ring',
        };
    }
}
