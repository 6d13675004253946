<?php

declare(strict_types=1);

namespace Rundfunk\Medium;

use Rundfunk\Assign\Step;

interface Proposes
{
    /** @return list<Step> */
    public function steps(): array;
}
