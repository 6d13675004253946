<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Bought;

use Rundfunk\Medium\Serial\SerialFrame;
use Rundfunk\Medium\Serial\SerialSettings;
use Rundfunk\Plan\Protocol;
use WeakMap;

/** How many bytes a line carries at most each way. */
final class Lengths
{
    /** @var WeakMap<Protocol, self>|null */
    private static ?WeakMap $known = null;

    private function __construct(public readonly int $question, public readonly int $answer)
    {
    }

    public static function ours(SerialSettings $settings): self
    {
        $bytes = SerialFrame::layout($settings)->lengthBytes;

        return new self($bytes, $bytes);
    }

    /** @param  array<string, Protocol>  $protocols */
    public static function of(array $protocols): self
    {
        $question = $answer = 1;
        foreach ($protocols as $protocol) {
            $one = self::spoken($protocol);
            [$question, $answer] = [max($question, $one->question), max($answer, $one->answer)];
        }

        return new self($question, $answer);
    }

    private static function spoken(Protocol $protocol): self
    {
        // Every rule of a line asks for it, and a protocol never changes.
        self::$known ??= new WeakMap;

        return self::$known[$protocol] ??= self::measured($protocol);
    }

    private static function measured(Protocol $protocol): self
    {
        $form = Forms::of($protocol);
        $question = $answer = 1;
        foreach ($protocol->items as $item) {
            $question = max($question, $form->mostBytes(Saying::sent($item)));
            $answer = $item->isAnswered() ? max($answer, $form->mostBytes(Saying::answer($item))) : $answer;
        }

        return new self($question, $answer);
    }
}
