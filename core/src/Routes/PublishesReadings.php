<?php

declare(strict_types=1);

namespace Rundfunk\Routes;

/** A medium on which a node tells its readings to whoever listens: such a reading needs no route to be of use. */
interface PublishesReadings
{
}
