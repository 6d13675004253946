<?php

declare(strict_types=1);

// How the core's time grows with the plan: php benchmarks/core.php
// Each figure is a median of nine on plans that were never looked into before, printed beside its ratio to the demo's, measured in the same run.

use Rundfunk\Demo\LindenHollow;
use Rundfunk\Edit\Editor;
use Rundfunk\Edit\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\PlanReader;
use Rundfunk\Plan\PlanWriter;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Shipped;

require dirname(__DIR__).'/vendor/autoload.php';
require __DIR__.'/large-plan.php';

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
$knowledge = Shipped::knowledge();
$checker = Shipped::checker();
$base = [];
printf("%-14s %8s %8s | %18s %18s %18s\n", 'plan', 'nodes', 'routes', 'read', 'whole check', 'edit + recheck');
foreach (['demo' => LindenHollow::plan(Shipped::assigner()), 50 => null, 100 => null, 200 => null, 500 => null] as $name => $plan) {
    $from = hrtime(true);
    $plan ??= Shipped::assigner()->assign(largePlan((int) $name, Shipped::assigner()))->plan;
    $assignMs = (hrtime(true) - $from) / 1e6;
    $json = (new PlanWriter)->write($plan);
    $reader = new PlanReader($knowledge);
    $findings = $checker->check($plan);
    $node = $plan->nodes()[0];
    $figures = [
        'read' => medianMs(static fn (string $text) => $reader->read($text), static fn (): string => $json),
        'check' => medianMs(static fn (Plan $read) => $checker->check($read), static fn (): Plan => $reader->read($json)),
        'edit' => medianMs(
            static fn (Plan $read) => $checker->recheck((new Editor($knowledge))->apply($read, [Operation::change(ThingKind::Node, $node->id, ['name' => 'Other'])]), $findings),
            static fn (): Plan => $reader->read($json),
        ),
    ];
    $base = $base === [] ? $figures : $base;
    printf('%-14s %8d %8d |', $name, count($plan->nodes()), count($plan->routes()));
    foreach ($figures as $figure => $ms) {
        printf(' %9.1f ms %5.1f×', $ms, $ms / $base[$figure]);
    }
    printf("   made and assigned in %.1f s\n", $assignMs / 1000);
}
