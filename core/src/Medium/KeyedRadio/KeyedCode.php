<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio;

use Rundfunk\OutOfRange;

/** A 24-bit fixed code, and the twelve digits of three values that it also is when its bits come in fitting pairs. */
final readonly class KeyedCode
{
    private function __construct(public int $bits)
    {
    }

    public static function of(int $bits): self
    {
        OutOfRange::unless('code', $bits, 0, 0xFF_FFFF);

        return new self($bits);
    }

    /** @param  string  $text  twelve of 0, 1 and F, or six hexadecimal digits after 0x */
    public static function parse(string $text): self
    {
        if (preg_match('/^[01Ff]{12}$/D', $text) === 1) {
            return new self((int) bindec(strtr(strtoupper($text), ['0' => '00', '1' => '11', 'F' => '01'])));
        }
        if (preg_match('/^0x[0-9A-Fa-f]{1,6}$/D', $text) === 1) {
            return new self((int) hexdec(substr($text, 2)));
        }
        throw OutOfRange::because('code', 'code must be twelve of 0, 1 and F, or up to six hexadecimal digits as 0xA1B2C4.');
    }

    /** @return string|null twelve of 0, 1 and F; null when a pair of bits is none of them */
    public function trits(): ?string
    {
        $trits = '';
        foreach (str_split(sprintf('%024b', $this->bits), 2) as $pair) {
            $trit = ['00' => '0', '11' => '1', '01' => 'F'][$pair] ?? null;
            if ($trit === null) {
                return null;
            }
            $trits .= $trit;
        }

        return $trits;
    }

    public function text(): string
    {
        return sprintf('0x%06X', $this->bits);
    }

    /** Who sends: all but the last four bits. */
    public function sender(): int
    {
        return $this->bits >> 4;
    }

    /** A sender that thousands of others share because nobody changed it. Common practice. */
    public function isFactorySet(): bool
    {
        return in_array($this->sender(), [0x00000, 0x55555, 0xFFFFF, 0xAAAAA], true);
    }

    /** How many bits apart two codes are. */
    public function distance(self $other): int
    {
        return substr_count(decbin($this->bits ^ $other->bits), '1');
    }
}
