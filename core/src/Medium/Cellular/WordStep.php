<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Knowledge;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;
use Rundfunk\Plan\ThingKind;

/** The command word of each text: what it does, said so that no word begins or contains another. */
final readonly class WordStep implements Step
{
    public function stage(): Stage
    {
        return Stage::Code;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->linksOver(Cellular::KEY) as $link) {
            $commands = [];
            foreach ($plan->endpointsOn($link) as $endpoint) {
                foreach (Commands::to($plan, $endpoint) as $command) {
                    $commands[$command['control']->id] ??= $command;
                }
            }
            $taken = new TakenWords;
            $wordless = [];
            // What the user fixed comes first; of two others that clash the first keeps its word.
            usort($commands, static fn (array $a, array $b): int => $b['control']->pinned <=> $a['control']->pinned);
            foreach ($commands as $command) {
                $word = Commands::word($command['control']);
                if ($word !== null && ($command['control']->pinned || ! $taken->clashWith($word))) {
                    $taken->take($word);
                } elseif ($command['control']->kind === ControlKind::Text) {
                    $wordless[] = $command;
                }
            }
            foreach ($wordless as ['control' => $control, 'route' => $route, 'output' => $output]) {
                $word = CommandWords::free($output, $route, $taken);
                $taken->take($word);
                $node = $plan->node($control->nodeId);
                yield new Proposal(
                    $this->stage(),
                    Spot::of($control, "{$node->name}, {$control->name}", 'word'),
                    "Command word of {$node->name} · {$control->name}",
                    Commands::word($control),
                    $word,
                    'What it works and how, in letters that every phone has; no other word begins with it or holds it.',
                    [Operation::change(ThingKind::Control, $control->id, ['settings' => ['word' => $word]])],
                );
            }
        }
    }
}
