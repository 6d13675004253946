<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Dbc;

use Rundfunk\Plan\BusMessage;

/** A message and who sends it. */
final readonly class DescribedMessage
{
    /** @param  string  $sender  empty where the file does not say */
    public function __construct(public string $sender, public BusMessage $message)
    {
    }
}
