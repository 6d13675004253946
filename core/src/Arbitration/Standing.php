<?php

declare(strict_types=1);

namespace Rundfunk\Arbitration;

/** How an output stands among its masters. */
final readonly class Standing
{
    /**
     * @param  int  $value  what it stands at
     * @param  list<int>  $holders  the masters that hold it on
     * @param  bool  $barred  somebody switched it off by hand, and nothing but a hand may switch it on
     */
    public function __construct(public int $value, public array $holders = [], public bool $barred = false)
    {
    }
}
