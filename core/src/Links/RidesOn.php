<?php

declare(strict_types=1);

namespace Rundfunk\Links;

use Rundfunk\Plan\Link;

/** A medium whose links may go over what a node has for another: packets of lamps over the house's network. Such an end needs no part of its own. */
interface RidesOn
{
    /** @return string|null the key of the other medium; null where a link goes over parts of its own */
    public function ridesOn(Link $link): ?string;
}
