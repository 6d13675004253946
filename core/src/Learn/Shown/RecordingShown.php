<?php

declare(strict_types=1);

namespace Rundfunk\Learn\Shown;

use Rundfunk\Shape\ListOf;

/** A recording, identifier by identifier, and what of it may be what is looked for. */
final readonly class RecordingShown
{
    /**
     * @param  list<float>  $marksS  when somebody said "now"; where two recordings are drawn, where the second begins
     * @param  list<RecordedRow>  $rows
     * @param  list<RecordedRow>  $after  of the second recording; none without one
     * @param  string|null  $way  how bits were looked for, in words; null where nothing says by what
     * @param  list<FoundBit>  $found  the likeliest first
     * @param  list<float>  $drawnS  seconds, of what is drawn against time
     * @param  list<float>  $drawn  its figures
     */
    public function __construct(
        public int $frames,
        public float $seconds,
        #[ListOf('float')] public array $marksS,
        #[ListOf(RecordedRow::class)] public array $rows,
        #[ListOf(RecordedRow::class)] public array $after,
        public ?string $way,
        #[ListOf(FoundBit::class)] public array $found,
        #[ListOf('float')] public array $drawnS,
        #[ListOf('float')] public array $drawn,
    ) {
    }
}
