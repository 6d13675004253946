<?php

declare(strict_types=1);

namespace Tests;

use Rundfunk\Demo\FaultyOnPurpose;
use Rundfunk\Demo\LindenHollow;
use Rundfunk\Plan\Plan;
use Rundfunk\Shipped;

/** The demos, put together once for all tests: a plan never changes. */
final class Demos
{
    public static function lindenHollow(): Plan
    {
        static $plan = null;

        return $plan ??= LindenHollow::plan(Shipped::assigner());
    }

    public static function faultyOnPurpose(): Plan
    {
        static $plan = null;

        return $plan ??= FaultyOnPurpose::plan(Shipped::assigner());
    }
}
