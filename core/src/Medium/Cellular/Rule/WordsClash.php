<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Cellular\Commands;
use Rundfunk\Medium\Cellular\Modem;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\Plan;

/** Two command words of one modem, of which one begins or holds the other. */
final readonly class WordsClash extends CellularRule implements LooksNearby
{
    public function key(): string
    {
        return 'cell-words-clash';
    }

    /** @param  list<string>  $taken */
    public static function clashesAny(string $word, array $taken): bool
    {
        foreach ($taken as $other) {
            if (str_contains($word, $other) || str_contains($other, $word)) {
                return true;
            }
        }

        return false;
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        $byModem = [];
        foreach (self::commands($plan, $knowledge) as ['modem' => $modem, 'control' => $control]) {
            $word = Commands::word($control);
            if ($word !== null) {
                $byModem[$modem->endpoint->id][$control->id] = ['modem' => $modem, 'control' => $control, 'word' => $word];
            }
        }
        foreach ($byModem as $words) {
            $words = array_values($words);
            foreach ($words as $index => $one) {
                foreach (array_slice($words, $index + 1) as $other) {
                    if (self::clashesAny($one['word'], [$other['word']])) {
                        yield $this->finding($plan, $one['modem'], $one['control'], $one['word'], $other['control'], $other['word']);
                    }
                }
            }
        }
    }

    private function finding(Plan $plan, Modem $modem, Control $one, string $word, Control $other, string $otherWord): Finding
    {
        [$short, $long] = strlen($word) <= strlen($otherWord) ? [$word, $otherWord] : [$otherWord, $word];
        $begins = str_starts_with($long, $short);

        return new Finding(
            $this->key(),
            Severity::Fault,
            match (true) {
                $short === $long => "\"{$word}\" means two things",
                $begins => "\"{$long}\" begins with \"{$short}\"",
                default => "\"{$long}\" holds \"{$short}\"",
            },
            Subject::of($other, "{$plan->node($other->nodeId)->name}, {$other->name}", 'word'),
            ['first' => $word, 'second' => $otherWord],
            $short === $long
                ? "{$modem->node->name} does whichever it finds first."
                : 'A program that looks whether the text '.($begins ? 'begins with' : 'contains')." \"{$short}\" obeys it when \"{$long}\" was meant: how D1 is confused with D11.",
            'Choose words of which none begins or holds another.',
            self::setControl($other, 'Clear the second, for Assign to choose', ['word' => null]),
            [$one->id, $other->id],
        );
    }
}
