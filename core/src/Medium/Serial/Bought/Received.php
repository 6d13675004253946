<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Bought;

/** The bytes that came last, as far as a frame can be long, kept as a form wants them. */
interface Received
{
    public function push(int $byte): void;

    /**
     * @param  int  $length  how long what is looked for is
     * @return string|null the frame that ends with the last byte; null while none does
     */
    public function frame(int $length): ?string;

    public function clear(): void;
}
