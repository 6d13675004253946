<?php

declare(strict_types=1);

namespace Rundfunk\Build;

use Rundfunk\Knowledge;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;

/** A medium that has more to tell a node's program than constants: tables, in C99. */
interface WritesC
{
    /**
     * @param  string  $prefix  of every name, in capitals
     * @return list<string> lines of C, static and without allocation
     */
    public function cLines(Plan $plan, Endpoint $endpoint, string $prefix, Knowledge $knowledge): array;
}
