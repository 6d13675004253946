<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio;

use Rundfunk\Learn\LearnsCodes;
use Rundfunk\Plan\KeyCode;

/** Codes of bought things: learned, told in short, laid out as sets. */
final readonly class KeyedCodebook implements LearnsCodes
{
    public function learn(string $text, array $known): array
    {
        return KeyedLearning::from($text, $known);
    }

    public function inShort(KeyCode $code): string
    {
        return KeyedCodes::button($code) ?? ($code->command === null ? '?' : sprintf('%06X', $code->command));
    }
}
