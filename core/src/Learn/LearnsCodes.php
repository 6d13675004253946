<?php

declare(strict_types=1);

namespace Rundfunk\Learn;

use Rundfunk\Plan\KeyCode;

/** A medium whose bought remotes and appliances have codes that are learned: captured, or read from a file. */
interface LearnsCodes
{
    /**
     * @param  string  $text  a capture or a keymap, in any form the medium reads
     * @param  list<KeyCode>  $known  codes that the node has already
     * @return list<array<string, mixed>> a row a press or key, see {@see LearnedRow::schema}
     *
     * @throws LearningRefused
     */
    public function learn(string $text, array $known): array;

    /** A code in few letters, for a cell of a grid. */
    public function inShort(KeyCode $code): string;
}
