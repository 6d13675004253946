<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Rule;

use Rundfunk\Check\ControlRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Cellular\Commands;
use Rundfunk\Medium\Cellular\CommandWords;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Spot;

/** A word that ends in another action than its text has. */
#[Finds('cell-word-lies', WorkStep::Routes)]
final readonly class WordLies implements ControlRule
{
    public function check(Control $control, Look $look): iterable
    {
        $word = $control->kind === ControlKind::Text ? Commands::word($control) : null;
        $routes = $look->plan->routesFrom($control);
        if ($word === null || count($routes) !== 1 || ! Commands::reachModem($look->plan, $control)) {
            return [];
        }
        $says = CommandWords::actionOf($word);
        $does = $routes[0]->action;
        if ($says === null || $says === $does) {
            return [];
        }
        $true = CommandWords::renamed($look->plan, $control, $word, $routes[0]);

        return [Finding::warning(
            "{$word} does not {$says->value}: it is {$does->value}",
            Spot::of($control, "{$look->plan->node($control->nodeId)->name}, {$control->name}", 'word'),
            'Whoever sends it a year from now believes the word, and so does the card on the wall.',
            'Let the word say what is done.',
            Fix::settings("Call it {$true}", $control, ['word' => $true]),
            numbers: ['word' => $word, 'action' => $does->value],
        )];
    }
}
