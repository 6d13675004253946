<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Bought;

use Rundfunk\Plan\Protocol;
use Rundfunk\Plan\ProtocolItem;

/** A function or reading that a line has to do with, and the form in which its device has it. */
final readonly class Known
{
    public function __construct(public Protocol $protocol, public Form $form, public ProtocolItem $item)
    {
    }
}
