<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

use Rundfunk\Frame\Checksum;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** A serial line's settings, with their types. */
final readonly class SerialSettings
{
    /** Settings that must be the same at both ends. */
    public const SHARED = ['baud', 'parity', 'stopBits', 'check'];

    private const DATA_BITS = 8;

    public function __construct(
        public Levels $levels,
        public Topology $topology,
        public int $baud,
        public Parity $parity,
        public int $stopBits,
        public Checksum $check,
        public Returning $returning,
        public int $gapMs,
        public int $turnMs,
        public ?int $timeoutMs,
        public int $missedMost,
        public ?float $lengthM,
    ) {
    }

    public static function of(Link $link): self
    {
        return self::from($link->settings);
    }

    /** As one end has them: the link's, but for what is known to be set otherwise there. */
    public static function at(Link $link, Endpoint $endpoint): self
    {
        return self::from($endpoint->over($link, self::SHARED));
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::oneOf('levels', ['logic', 'rs-232', 'rs-485'], 'What the line is in volts: as the pins have it, for a metre or two; RS-232 between two ends; RS-485 on a twisted pair.', 'logic')->titled('Levels')->named(['logic levels', 'RS-232', 'RS-485']),
            Field::oneOf('topology', ['pair', 'polled', 'ring'], 'Who may speak when.', 'pair')->titled('Who speaks')->named(['two ends', 'one asks, others answer', 'ring']),
            Field::oneOf('baud', [300, 1200, 2400, 4800, 9600, 19200, 38400, 57600, 115200, 250000], 'Symbols a second.', 9600, 'baud')->titled('Rate'),
            Field::oneOf('parity', ['none', 'even', 'odd'], 'The bit behind the data that makes their ones even or odd in number.', 'none')->titled('Parity'),
            Field::oneOf('stopBits', [1, 2], 'How long the line rests after each character at least.', 1)->titled('Stop bits'),
            Field::oneOf('check', array_map(static fn (Checksum $one): string => $one->value, Checksum::cases()), 'What stands behind each frame so that errors show.', 'crc-16/modbus')->titled('Check'),
            Field::number('lengthM', 0.1, 5_000, 'From one end of the cable to the other, as it is laid.', null, 'm')->nullable()->titled('Length'),
            Field::oneOf('returning', ['joined', 'diodes', 'schottky', 'let-go'], 'At logic levels: how several boxes share the line on which they answer.', 'joined')->titled('Answers share')->named(['simply joined', 'a silicon diode each', 'a Schottky diode each', 'each lets go'])->seldom(),
            Field::whole('gapMs', 0, 60_000, 'Rest between one exchange and the next.', 5, 'ms')->titled('Rest')->seldom(),
            Field::whole('turnMs', 0, 1_000, 'How long a node takes from the last byte of a frame to the first of its answer, or until it hands it on.', 2, 'ms')->titled('Answers within')->seldom(),
            Field::whole('timeoutMs', 1, 60_000, 'How long an answer is waited for before it counts as missed.', null, 'ms')->nullable()->titled('Waits')->assigned(),
            Field::whole('missedMost', 1, 20, 'How many answers in a row may be missed before nobody knows how that node stands.', 3)->titled('Unknown after missed')->seldom(),
        );
    }

    /** @return int of one character: start, data, parity, stop */
    public function bitsPerCharacter(): int
    {
        return 1 + self::DATA_BITS + ($this->parity === Parity::None ? 0 : 1) + $this->stopBits;
    }

    /** "8N1" */
    public function format(): string
    {
        return self::DATA_BITS.$this->parity->letter().$this->stopBits;
    }

    public function line(): LineTime
    {
        return LineTime::of($this->baud, $this->bitsPerCharacter());
    }

    public function frameNs(): int
    {
        return $this->line()->ns(SerialFrame::layout($this)->lengthBytes);
    }

    /** A setting as people read it. */
    public static function words(string $setting, bool|float|int|string|null $value): string
    {
        return match ($setting) {
            'baud' => "{$value} baud",
            'parity' => $value === 'none' ? 'no parity' : "{$value} parity",
            'stopBits' => $value === 1 ? '1 stop bit' : "{$value} stop bits",
            'check' => $value === 'none' ? 'no check sum' : (string) $value,
            default => (string) $value,
        };
    }

    /** @param  array<string, bool|float|int|string|null>  $raw accepted by the link shape */
    private static function from(array $raw): self
    {
        $values = new Values($raw);

        return new self(
            $values->choice('levels', Levels::class),
            $values->choice('topology', Topology::class),
            $values->whole('baud'),
            $values->choice('parity', Parity::class),
            $values->whole('stopBits'),
            $values->choice('check', Checksum::class),
            $values->choice('returning', Returning::class),
            $values->whole('gapMs'),
            $values->whole('turnMs'),
            $values->wholeOrNull('timeoutMs'),
            $values->whole('missedMost'),
            $values->numberOrNull('lengthM'),
        );
    }
}
