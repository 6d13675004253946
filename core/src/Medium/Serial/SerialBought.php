<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

use Rundfunk\Learn\KnowsBought;
use Rundfunk\Plan\ThingKind;

/** What a bought thing on a line says and understands stands in its protocol. */
final readonly class SerialBought implements KnowsBought
{
    public function writtenAs(): ThingKind
    {
        return ThingKind::Protocol;
    }
}
