<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Cellular\Commands;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;

/** Two command words of one modem, of which one begins or holds the other. */
#[Finds('cell-words-clash', WorkStep::Routes)]
final readonly class WordsClash implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $words = [];
        foreach ($end->node->kind->isBought() ? [] : Commands::to($look->plan, $end->endpoint) as ['control' => $control]) {
            $word = Commands::word($control);
            if ($word !== null) {
                $words[$control->id] = ['control' => $control, 'word' => $word];
            }
        }
        $words = array_values($words);
        foreach ($words as $index => $one) {
            foreach (array_slice($words, $index + 1) as $other) {
                if (str_contains($one['word'], $other['word']) || str_contains($other['word'], $one['word'])) {
                    yield self::finding($look->plan, $end->node, $one['control'], $one['word'], $other['control'], $other['word']);
                }
            }
        }
    }

    private static function finding(Plan $plan, Node $modem, Control $one, string $word, Control $other, string $otherWord): Finding
    {
        [$short, $long] = strlen($word) <= strlen($otherWord) ? [$word, $otherWord] : [$otherWord, $word];
        $begins = str_starts_with($long, $short);

        return Finding::fault(
            match (true) {
                $short === $long => "\"{$word}\" means two things",
                $begins => "\"{$long}\" begins with \"{$short}\"",
                default => "\"{$long}\" holds \"{$short}\"",
            },
            Spot::of($other, "{$plan->node($other->nodeId)->name}, {$other->name}", 'word'),
            $short === $long
                ? "{$modem->name} does whichever it finds first."
                : 'A program that looks whether the text '.($begins ? 'begins with' : 'contains')." \"{$short}\" obeys it when \"{$long}\" was meant: how D1 is confused with D11.",
            'Choose words of which none begins or holds another.',
            Fix::settings('Clear the second, for Assign to choose', $other, ['word' => null]),
            numbers: ['first' => $word, 'second' => $otherWord],
            about: [$one->id, $other->id],
        );
    }
}
