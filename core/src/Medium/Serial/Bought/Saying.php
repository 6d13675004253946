<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Bought;

use Rundfunk\Plan\ProtocolItem;
use Rundfunk\Plan\ProtocolItemKind;
use Rundfunk\Plan\ProtocolValue;

/** One thing that goes over the line one way: a command or a question, or an answer. */
final readonly class Saying
{
    /** @param  list<ProtocolValue>  $values */
    private function __construct(public int $code, public string $word, public array $values, public bool $isAnswer)
    {
    }

    /** What is sent to the device; for what it says unasked, what it sends. */
    public static function sent(ProtocolItem $item): self
    {
        return new self($item->code, $item->word, $item->sends, $item->kind === ProtocolItemKind::Says);
    }

    public static function answer(ProtocolItem $item): self
    {
        return new self($item->answerCode ?? $item->code, $item->answerWord === '' ? $item->word : $item->answerWord, $item->answers, true);
    }

    public function given(): ?ProtocolValue
    {
        foreach ($this->values as $value) {
            if ($value->given) {
                return $value;
            }
        }

        return null;
    }
}
