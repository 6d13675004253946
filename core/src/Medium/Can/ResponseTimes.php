<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

use Rundfunk\OutOfRange;

/**
 * How long each of a bus's messages takes at worst, from its release to its last bit: without errors on the bus, and where every controller
 * sends the most urgent of its messages first. One with a queue in order of arrival voids that. Source: Davis, Burns, Bril and Lukkien,
 * Controller Area Network (CAN) schedulability analysis: refuted, revisited and revised, Real-Time Systems 35, 2007.
 *
 * Counted in parts of a bit so small that a nanosecond and a bit are both whole numbers of them.
 */
final readonly class ResponseTimes
{
    public const MOST_MESSAGES = 200;

    private const LONGEST_PERIOD_MS = 3_600_000;

    /** How often all that comes within some time is added up, for all of a bus together: what is not settled by then is all but full. */
    private const SUMS_MOST = 200_000;

    private const SECOND_NS = 1_000_000_000;

    /** A busy bus is not followed for longer: what is not over by then comes too late for anybody. */
    private const LONGEST_S = 60;

    /**
     * @param  list<Sent>  $messages  ranks differ
     *
     * @throws OutOfRange
     */
    public function __construct(private int $bitrate, private array $messages)
    {
        OutOfRange::unless('bitrate', $bitrate, 1_000, 1_000_000);
        OutOfRange::unless('messages', count($messages), 1, self::MOST_MESSAGES);
        foreach ($messages as $message) {
            OutOfRange::unless('bytes', $message->bytes, 0, CanFrame::BYTES_MOST);
            OutOfRange::unless('period_ms', $message->periodNs / 1_000_000, 0.01, self::LONGEST_PERIOD_MS);
            OutOfRange::unless('jitter_ms', $message->jitterNs / 1_000_000, 0, 1_000_000);
        }
    }

    /** @return int|null nanoseconds, rounded up; null where it may wait for ever, or for longer than a minute */
    public function worstNs(Sent $message): ?int
    {
        $ahead = array_map($this->figures(...), array_values(array_filter($this->messages, static fn (Sent $other): bool => $other->rank() < $message->rank())));
        $behind = array_filter($this->messages, static fn (Sent $other): bool => $other->rank() > $message->rank());
        $left = intdiv(self::SUMS_MOST, count($this->messages));
        // What is under way is not broken off: the longest of the less urgent.
        $blocked = max([0, ...array_map($this->length(...), array_values($behind))]);
        $busy = $this->settle($left, $blocked + $this->length($message), fn (int $busy): int => $blocked + self::released([...$ahead, $this->figures($message)], $busy));
        if ($busy === null) {
            return null;
        }
        $worst = 0;
        $waits = $blocked;
        for ($instance = 0; $instance < self::times($busy + $this->span($message->jitterNs), $this->span($message->periodNs)); $instance++) {
            $before = $blocked + $instance * $this->length($message);
            $waits = $this->settle($left, max($waits, $before), fn (int $waits): int => $before + self::released($ahead, $waits + self::SECOND_NS));
            if ($waits === null || --$left <= 0) {
                return null;
            }
            $worst = max($worst, $this->span($message->jitterNs) + $waits - $instance * $this->span($message->periodNs) + $this->length($message));
        }

        return self::times($worst, $this->bitrate);
    }

    /**
     * Until it grows no more.
     *
     * @param  int  $left  how many steps may still be taken
     * @param  callable(int): int  $next  never less than before
     */
    private function settle(int &$left, int $from, callable $next): ?int
    {
        $now = $from;
        while (($then = $next($now)) > $now) {
            if (--$left <= 0 || $then > self::LONGEST_S * self::SECOND_NS * $this->bitrate) {
                return null;
            }
            $now = $then;
        }

        return $now;
    }

    /**
     * How long all that comes within some time takes on the wire.
     *
     * @param  list<array{int, int, int}>  $messages  jitter, period and length of each
     */
    private static function released(array $messages, int $within): int
    {
        $sum = 0;
        foreach ($messages as [$jitter, $period, $length]) {
            $sum += self::times($within + $jitter, $period) * $length;
        }

        return $sum;
    }

    /** @return array{int, int, int} jitter, period and length of a message: added up thousands of times */
    private function figures(Sent $message): array
    {
        return [$this->span($message->jitterNs), $this->span($message->periodNs), $this->length($message)];
    }

    private function length(Sent $message): int
    {
        return CanFrame::worstBits($message->extended, $message->bytes) * self::SECOND_NS;
    }

    private function span(int $ns): int
    {
        return $ns * $this->bitrate;
    }

    private static function times(int $whole, int $part): int
    {
        return intdiv($whole + $part - 1, $part);
    }
}
