<?php

declare(strict_types=1);

namespace App\Limits;

/** Held until it is given back, or nobody knows of it any more. */
final class Slot
{
    /** @param  resource|null  $file  null where there is nothing to lock */
    public function __construct(private mixed $file)
    {
    }

    public function giveBack(): void
    {
        if (is_resource($this->file)) {
            fclose($this->file);
        }
        $this->file = null;
    }
}
