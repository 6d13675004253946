<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Line;

use Rundfunk\Medium\Serial\SerialEnd;
use Rundfunk\Medium\Serial\SerialFrame;
use Rundfunk\Medium\Serial\SerialSettings;

/**
 * Who asks the boxes in turn. What there is to tell goes before the turn; a question that is not answered is asked again with the same
 * number. A box that misses too many is unknown: what waited for it is dropped, for nobody wants a gate opened a minute later, and it is
 * begun with anew. What one box has for another is handed on.
 */
final class Asking implements LineEnd
{
    /** How often that goes out which nobody answers. */
    private const SENDS = 3;

    private readonly FrameStream $stream;

    /** @var list<Asked> */
    private array $boxes;

    /** @var list<array{from: int, message: LineMessage}> the first is told first */
    private array $waiting = [];

    private int $at = 0;

    private bool $isWaiting = false;

    /** Since when it waits, or rests. */
    private int $sinceMs = 0;

    private int $restMs = 0;

    private int $forAll = 0;

    private int $sent = 0;

    /**
     * @param  array<int, int>  $restsMs  by id of each box: for how long the same is not told it again
     * @param  int  $frameMs  how long a frame is on the line, rounded up
     */
    public function __construct(private readonly SerialSettings $settings, private readonly int $own, array $restsMs, private readonly int $timeoutMs, private readonly int $frameMs)
    {
        $this->stream = new FrameStream($settings);
        $this->boxes = array_map(static fn (int $id, int $restMs): Asked => new Asked($id, $restMs), array_keys($restsMs), array_values($restsMs));
        // The first question goes to the first.
        $this->at = count($this->boxes) - 1;
    }

    /** @return bool whether a box answers */
    public function knows(int $id): bool
    {
        $box = $this->box($id);

        return $box !== null && $box->begun && $box->missed < $this->settings->missedMost;
    }

    public function tell(LineMessage $message, int $nowMs): bool
    {
        $box = $this->box($message->id);
        if ($box?->holdsBack($message, $nowMs) === true) {
            return true;
        }
        // One place is kept for what a box has for another: whoever said that cannot be told that it was not taken.
        if (count($this->waiting) >= self::QUEUE_MOST - 1 || ! $this->put($this->own, $message)) {
            return false;
        }
        $box?->remember($message, $nowMs);

        return true;
    }

    public function byte(int $byte, int $nowMs): ?LineMessage
    {
        $frame = $this->stream->byte($byte);
        $box = $this->boxes[$this->at] ?? null;
        if ($frame === null || $box === null || ! $this->isWaiting || $frame->count === 0 || $frame->from !== $box->id || $frame->sequence !== ($box->begun ? $box->sequence : 0)) {
            return null;
        }
        if (! $box->begun && $frame->code !== SerialFrame::BEGIN) {
            return null;
        }
        $this->rest($nowMs, $this->settings->gapMs);
        $box->missed = 0;
        if (! $box->begun) {
            $box->begun = true;
            $box->sequence = 1;
            $box->heard = $frame->argument === 1 ? 0 : $box->heard;

            return null;
        }
        if ($frame->code === SerialFrame::BEGIN) {
            $box->begun = false;

            return null;
        }
        $box->told = null;
        $box->sequence = Sequence::after($box->sequence);
        if ($frame->code === SerialFrame::NOTHING || $frame->count === $box->heard) {
            return null;
        }
        $box->heard = $frame->count;
        if ($frame->to === $this->own) {
            return new LineMessage($frame->from, $frame->code, $frame->argument);
        }
        $this->put($frame->from, new LineMessage($frame->to, $frame->code, $frame->argument));

        return null;
    }

    public function gone(): ?int
    {
        foreach ($this->boxes as $box) {
            if ($box->isGone) {
                $box->isGone = false;

                return $box->id;
            }
        }

        return null;
    }

