<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

/** A medium over which a control can say that it is not held, too: a key of a toy's handset only ever says that it is. */
interface CarriesLetGo
{
}
