#!/usr/bin/env php
<?php

declare(strict_types=1);

// Records what today's build says of both demos, of fifty random plans and of small ones, for GoldenTest and FoundAsBeforeTest to
// hold later builds to.
//   php tests/Golden/record.php          says it anew of the plans that are there (after a change on purpose)
//   php tests/Golden/record.php --draw   draws the plans anew as well

use Random\Engine\Mt19937;
use Random\Randomizer;
use Rundfunk\Demo\FaultyOnPurpose;
use Rundfunk\Demo\LindenHollow;
use Rundfunk\Edit\Editor;
use Rundfunk\Format\PlanReader;
use Rundfunk\Format\PlanWriter;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Shipped;
use Tests\Core\RandomEdits;
use Tests\Core\RandomPlans;
use Tests\Golden\Found;
use Tests\Golden\Kinds;
use Tests\Golden\Outcomes;

require dirname(__DIR__, 2).'/vendor/autoload.php';

$knowledge = Shipped::knowledge();

/** A third of a demo's nodes, walked through by edits that nobody would think of. */
$draw = static function (int $seed) use ($knowledge): Plan {
    $random = new Randomizer(new Mt19937($seed));
    $plan = $seed % 2 === 0 ? LindenHollow::plan(Shipped::assigner()) : FaultyOnPurpose::plan(Shipped::assigner());
    $editor = new Editor($knowledge);
    $nodes = $random->shuffleArray($plan->nodes());
    foreach (array_slice($nodes, intdiv(count($nodes), 3)) as $node) {
        $plan = $editor->apply($plan, [Operation::remove(ThingKind::Node, $node->id)])->plan;
    }
    $edits = new RandomEdits($seed, $knowledge, $seed % 5 !== 0);
    for ($done = 0, $tries = 0; $done < 5 + $seed % 30 && $tries < 2000; $tries++) {
        $edited = $edits->next($plan);
        if ($edited !== null) {
            $plan = $edited->plan;
            $done++;
        }
    }

    return $seed % 3 === 0 ? Shipped::assigner()->assign($plan)->plan : $plan;
};

// As they were recorded, for a plan of an older format must stay one.
$texts = [];
$plans = [];
if (in_array('--draw', $argv, true)) {
    $plans = ['linden-hollow' => LindenHollow::plan(Shipped::assigner()), 'faulty-on-purpose' => FaultyOnPurpose::plan(Shipped::assigner())];
    for ($seed = 1; $seed <= 50; $seed++) {
        $plans[sprintf('random-%02d', $seed)] = $draw($seed);
    }
} else {
    foreach (glob(__DIR__.'/*.json.gz') ?: [] as $file) {
        $kept = json_decode((string) gzdecode((string) file_get_contents($file)), true, 64, JSON_THROW_ON_ERROR);
        $texts[basename($file, '.json.gz')] = $kept['plan'];
        $plans[basename($file, '.json.gz')] = (new PlanReader($knowledge))->read($kept['plan']);
    }
}
foreach ($plans as $name => $plan) {
    // The plan as a file says it, for that is what the command line reads.
    $text = $texts[$name] ?? (new PlanWriter)->write($plan);
    $outcomes = Outcomes::of((new PlanReader($knowledge))->read($text), $knowledge);
    file_put_contents(__DIR__."/{$name}.json.gz", gzencode(json_encode(['plan' => $text, 'outcomes' => $outcomes], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE), 9));
    echo "{$name}: ".count($outcomes)." outcomes\n";
}

// Of Faulty as it is when the plans are drawn, and of small plans, the whole of each finding and of each proposal.
$found = [];
if (in_array('--draw', $argv, true)) {
    array_map(Found::forget(...), Found::names());
    $found[Found::FAULTY] = (new PlanWriter)->write(FaultyOnPurpose::plan(Shipped::assigner()));
    // Drawn are many; kept are those that say most that none before them said.
    $kinds = [];
    for ($seed = 3_001; $seed <= 4_500; $seed++) {
        $kinds[$seed] = Kinds::of((new RandomPlans($seed, $knowledge))->plan());
    }
    for ($kept = 0; $kept < 50; $kept++) {
        $counts = array_map(count(...), $kinds);
        $most = (int) array_search(max($counts), $counts, true);
        $found["small-{$most}"] = (new PlanWriter)->write((new RandomPlans($most, $knowledge))->plan());
        $said = $kinds[$most];
        $kinds = array_map(static fn (array $one): array => array_diff_key($one, $said), $kinds);
    }
} else {
    foreach (Found::names() as $name) {
        $found[$name] = Found::kept($name)['plan'];
    }
}
foreach ($found as $name => $text) {
    Found::record($name, $text, (new PlanReader($knowledge))->read($text));
    echo "{$name}: ".count(Found::kept($name)['found']).' findings, '.count(Found::kept($name)['proposed'] ?? [])." proposals\n";
}
