<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Line;

use Rundfunk\Medium\Serial\SerialEnd;
use Rundfunk\Medium\Serial\SerialFrame;
use Rundfunk\Medium\Serial\SerialSettings;

/**
 * A box that is asked. Each question is answered once; a question that comes again is answered by the same and not done again. What it
 * has to say goes with an answer, one message at a time, and counts as heard when the next question has the next number. When nobody has
 * asked for long, whoever asked is off or the cable is cut: then nothing is known of any of the others.
 */
final class Answering implements LineEnd
{
    private readonly FrameStream $stream;

    private bool $begun = false;

    /** Nothing was asked since it started. */
    private bool $fresh = true;

    private int $last = 0;

    /** Its answer carried the first that waits. */
    private bool $offered = false;

    private int $count = 1;

    private ?int $lastForAll = null;

    private ?SerialFrame $answer = null;

    private bool $isDue = false;

    /** @var list<LineMessage> */
    private array $waiting = [];

    private int $askedMs = 0;

    /** Nobody has asked for long, and that was noticed. */
    private bool $isSilent = false;

    /** @var list<int> others that are still to be called gone */
    private array $gone = [];

    /**
     * @param  bool  $hearsAll  what goes to everybody is for it too: it is told together with others
     * @param  list<int>  $others  ids of all others on the line
     * @param  int  $silentMs  for how long nobody may ask until they count as gone
     */
    public function __construct(private readonly SerialSettings $settings, private readonly int $own, private readonly bool $hearsAll, private readonly array $others, private readonly int $silentMs)
    {
        $this->stream = new FrameStream($settings);
    }

    public function tell(LineMessage $message, int $nowMs): bool
    {
        if (count($this->waiting) >= self::QUEUE_MOST) {
            return false;
        }
        $this->waiting[] = $message;

        return true;
    }

    public function byte(int $byte, int $nowMs): ?LineMessage
    {
        $frame = $this->stream->byte($byte);
        // An answer has a count, a question none: what other boxes answer is not for this one.
        if ($frame === null || $frame->count !== 0) {
            return null;
        }

        return match ($frame->to) {
            $this->own => $this->asked($frame, $nowMs),
            SerialEnd::EVERYBODY => $this->all($frame),
            default => null,
        };
    }

    /** @phpstan-impure */
    public function gone(): ?int
    {
        return array_shift($this->gone);
    }

    public function step(int $nowMs): string
    {
        if (! $this->fresh && ! $this->isSilent && ($nowMs - $this->askedMs & 0xFFFF_FFFF) >= $this->silentMs) {
            $this->isSilent = true;
            $this->gone = $this->others;
        }
        if (! $this->isDue || $this->answer === null) {
            return '';
        }
        $this->isDue = false;

        return $this->answer->bytes($this->settings);
    }

    private function asked(SerialFrame $frame, int $nowMs): ?LineMessage
    {
        $this->isDue = true;
        $this->askedMs = $nowMs;
        $this->isSilent = false;
        $this->gone = [];
        if ($frame->code === SerialFrame::BEGIN) {
            $this->begun = true;
            $this->offered = false;
            $this->last = 0;
            $this->lastForAll = null;
            $this->answer = $this->says($frame, SerialFrame::BEGIN, $this->fresh ? 1 : 0);

            return null;
        }
        if (! $this->begun) {
            $this->answer = $this->says($frame, SerialFrame::BEGIN, 1);

            return null;
        }
        if ($frame->sequence === $this->last) {
            return null;
        }
        if ($this->offered && $frame->sequence === Sequence::after($this->last)) {
            array_shift($this->waiting);
            $this->count = Sequence::after($this->count);
        }
        $this->fresh = false;
        $this->last = $frame->sequence;
        $next = $this->waiting[0] ?? null;
        $this->offered = $next !== null;
        $this->answer = $next === null ? $this->says($frame, SerialFrame::NOTHING, 0) : new SerialFrame($next->id, $this->own, $frame->sequence, $this->count, $next->code, $next->argument);

        return $frame->code === SerialFrame::NOTHING ? null : new LineMessage($frame->from, $frame->code, $frame->argument);
    }

    private function all(SerialFrame $frame): ?LineMessage
    {
        // What it told all itself comes back to it in the name of whoever asks.
        if (! $this->hearsAll || $frame->from === $this->own || $this->lastForAll === $frame->sequence) {
            return null;
        }
        $this->lastForAll = $frame->sequence;

        return new LineMessage($frame->from, $frame->code, $frame->argument);
    }

    private function says(SerialFrame $asked, int $code, int $argument): SerialFrame
    {
        return new SerialFrame($asked->from, $this->own, $asked->sequence, $this->count, $code, $argument);
    }
}
