<?php

declare(strict_types=1);

// How the core's time grows with the plan, in three shapes: php benchmarks/core.php
// Each figure is a median of nine on plans that were never looked into before. The exponent is that of the growth from 50
// to 500 nodes: 1 is linear.

use Rundfunk\Edit\Editor;
use Rundfunk\Format\PlanReader;
use Rundfunk\Format\PlanWriter;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Shipped;

require dirname(__DIR__).'/vendor/autoload.php';
require __DIR__.'/large-plan.php';
require __DIR__.'/edits.php';

/**
 * @template T
 *
 * @param  Closure(T): mixed  $work
 * @param  Closure(): T  $prepare  what the work is done on, made anew each time and not counted
 */
function medianMs(Closure $work, Closure $prepare): float
{
    $times = [];
    for ($round = 0; $round < 9; $round++) {
        $given = $prepare();
        $from = hrtime(true);
        $work($given);
        $times[] = (hrtime(true) - $from) / 1e6;
    }
    sort($times);

    return $times[4];
}

ini_set('memory_limit', '2G');
$checker = Shipped::checker();
$assigner = Shipped::assigner();
$editor = new Editor(Shipped::knowledge());
$reader = new PlanReader(Shipped::knowledge());
$sizes = [50, 100, 200, 500];
foreach (SHAPES as $shape) {
    $table = [];
    foreach ($sizes as $size) {
        $json = (new PlanWriter)->write($assigner->assign(largePlan($size, $assigner, $shape))->plan);
        $again = static fn (): Plan => $reader->read($json);
        $plan = $again();
        $findings = $checker->check($plan);
        $table['whole check'][$size] = medianMs(static fn (Plan $plan) => $checker->check($plan), $again);
        foreach (['leaf: ' => leafEdits($plan), 'broad: ' => broadEdits($plan)] as $kind => $edits) {
            foreach ($edits as $name => $operations) {
                /** @var list<Operation> $operations */
                $table[$kind.$name][$size] = medianMs(static fn (Plan $plan) => $checker->recheck($editor->apply($plan, $operations), $findings), $again);
            }
        }
    }
    printf("%-22s %s   exponent\n", $shape, implode('', array_map(static fn (int $size): string => sprintf('%10d', $size), $sizes)));
    foreach ($table as $name => $row) {
        printf("  %-20s %s ms   %.2f\n", $name, implode('', array_map(static fn (float $ms): string => sprintf('%10.1f', $ms), $row)), log($row[500] / $row[50]) / log(10));
    }
}
