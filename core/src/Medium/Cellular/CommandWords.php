<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular;

use Rundfunk\Plan\Action;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;
use Rundfunk\Routes\RouteNames;
use Rundfunk\Text\CNames;

/** Words that say what a text does: the output, then the action. */
final readonly class CommandWords
{
    private const LONGEST = 24;

    /** @return Action|null the action that a word ends in, as words of ours do; null where it says none */
    public static function actionOf(string $word): ?Action
    {
        return preg_match('/ ([A-Z]+)(?: (?:MINUS )?\d+)?$/D', Commands::normal($word), $match) === 1 ? Action::tryFrom(strtolower($match[1])) : null;
    }

    /** @return string a word that clashes with none of those */
    public static function free(Output $output, Route $route, TakenWords $taken): string
    {
        $action = strtoupper(RouteNames::inWords($route));
        // Room for a blank, and for a number should the word be taken.
        $name = str_replace('_', ' ', mb_substr(CNames::upper($output->name), 0, self::LONGEST - 2 - strlen($action)));
        // The number goes in the middle: behind, the word would begin with the one that is taken.
        foreach (['', ...range(2, 9)] as $number) {
            $word = "{$name}{$number} {$action}";
            if (! $taken->clashWith($word)) {
                return $word;
            }
        }
        // Words of one length never begin each other.
        $number = 100;
        while ($taken->clashWith("DO {$number}")) {
            $number++;
        }

        return "DO {$number}";
    }

    /** A text's word, its action put right. */
    public static function renamed(Plan $plan, Control $control, string $word, Route $route): string
    {
        $stem = (string) preg_replace('/ [A-Z]+(?: (?:MINUS )?\d+)?$/D', '', $word);
        $renamed = $stem.' '.strtoupper(RouteNames::inWords($route));
        $taken = TakenWords::of($plan, $control);

        return mb_strlen($renamed) <= self::LONGEST && ! $taken->clashWith($renamed) ? $renamed : self::free($plan->output($route->outputId), $route, $taken);
    }
}
