<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular;

use Rundfunk\Medium\Cellular\Rule\WordsClash;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
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

    /**
     * @param  list<string>  $taken
     * @return string a word that clashes with none of those
     */
    public static function free(Output $output, Route $route, array $taken): string
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

    /** A text's word, its action put right. */
    public static function renamed(Plan $plan, Control $control, string $word, Route $route): string
    {
        $stem = (string) preg_replace('/ [A-Z]+(?: (?:MINUS )?\d+)?$/D', '', $word);
        $renamed = $stem.' '.strtoupper(RouteNames::inWords($route));
        $taken = self::taken($plan, $control);

        return mb_strlen($renamed) <= self::LONGEST && ! WordsClash::clashesAny($renamed, $taken) ? $renamed : self::free($plan->output($route->outputId), $route, $taken);
    }

    /** @return list<string> the words of every other text */
    public static function taken(Plan $plan, ?Control $but): array
    {
        $taken = [];
        foreach ($plan->controls() as $other) {
            $word = $other->kind === ControlKind::Text && $other->id !== $but?->id ? Commands::word($other) : null;
            if ($word !== null) {
                $taken[] = $word;
            }
        }

        return $taken;
    }
}
