<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

/**
 * The words in which a little bridge is told one slot over a serial line, as "{slot}c{value}w": "12c255w" puts slot 12 to 255. Whole numbers
 * without signs, blanks or leading noughts; what stands beside them is taken letter by letter. Common practice.
 */
final readonly class BridgeForm
{
    public const USUAL = '{slot}c{value}w';

    /** As many as a bridge reads of one number. */
    private const DIGITS = 3;

    /**
     * @param  bool  $slotFirst  the slot stands before the value
     * @param  array{string, string, string}  $between  what stands before the first number, between the two, and behind the second
     */
    private function __construct(public bool $slotFirst, public array $between)
    {
    }

    /** @throws BridgeFormRefused */
    public static function from(string $template): self
    {
        $text = strtr($template, ['\r' => "\r", '\n' => "\n", '\t' => "\t", '\\\\' => '\\']);
        if (substr_count($text, '{slot}') !== 1 || substr_count($text, '{value}') !== 1) {
            throw BridgeFormRefused::because('It must have {slot} and {value}, each once.');
        }
        $slotFirst = strpos($text, '{slot}') < strpos($text, '{value}');
        $parts = preg_split('/\{slot\}|\{value\}/', $text);
        [$before, $middle, $behind] = is_array($parts) && count($parts) === 3 ? $parts : ['', '', ''];
        if (preg_match('/^[\x01-\x7e]*$/D', $before.$middle.$behind) !== 1) {
            throw BridgeFormRefused::because('Its letters must be plain ones, without accents.');
        }
        if (preg_match('/[0-9{}]/', $before.$middle.$behind) === 1) {
            throw BridgeFormRefused::because('Digits or braces beside the two numbers would be taken for part of them.');
        }
        if ($middle === '') {
            throw BridgeFormRefused::because('Something must stand between the two numbers, or nobody knows where one ends.');
        }
        if ($behind === '') {
            throw BridgeFormRefused::because('Something must stand behind the second number: "25" may be the beginning of "255".');
        }

        return new self($slotFirst, [$before, $middle, $behind]);
    }

    public static function isReadable(string $template): bool
    {
        try {
            self::from($template);
        } catch (BridgeFormRefused) {
            return false;
        }

        return true;
    }

    /**
     * @param  int  $slot  1 to 512
     * @param  int  $value  0 to 255
     */
    public function text(int $slot, int $value): string
    {
        [$first, $second] = $this->slotFirst ? [$slot, $value] : [$value, $slot];

        return $this->between[0].$first.$this->between[1].$second.$this->between[2];
    }

    /** @return int how long it is at most */
    public function longest(int $mostSlot): int
    {
        return strlen($this->text($mostSlot, 255));
    }

    /** @return list<string|null> the letters that a reader waits for, one behind the other; null where a number stands */
    public function pattern(): array
    {
        return [...self::letters($this->between[0]), null, ...self::letters($this->between[1]), null, ...self::letters($this->between[2])];
    }

    /** @return list<string> */
    private static function letters(string $text): array
    {
        return $text === '' ? [] : str_split($text);
    }

    public static function digits(): int
    {
        return self::DIGITS;
    }
}
