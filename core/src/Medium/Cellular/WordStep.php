<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Cellular\Rule\WordsClash;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\Spot;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Routes\RouteNames;
use Rundfunk\Text\CNames;

/** The command word of each text: what it does, said so that no word begins or contains another. */
final readonly class WordStep implements Step
{
    private const LONGEST = 24;

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
            $taken = [];
            $wordless = [];
            // What the user fixed comes first; of two others that clash the first keeps its word.
            usort($commands, static fn (array $a, array $b): int => $b['control']->pinned <=> $a['control']->pinned);
            foreach ($commands as $command) {
                $word = Commands::word($command['control']);
                if ($word !== null && ($command['control']->pinned || ! WordsClash::clashesAny($word, $taken))) {
                    $taken[] = $word;
                } elseif ($command['control']->kind === ControlKind::Text) {
                    $wordless[] = $command;
                }
            }
            foreach ($wordless as ['control' => $control, 'route' => $route, 'output' => $output]) {
                $word = self::free($output, $route, $taken);
                $taken[] = $word;
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

    /** @param  list<string>  $taken */
    private static function free(Output $output, Route $route, array $taken): string
    {
        $action = strtoupper(RouteNames::inWords($route));
        // Room for a blank, and for a number should the word be taken.
        $name = str_replace('_', ' ', mb_substr(CNames::upper($output->name), 0, self::LONGEST - 2 - strlen($action)));
        // The number goes in the middle: behind, the word would begin with the one that is taken.
        foreach (["{$name} {$action}", ...array_map(static fn (int $number): string => "{$name}{$number} {$action}", range(2, 9))] as $word) {
            if (! WordsClash::clashesAny($word, $taken)) {
                return $word;
            }
        }
        // Words of one length never begin each other.
        $number = 100;
        while (WordsClash::clashesAny("DO {$number}", $taken)) {
            $number++;
        }

        return "DO {$number}";
    }
}
