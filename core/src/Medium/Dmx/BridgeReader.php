<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

/**
 * What a bridge makes of what comes over its serial line, letter by letter. What it does not understand it drops up to the letter that ends a
 * command: the tail of one that went wrong could be another. The same in C stands in {@see CBridge}.
 */
final class BridgeReader
{
    /** @var list<string|null> */
    private readonly array $pattern;

    private int $at = 0;

    private int $number = 0;

    private int $digits = 0;

    private int $first = 0;

    private bool $hasFirst = false;

    private bool $isLost = false;

    public function __construct(private readonly BridgeForm $form)
    {
        $this->pattern = $form->pattern();
    }

    /**
     * @param  string  $letter  one byte
     * @return array{slot: int, value: int}|null what is set; null while a command is not complete, or is none
     */
    public function take(string $letter): ?array
    {
        if (! $this->isLost && $this->follows($letter)) {
            return $this->at === count($this->pattern) ? $this->whole() : null;
        }
        $this->begin();
        $this->isLost = $letter !== $this->pattern[count($this->pattern) - 1];

        return null;
    }

    private function follows(string $letter): bool
    {
        if ($this->pattern[$this->at] === null) {
            if (ctype_digit($letter)) {
                // 012 is 12 to some and ten to others: no number begins with 0 but 0 itself.
                if ($this->digits === BridgeForm::digits() || ($this->digits === 1 && $this->number === 0)) {
                    return false;
                }
                $this->number = 10 * $this->number + (int) $letter;
                $this->digits++;

                return true;
            }
            if ($this->digits === 0) {
                return false;
            }
            $this->at++;
            if (! $this->hasFirst) {
                $this->first = $this->number;
                $this->hasFirst = true;
                $this->number = $this->digits = 0;
            }
        }
        if ($this->pattern[$this->at] !== $letter) {
            return false;
        }
        $this->at++;

        return true;
    }

    /** @return array{slot: int, value: int}|null */
    private function whole(): ?array
    {
        [$slot, $value] = $this->form->slotFirst ? [$this->first, $this->number] : [$this->number, $this->first];
        $this->begin();

        return $slot >= 1 && $slot <= DmxFrame::MOST_SLOTS && $value <= 255 ? ['slot' => $slot, 'value' => $value] : null;
    }

    private function begin(): void
    {
        $this->at = $this->number = $this->digits = $this->first = 0;
        $this->hasFirst = false;
    }
}
