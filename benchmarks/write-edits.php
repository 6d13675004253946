<?php

declare(strict_types=1);

// Prints the edits that are timed of a plan, and what is on screen meanwhile: php benchmarks/write-edits.php PLAN

use Rundfunk\Format\PlanReader;
use Rundfunk\Shipped;

require dirname(__DIR__).'/vendor/autoload.php';
require __DIR__.'/edits.php';

ini_set('memory_limit', '2G');
$plan = (new PlanReader(Shipped::knowledge()))->read((string) file_get_contents($argv[1] ?? 'php://stdin'));
echo json_encode(['screens' => screens($plan), 'leaf' => leafEdits($plan), 'broad' => broadEdits($plan)], JSON_THROW_ON_ERROR);
