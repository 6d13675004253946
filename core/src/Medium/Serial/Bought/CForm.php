<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Bought;

/** A protocol's frames written and read in C99. In what it gives, {l} and {L} stand for the end's names. */
interface CForm
{
    /** @return string what keeps the bytes that come: {l}_clear, {l}_push, and what writing and reading share */
    public function shared(int $most): string;

    /** @return int bytes that are kept between two ends of frames */
    public function kept(int $most): int;

    /** @return list<string> statements that put a saying into "at" */
    public function write(Saying $saying): array;

    /** @return list<string> statements that read it from "line", set *wire and go on, or return 0 */
    public function read(Saying $saying): array;
}
