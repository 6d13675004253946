<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular;

use Rundfunk\Check\Look;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Plan;

/** Command words that are taken, so kept that a new one need not be held against each of them. */
final class TakenWords
{
    /** @var array<string, true> */
    private array $words = [];

    /** Every word on a line of its own: words hold no line breaks. */
    private string $lines = "\n";

    private int $shortest = PHP_INT_MAX;

    /** The words of every other text of a plan. */
    public static function of(Plan $plan, ?Control $but): self
    {
        $taken = new self;
        foreach ($plan->controls() as $other) {
            $word = $other->kind === ControlKind::Text && $other->id !== $but?->id ? Commands::word($other) : null;
            if ($word !== null) {
                $taken->take($word);
            }
        }

        return $taken;
    }

    /** The words of all texts of a plan, worked out once a look: each text that wants another is held against them all. */
    public static function in(Look $look): self
    {
        return $look->once(self::class, static fn (): self => self::of($look->plan, null));
    }

    public function take(string $word): void
    {
        if (! isset($this->words[$word])) {
            $this->words[$word] = true;
            $this->lines .= "{$word}\n";
            $this->shortest = min($this->shortest, strlen($word));
        }
    }

    /** Whether one of them begins or holds the word, or the word one of them. */
    public function clashWith(string $word): bool
    {
        if (str_contains($this->lines, $word)) {
            return true;
        }
        $length = strlen($word);
        for ($from = 0; $from + $this->shortest <= $length; $from++) {
            for ($to = $from + $this->shortest; $to <= $length; $to++) {
                if (isset($this->words[substr($word, $from, $to - $from)])) {
                    return true;
                }
            }
        }

        return false;
    }
}
