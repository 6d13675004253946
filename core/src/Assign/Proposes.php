<?php

declare(strict_types=1);

namespace Rundfunk\Assign;

interface Proposes
{
    /** @return list<Step> */
    public function steps(): array;
}
