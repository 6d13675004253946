<?php

declare(strict_types=1);

namespace Tests\Golden;

use Rundfunk\Check\Fix;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Shipped;

/** Of what kinds that is which is said of a plan: which plans are worth keeping is told by it. */
final class Kinds
{
    /** @return array<string, true> */
    public static function of(Plan $plan): array
    {
        $kinds = [];
        foreach (Shipped::checker()->check($plan)->all() as $finding) {
            $kinds["{$finding->rule()} {$finding->severity->value} ".implode(' ', array_keys($finding->numbers))] = true;
            $kinds["{$finding->rule()} mended by ".implode(' or ', array_map(static fn (Fix $fix): string => self::done($fix->operations), $finding->fixes()))] = true;
        }
        foreach (Shipped::assigner()->assign($plan)->proposals as $proposal) {
            $kinds["{$proposal->stage->name} ".self::done($proposal->operations).($proposal->before === null ? ' anew' : '')] = true;
        }

        return $kinds;
    }

    /** @param  list<Operation>  $operations */
    private static function done(array $operations): string
    {
        return implode(', ', array_map(static fn (Operation $operation): string => "{$operation->op->value} {$operation->kind?->value}", $operations));
    }
}
