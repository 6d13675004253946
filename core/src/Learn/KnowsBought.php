<?php

declare(strict_types=1);

namespace Rundfunk\Learn;

use Rundfunk\Plan\ThingKind;

/** A medium whose bought things are written down from their manual, as a thing of the plan that they refer to. */
interface KnowsBought
{
    /** What they are written down as. */
    public function writtenAs(): ThingKind;
}
