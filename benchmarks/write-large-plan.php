<?php

declare(strict_types=1);

// Prints a made-up plan of a given size, assigned: php benchmarks/write-large-plan.php 500

use Rundfunk\Assign\Assigner;
use Rundfunk\Knowledge;
use Rundfunk\Plan\PlanWriter;

require dirname(__DIR__).'/vendor/autoload.php';
require __DIR__.'/large-plan.php';

ini_set('memory_limit', '2G');
$knowledge = Knowledge::shipped();
echo (new PlanWriter)->write((new Assigner($knowledge))->assign(largePlan((int) ($argv[1] ?? 100), $knowledge))->plan);