    public function step(int $nowMs): string
    {
        $passed = $nowMs - $this->sinceMs & 0xFFFF_FFFF;
        if ($this->isWaiting) {
            if ($passed < $this->timeoutMs) {
                return '';
            }
            $this->missed($this->boxes[$this->at]);
            $this->rest($nowMs, $this->settings->gapMs);
            $passed = 0;
        }
        if ($passed < $this->restMs || $this->boxes === []) {
            return '';
        }
        if ($this->waiting !== [] && $this->waiting[0]['message']->id === SerialEnd::EVERYBODY && $this->nobodyIsOwed()) {
            return $this->tellAll($nowMs);
        }
        $this->at = $this->next();
        $this->isWaiting = true;
        $this->sinceMs = $nowMs;

        return $this->question($this->boxes[$this->at])->bytes($this->settings);
    }

    private function question(Asked $box): SerialFrame
    {
        if (! $box->begun) {
            return new SerialFrame($box->id, $this->own, 0, 0, SerialFrame::BEGIN);
        }
        // A question that was missed is asked again as it was: under its number the box may have answered already.
        foreach ($box->told === null && $box->missed === 0 ? $this->waiting : [] as $place => $one) {
            if ($one['message']->id === $box->id) {
                $box->told = $one;
                array_splice($this->waiting, $place, 1);
                break;
            }
        }

        return $box->told === null
            ? new SerialFrame($box->id, $this->own, $box->sequence)
            : new SerialFrame($box->id, $box->told['from'], $box->sequence, 0, $box->told['message']->code, $box->told['message']->argument);
    }

    /** Whoever was told and has not answered; whoever the first that waits is for; whose turn it is. */
    private function next(): int
    {
        foreach ($this->boxes as $at => $box) {
            if ($box->told !== null) {
                return $at;
            }
        }
        $first = $this->waiting[0]['message']->id ?? null;
        foreach ($first === null ? [] : $this->boxes as $at => $box) {
            if ($box->id === $first) {
                return $at;
            }
        }

        return ($this->at + 1) % count($this->boxes);
    }

    private function nobodyIsOwed(): bool
    {
        foreach ($this->boxes as $box) {
            if ($box->told !== null) {
                return false;
            }
        }

        return true;
    }

    private function tellAll(int $nowMs): string
    {
        if ($this->sent === 0) {
            $this->forAll = Sequence::after($this->forAll);
        }
        $one = $this->waiting[0];
        $this->sent++;
        if ($this->sent === self::SENDS) {
            $this->sent = 0;
            array_shift($this->waiting);
        }
        $this->rest($nowMs, $this->frameMs + $this->settings->gapMs);

        return (new SerialFrame(SerialEnd::EVERYBODY, $one['from'], $this->forAll, 0, $one['message']->code, $one['message']->argument))->bytes($this->settings);
    }

    private function missed(Asked $box): void
    {
        $box->missed = min(255, $box->missed + 1);
        if ($box->missed >= $this->settings->missedMost) {
            $box->isGone = $box->isGone || $box->missed === $this->settings->missedMost;
            $box->begun = false;
            $box->told = null;
            $box->forget();
            $this->waiting = array_values(array_filter($this->waiting, static fn (array $one): bool => $one['message']->id !== $box->id));
        }
    }

    private function rest(int $nowMs, int $restMs): void
    {
        $this->isWaiting = false;
        $this->sinceMs = $nowMs;
        $this->restMs = $restMs;
    }

    private function put(int $from, LineMessage $message): bool
    {
        if (count($this->waiting) >= self::QUEUE_MOST || ($message->id !== SerialEnd::EVERYBODY && $this->box($message->id) === null)) {
            return false;
        }
        $this->waiting[] = ['from' => $from, 'message' => $message];

        return true;
    }

    private function box(int $id): ?Asked
    {
        foreach ($this->boxes as $box) {
            if ($box->id === $id) {
                return $box;
            }
        }

        return null;
    }
}
