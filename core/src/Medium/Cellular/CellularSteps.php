<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular;

use Rundfunk\Assign\Proposes;

/** What Assign asks it for. */
final readonly class CellularSteps implements Proposes
{
    public function steps(): array
    {
        return [new WordStep];
    }
}
