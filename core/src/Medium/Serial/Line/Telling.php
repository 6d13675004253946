<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Line;

use Rundfunk\Medium\Serial\SerialEnd;
use Rundfunk\Medium\Serial\SerialFrame;
use Rundfunk\Medium\Serial\SerialSettings;
use Rundfunk\Medium\Serial\Topology;

/**
 * An end that speaks when it has something to say. Between two, the other answers each message. In a ring each takes what is for it, marks
 * it as taken and hands it on, so that it comes back to whoever said it: that is the answer. One message at a time; the next when it is answered.
 */
final class Telling implements LineEnd
{
    /** So many frames of others wait to be handed on. */
    private const HAND_ON_MOST = 4;

    private readonly FrameStream $stream;

    /** @var list<LineMessage> */
    private array $waiting = [];

    /** @var list<SerialFrame> */
    private array $handOn = [];

    /** @var array<int, int> the number of the last message of each other node, by id; 0 for none */
    private array $seen;

    private ?SerialFrame $answer = null;

    private bool $begun = false;

    private int $sequence = 0;

    private int $tries = 0;

    private bool $isWaiting = false;

    private bool $isBack = false;

    private int $sinceMs = 0;

    /** @var array<int, Asked> by id */
    private array $others = [];

    /**
     * @param  array<int, int>  $restsMs  by id of each other node: for how long the same is not told it again
     * @param  bool  $hearsAll  what goes to everybody is for it too: it is told together with others
     */
    public function __construct(private readonly SerialSettings $settings, private readonly int $own, array $restsMs, private readonly int $timeoutMs, private readonly bool $hearsAll)
    {
        $this->stream = new FrameStream($settings);
        $this->seen = array_map(static fn (): int => 0, $restsMs);
        foreach ($restsMs as $id => $restMs) {
            $this->others[$id] = new Asked($id, $restMs);
        }
    }

    public function tell(LineMessage $message, int $nowMs): bool
    {
        $other = $this->others[$message->id] ?? null;
        if ($other?->holdsBack($message, $nowMs) === true) {
            return true;
        }
        if (count($this->waiting) >= self::QUEUE_MOST) {
            return false;
        }
        $this->waiting[] = $message;
        $other?->remember($message, $nowMs);

        return true;
    }

    public function byte(int $byte, int $nowMs): ?LineMessage
    {
        $frame = $this->stream->byte($byte);
        if ($frame === null) {
            return null;
        }
        $isRing = $this->settings->topology === Topology::Ring;
        if ($frame->from === $this->own) {
            if ($isRing && $this->isWaiting && $frame->sequence === $this->sequence) {
                $frame->count === 1 ? $this->answered() : $this->isBack = true;
            }

            return null;
        }
        if (! isset($this->seen[$frame->from])) {
            return null;
        }
        // All begin with whoever begins.
        $isForUs = $frame->to === $this->own || ($frame->to === SerialEnd::EVERYBODY && ($this->hearsAll || $frame->code === SerialFrame::BEGIN));
        if (! $isRing) {
            return $isForUs ? $this->said($frame) : null;
        }
        if (count($this->handOn) < self::HAND_ON_MOST) {
            $this->handOn[] = $isForUs ? new SerialFrame($frame->to, $frame->from, $frame->sequence, 1, $frame->code, $frame->argument) : $frame;
        } elseif ($isForUs) {
            // Not taken: it could not be said that it was.
            return null;
        }
        if ($isForUs) {
            return $this->taken($frame);
        }
        // Numbers come around: what others were told with this one counts as well.
        $this->seen[$frame->from] = $frame->sequence;

        return null;
    }

    public function gone(): ?int
    {
        foreach ($this->others as $other) {
            if ($other->isGone) {
                $other->isGone = false;

                return $other->id;
            }
        }

        return null;
    }

    public function step(int $nowMs): string
    {
        if ($this->handOn !== []) {
            return array_shift($this->handOn)->bytes($this->settings);
        }
        if ($this->answer !== null) {
            $answer = $this->answer;
            $this->answer = null;

            return $answer->bytes($this->settings);
        }
        if ($this->isWaiting) {
            $passed = $nowMs - $this->sinceMs & 0xFFFF_FFFF;
            if (! $this->isBack && $passed < $this->timeoutMs) {
                return '';
            }
            $this->missed();
        }
        if ($this->begun && $this->waiting === []) {
            return '';
        }
        $this->isWaiting = true;
        $this->isBack = false;
        $this->sinceMs = $nowMs;
        if (! $this->begun) {
            return (new SerialFrame(SerialEnd::EVERYBODY, $this->own, 0, 0, SerialFrame::BEGIN))->bytes($this->settings);
        }
        $message = $this->waiting[0];

        return (new SerialFrame($message->id, $this->own, $this->sequence, 0, $message->code, $message->argument))->bytes($this->settings);
    }

    /** Between two: what the other says, or answers. */
    private function said(SerialFrame $frame): ?LineMessage
    {
        if ($frame->count === 1) {
            if ($this->isWaiting && $frame->sequence === $this->sequence) {
                $this->answered();
            }

            return null;
        }
        $this->answer = new SerialFrame($frame->from, $this->own, $frame->sequence, 1);

        return $this->taken($frame);
    }

    private function taken(SerialFrame $frame): ?LineMessage
    {
        if ($frame->code === SerialFrame::BEGIN) {
            $this->seen[$frame->from] = 0;

            return null;
        }
        if ($this->seen[$frame->from] === $frame->sequence || $frame->code === SerialFrame::NOTHING) {
            return null;
        }
        $this->seen[$frame->from] = $frame->sequence;

        return new LineMessage($frame->from, $frame->code, $frame->argument);
    }

    private function answered(): void
    {
        $this->begun ? array_shift($this->waiting) : $this->begun = true;
        $this->sequence = Sequence::after($this->sequence);
        $this->isWaiting = false;
        $this->tries = 0;
    }

    /** After too many, nobody knows how the other stands: what waits is dropped, and both begin anew. */
    private function missed(): void
    {
        $this->isWaiting = false;
        $this->tries = min(255, $this->tries + 1);
        if ($this->tries >= $this->settings->missedMost) {
            if ($this->begun) {
                $lost = array_shift($this->waiting);
                $other = $this->others[$lost->id ?? SerialEnd::EVERYBODY] ?? null;
                if ($lost !== null && $other !== null) {
                    $other->isGone = true;
                    $other->forgetIf($lost);
                }
                $this->sequence = Sequence::after($this->sequence);
                $this->tries = 0;
            } else {
                $this->waiting = [];
                foreach ($this->others as $other) {
                    $other->forget();
                }
            }
        }
    }
}
