<?php

declare(strict_types=1);

namespace Rundfunk\Power;

use Rundfunk\Plan\Load as PlanLoad;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Supply;

/** Something that draws from a supply: a module, a board, another supply that lives on it, a load. */
final readonly class Take
{
    public function __construct(public Module|Node|Supply|PlanLoad $by, public string $name, public Load $load)
    {
    }
}
