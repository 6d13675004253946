<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** One function or reading of a bought device, as its manual has it. */
final readonly class ProtocolItem
{
    public const MOST = 60;

    /**
     * @param  string  $name  what outputs and controls of the device call it
     * @param  int  $code  of the function field, in a packet
     * @param  string  $word  in words: what it begins with
     * @param  list<ProtocolValue>  $sends
     * @param  bool  $answered  the device answers it; a reading always does
     * @param  int|null  $answerCode  of the answer's function field; null for the same
     * @param  string  $answerWord  what the answer begins with; empty for the same
     * @param  list<ProtocolValue>  $answers
     * @param  int  $takesMs  how long it takes at most until it is done; 0 for no time to speak of
     * @param  string  $doneBy  the reading that says when it is done
     * @param  int  $doneIs  what that reads then
     * @param  int  $everyMs  how often a reading is asked for
     */
    public function __construct(
        public string $name,
        public ProtocolItemKind $kind,
        public int $code = 0,
        public string $word = '',
        public array $sends = [],
        public bool $answered = false,
        public ?int $answerCode = null,
        public string $answerWord = '',
        public array $answers = [],
        public int $takesMs = 0,
        public KnownDone $done = KnownDone::Waited,
        public string $doneBy = '',
        public int $doneIs = 0,
        public int $everyMs = 1_000,
    ) {
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::text('name', 24, 'What outputs and controls of the device call it.'),
            Field::choice('kind', ProtocolItemKind::class, 'A function, a reading, or something that it says unasked.'),
            Field::whole('code', 0, 0xFFFF_FFFF, 'In a packet: what stands in the function field.', 0),
            Field::label('word', 24, 'In words: what it begins with.'),
            Field::records('sends', ProtocolValue::shape(), ProtocolValue::MOST, 'The values that go with it.'),
            Field::flag('answered', 'Whether the device answers it; a reading it always does.'),
            Field::whole('answerCode', 0, 0xFFFF_FFFF, 'What stands in the function field of the answer; none for the same.')->nullable(),
            Field::label('answerWord', 24, 'What the answer begins with; empty for the same.'),
            Field::records('answers', ProtocolValue::shape(), ProtocolValue::MOST, 'The values that come with the answer.'),
            Field::whole('takesMs', 0, 600_000, 'How long it takes at most until it is done; 0 for no time to speak of.', 0, 'ms'),
            Field::choiceOr('done', KnownDone::Waited, 'How it is known that it is done.'),
            Field::label('doneBy', 24, 'The reading that says when it is done.'),
            Field::whole('doneIs', -32_768, 32_767, 'What that reads then.', 0),
            Field::whole('everyMs', 20, 3_600_000, 'How often a reading is asked for.', 1_000, 'ms'),
        );
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->text('name'),
            $values->choice('kind', ProtocolItemKind::class),
            $values->whole('code'),
            $values->text('word'),
            array_map(ProtocolValue::from(...), $values->each('sends')),
            $values->flag('answered'),
            $values->wholeOrNull('answerCode'),
            $values->text('answerWord'),
            array_map(ProtocolValue::from(...), $values->each('answers')),
            $values->whole('takesMs'),
            $values->choice('done', KnownDone::class),
            $values->text('doneBy'),
            $values->whole('doneIs'),
            $values->whole('everyMs'),
        );
    }

    /** What the plan sets when it is told. */
    public function set(): ?ProtocolValue
    {
        return self::given($this->sends);
    }

    /** What the plan reads of it. */
    public function read(): ?ProtocolValue
    {
        return self::given($this->kind === ProtocolItemKind::Says ? $this->sends : $this->answers);
    }

    public function isAnswered(): bool
    {
        return $this->kind === ProtocolItemKind::Answers || ($this->kind === ProtocolItemKind::Does && $this->answered);
    }

    /** It is under way for a while. */
    public function takesTime(): bool
    {
        return $this->kind === ProtocolItemKind::Does && $this->takesMs > 0;
    }

    /** The reading that says when it is done, where it is asked for that and says a figure. */
    public function watchedBy(Protocol $protocol): ?self
    {
        $reading = $this->takesTime() && $this->done === KnownDone::Polled ? $protocol->item($this->doneBy) : null;

        return $reading?->read() === null ? null : $reading;
    }

    /** @return array<string, mixed> */
    public function values(): array
    {
        return [
            'name' => $this->name,
            'kind' => $this->kind->value,
            'code' => $this->code,
            'word' => $this->word,
            'sends' => array_map(static fn (ProtocolValue $one): array => $one->values(), $this->sends),
            'answered' => $this->answered,
            'answerCode' => $this->answerCode,
            'answerWord' => $this->answerWord,
            'answers' => array_map(static fn (ProtocolValue $one): array => $one->values(), $this->answers),
            'takesMs' => $this->takesMs,
            'done' => $this->done->value,
            'doneBy' => $this->doneBy,
            'doneIs' => $this->doneIs,
            'everyMs' => $this->everyMs,
        ];
    }

    /** @param  list<ProtocolValue>  $values */
    private static function given(array $values): ?ProtocolValue
    {
        foreach ($values as $value) {
            if ($value->given) {
                return $value;
            }
        }

        return null;
    }
}
