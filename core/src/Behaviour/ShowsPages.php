<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

/** A medium over which people open pages that a node shows. */
interface ShowsPages
{
}
