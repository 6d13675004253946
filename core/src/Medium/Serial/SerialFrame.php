<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

use Rundfunk\Frame\FieldSize;
use Rundfunk\Frame\FrameCodec;
use Rundfunk\Frame\FrameFault;
use Rundfunk\Frame\FrameField;
use Rundfunk\Frame\FrameLayout;

/** One frame on a serial line: of a fixed length, so that the check alone says where one begins and ends. Little-endian, the check too. */
final readonly class SerialFrame
{
    /** Every frame begins with it; a byte in the midst of one may be the same, and then the check does not agree. */
    public const START = 0xA5;

    /** Nothing to say: a question, or the answer that says that a message came. */
    public const NOTHING = 0x00;

    /** The sender begins anew: its numbers do not go on from before. */
    public const BEGIN = 0xFF;

    public static function layout(SerialSettings $settings): FrameLayout
    {
        $fields = [
            new FrameField('start', FieldSize::u8(), 'always 0xA5'),
            new FrameField('to', FieldSize::u8(), 'the id of who is meant; 0 for everybody'),
            new FrameField('from', FieldSize::u8(), 'the id of who says it'),
            new FrameField('sequence', FieldSize::u8(), 'counts questions and messages; the same when one is sent again, and in its answer'),
            new FrameField('count', FieldSize::u8(), 'in an answer: counts the messages of who answers; in a ring: 1 once it was taken'),
            new FrameField('code', FieldSize::u8(), 'what to do: one of the command codes; 0 for nothing, 255 to begin anew'),
            new FrameField('argument', FieldSize::i16(), 'a value for commands that take one; otherwise 0'),
        ];
        $check = match ($settings->check->bytes()) {
            0 => null,
            1 => FieldSize::u8(),
            2 => FieldSize::u16(),
            default => FieldSize::u32(),
        };
        if ($check !== null) {
            $fields[] = new FrameField('check', $check, "{$settings->check->value} of the bytes before it");
        }

        return FrameLayout::ofItsLength(...$fields);
    }

    public function __construct(
        public int $to,
        public int $from,
        public int $sequence,
        public int $count = 0,
        public int $code = self::NOTHING,
        public int $argument = 0,
    ) {
    }

    /** @throws FrameFault when a field does not hold its value */
    public function bytes(SerialSettings $settings): string
    {
        $codec = new FrameCodec(self::layout($settings));
        $values = ['start' => self::START, 'to' => $this->to, 'from' => $this->from, 'sequence' => $this->sequence, 'count' => $this->count, 'code' => $this->code, 'argument' => $this->argument, 'check' => 0];
        $bytes = $codec->encode($values);
        $covered = substr($bytes, 0, strlen($bytes) - $settings->check->bytes());

        return $codec->encode([...$values, 'check' => $settings->check->of($covered)]);
    }

    /** @return self|null null when it is no frame, or did not come whole */
    public static function read(string $bytes, SerialSettings $settings): ?self
    {
        $layout = self::layout($settings);
        if (strlen($bytes) !== $layout->lengthBytes || $bytes[0] !== chr(self::START)) {
            return null;
        }
        $values = (new FrameCodec($layout))->decode($bytes);
        if (($values['check'] ?? 0) !== $settings->check->of(substr($bytes, 0, strlen($bytes) - $settings->check->bytes()))) {
            return null;
        }

        return new self($values['to'], $values['from'], $values['sequence'], $values['count'], $values['code'], $values['argument']);
    }
}
