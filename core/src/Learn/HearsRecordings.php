<?php

declare(strict_types=1);

namespace Rundfunk\Learn;

use Rundfunk\Learn\Shown\RecordingShown;

/** A medium whose recordings can be looked through for what somebody did meanwhile. Nothing of them is kept. */
interface HearsRecordings
{
    /**
     * @param  string  $text  a recording
     * @param  string|null  $after  a second one, made after what is looked for had happened
     * @param  int|null  $times  how often it was done in the first
     * @param  array{id: string, start: int, bits: int, highFirst: bool, signed: bool}|null  $signal  what to draw against time, its identifier in hexadecimal digits: three or eight
     *
     * @throws LearningRefused
     */
    public function heard(string $text, ?string $after, ?int $times, ?array $signal): RecordingShown;

    /** @return list<string> forms in which recordings are written, by name */
    public function forms(): array;

    /**
     * @param  string  $form  one of them
     * @return string the same recording in that form
     *
     * @throws LearningRefused
     */
    public function rewritten(string $text, string $form): string;
}
