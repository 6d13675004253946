<?php

declare(strict_types=1);

// Prints a made-up plan of a given size, assigned: php benchmarks/write-large-plan.php 500 [islands|house|hub]

use Rundfunk\Format\PlanWriter;
use Rundfunk\Shipped;

require dirname(__DIR__).'/vendor/autoload.php';
require __DIR__.'/large-plan.php';

ini_set('memory_limit', '2G');
echo (new PlanWriter)->write(Shipped::assigner()->assign(largePlan((int) ($argv[1] ?? 100), Shipped::assigner(), $argv[2] ?? 'islands'))->plan);
