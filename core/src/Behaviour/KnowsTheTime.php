<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

/** A medium on which a node can be told the time of day. */
interface KnowsTheTime
{
}
