<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Rundfunk\Check\Checker;
use Rundfunk\Check\Finding;
use Rundfunk\Demo\FaultyOnPurpose;
use Rundfunk\Demo\LindenHollow;
use Rundfunk\Demo\Sketch;
use Rundfunk\Knowledge;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\SupplyFrom;

/** What the tests of the core share. No framework is started. */
abstract class CoreTestCase extends TestCase
{
    private static ?Knowledge $knowledge = null;

    protected static function knowledge(): Knowledge
    {
        return self::$knowledge ??= Knowledge::shipped();
    }

    protected static function linden(): Plan
    {
        static $plan = null;

        return $plan ??= LindenHollow::plan(self::knowledge());
    }

    protected static function faulty(): Plan
    {
        static $plan = null;

        return $plan ??= FaultyOnPurpose::plan(self::knowledge());
    }

    /** @param  list<int>  $busyWifi */
    protected static function sketch(string $region = 'eu', array $busyWifi = []): Sketch
    {
        return new Sketch('test', 'Test', self::knowledge(), $region, $busyWifi);
    }

    /** A handset that sends to one board, everything assigned but pins. */
    protected static function pair(): Sketch
    {
        return self::sketch()
            ->node('hand', 'Hand', NodeKind::Handset, null, '8bit-5v-20io')
            ->module('hand-radio', 'hand', 'packet-radio-plain', 'Radio', SupplyFrom::Board3V3)
            ->module('hand-keys', 'hand', 'button-pad-4', 'Keys')
            ->node('board', 'Board', NodeKind::Controller, null, '8bit-5v-20io')
            ->module('board-radio', 'board', 'packet-radio-plain', 'Radio', SupplyFrom::Board3V3)
            ->module('board-relays', 'board', 'relay-bank-4-low', 'Relays', SupplyFrom::Own);
    }

    /** @return list<Finding> */
    protected static function found(Plan $plan, string $rule): array
    {
        return (new Checker(self::knowledge()))->check($plan)->byRule()[$rule];
    }
}
