<?php

declare(strict_types=1);

namespace Rundfunk\View;

/** A view that hangs on more than what is felt by its owner, as the shortest way through the network does: it is drawn anew after every edit. */
interface LooksFar
{
}
