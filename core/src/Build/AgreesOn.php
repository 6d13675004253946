<?php

declare(strict_types=1);

namespace Rundfunk\Build;

use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;

/** A medium whose ends must agree on more than the settings of their link: on what is spoken over it. */
interface AgreesOn
{
    /** @return list<mixed> what a board was flashed with besides, without names and notes; nothing where the settings are all */
    public function agreedOn(Plan $plan, Link $link): array;
}
