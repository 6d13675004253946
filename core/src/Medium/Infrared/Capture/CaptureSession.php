<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Capture;

use Rundfunk\Learn\LearnedRow;
use Rundfunk\Medium\Infrared\IrCodes;
use Rundfunk\Medium\Infrared\IrCommand;
use Rundfunk\Medium\Infrared\IrWords;
use Rundfunk\Medium\Infrared\Protocol\NecFamily;
use Rundfunk\Medium\Infrared\Protocols;
use Rundfunk\Medium\Infrared\PulseFormat;
use Rundfunk\Plan\KeyCode;
use Rundfunk\Signal\CaptureRefused;
use Rundfunk\Signal\Frame;
use Rundfunk\Signal\Signal;

/** An evening of key presses, one by one: what each said, which were the same, and what is odd about them. */
final readonly class CaptureSession
{
    /** Frames closer than this belong to one press. Common practice: remotes repeat every 45 to 120 ms. */
    private const HELD_NS = 130_000_000;

    /** Between held frames of twenty bits, all of them ones, 45 ms from start to start: 45 − 2.4 − 0.6 − 20 · 1.8 + 0.6 ms, a tenth less. */
    private const SHORTEST_PAUSE_NS = 5_900_000;

    /** A table of more presses is for nobody to name keys in. */
    private const MOST_PRESSES = 1_000;

    /** @param  list<Press>  $presses */
    private function __construct(public array $presses)
    {
    }

    /**
     * @param  list<Frame>  $frames
     *
     * @throws CaptureRefused when there are too many presses
     */
    public static function of(array $frames, Protocols $protocols): self
    {
        $presses = [];
        $format = null;
        foreach (self::parted($frames, $protocols) as $frame) {
            // A press that may still be held: taken out, and put back with one more send when it is.
            $gapNs = $frame->gapNs ?? self::HELD_NS;
            $held = $gapNs < self::HELD_NS ? array_pop($presses) : null;
            if ($held !== null && NecFamily::isRepeat($frame->signal)) {
                $presses[] = $held->again($gapNs);

                continue;
            }
            if ($held !== null) {
                $presses[] = $held;
            }
            if (NecFamily::isRepeat($frame->signal) || count($frame->signal->lengthsNs) < 5) {
                // A repeat whose beginning was missed, or a glitch: there is no code in it.
                continue;
            }
            $command = $protocols->decode($frame->signal);
            if ($command === null) {
                $format = self::format($format, $frame->signal);
                $value = $format?->decode($frame->signal);
                $command = $format === null || $value === null ? null : new IrCommand('pulse-distance', 0, $value, null, $format->text());
            }
            if ($held?->isHeldBy($frame->signal, $command) === true) {
                array_pop($presses);
                $presses[] = $held->again($gapNs);
            } elseif (count($presses) === self::MOST_PRESSES) {
                throw CaptureRefused::tooManyPresses(self::MOST_PRESSES);
            } else {
                $presses[] = new Press($frame->signal, $command);
            }
        }

        return new self($presses);
    }

    /**
     * Long frames of a held key may follow each other so closely that the pause between them is no longer than a frame's own
     * longest space: what no protocol explains is parted there, if both parts say something.
     *
     * @param  list<Frame>  $frames
     * @return iterable<Frame>
     */
    private static function parted(array $frames, Protocols $protocols): iterable
    {
        foreach ($frames as $frame) {
            $parts = self::parts($frame);
            // Most have no such space; what has one is as a rule explained by its first part, or by none.
            $held = count($parts) > 1 && array_filter($parts, static fn (Frame $part): bool => $protocols->decode($part->signal) === null) === [];
            yield from $held ? $parts : [$frame];
        }
    }

    /** @return non-empty-list<Frame> */
    private static function parts(Frame $frame): array
    {
        $parts = [];
        $lengths = [];
        $gapNs = $frame->gapNs;
        foreach ($frame->signal->lengthsNs as $at => $ns) {
            if ($at % 2 === 1 && $ns >= self::SHORTEST_PAUSE_NS) {
                $parts[] = new Frame(new Signal($lengths, $frame->signal->carrierHz), $gapNs);
                $gapNs = $ns;
                $lengths = [];
            } else {
                $lengths[] = $ns;
            }
        }
        $last = new Frame(new Signal($lengths, $frame->signal->carrierHz), $gapNs);

        return [...$parts, $last];
    }

    /**
     * The table that a user names keys in.
     *
     * @param  list<KeyCode>  $known  codes that the remote has already
     * @return list<array<string, mixed>>
     */
    public function rows(array $known, Protocols $protocols): array
    {
        $rows = [];
        foreach ($this->presses as $index => $press) {
            $first = $this->firstLike($press, $index);
            $command = $press->command;
            $rows[] = LearnedRow::of(
                $index + 1,
                null,
                $command === null ? 'unknown protocol' : IrWords::of($command, $protocols),
                self::code($press),
                $first === $index ? null : $first + 1,
                self::knownAs($press, $known, $protocols),
                $command?->toggle,
                $press->sends,
                $press->periodNs === null ? null : round($press->periodNs / 1e6, 1),
                array_map(static fn (int $ns): int => (int) round($ns / 1000), $press->signal->lengthsNs),
                self::turned($press, $protocols),
            );
        }

        return $rows;
    }

    /** @return array{says: string, code: array<string, int|string|null>}|null null where a protocol says in which order its bits come */
    private static function turned(Press $press, Protocols $protocols): ?array
    {
        $command = $press->command?->turned();

        return $command === null ? null : ['says' => IrWords::of($command, $protocols), 'code' => self::code(new Press($press->signal, $command))];
    }

    private function firstLike(Press $press, int $index): int
    {
        for ($earlier = 0; $earlier < $index; $earlier++) {
            if ($this->presses[$earlier]->sameKeyAs($press)) {
                return $earlier;
            }
        }

        return $index;
    }

    /** @param  list<KeyCode>  $known */
    private static function knownAs(Press $press, array $known, Protocols $protocols): ?string
    {
        foreach ($known as $code) {
            $signal = IrCodes::signal($code, $protocols);
            if ($signal !== null && $press->sameKeyAs(new Press($signal, IrCodes::command($code, $protocols)))) {
                return $code->name;
            }
        }

        return null;
    }

    /** @return array<string, int|string|null> the fields of a key code */
    private static function code(Press $press): array
    {
        return [
            'protocol' => $press->command->protocol ?? 'raw',
            'address' => $press->command?->address,
            'command' => $press->command?->command,
            'carrierHz' => $press->signal->carrierHz,
            'timings' => $press->command === null ? $press->signal->text() : '',
            'format' => $press->command?->format,
        ];
    }

    /** A format found once is kept while it fits, so that all keys of a remote are read the same way. */
    private static function format(?PulseFormat $before, Signal $signal): ?PulseFormat
    {
        return $before?->decode($signal) !== null ? $before : PulseFormat::discover($signal) ?? $before;
    }
}
