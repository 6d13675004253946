<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio;

use Rundfunk\OutOfRange;

/** An address of 3 to 5 bytes, written in hexadecimal, most significant byte first. The last byte written is sent first. */
final readonly class PacketAddress
{
    private function __construct(public string $hex)
    {
    }

    public static function parse(string $text): self
    {
        $hex = strtoupper((string) preg_replace('/[\s:_-]|^0x/i', '', $text));
        if (preg_match('/^([0-9A-F]{2}){3,5}$/D', $hex) !== 1) {
            throw OutOfRange::because('address', 'address must be 3 to 5 bytes in hexadecimal, as C2F19A4701.');
        }

        return new self($hex);
    }

    public static function tryParse(?string $text): ?self
    {
        try {
            return $text === null ? null : self::parse($text);
        } catch (OutOfRange) {
            return null;
        }
    }

    public function length(): int
    {
        return intdiv(strlen($this->hex), 2);
    }

    /** All bytes but the least significant: what pipes 1 to 5 of one receiver must share. */
    public function prefix(): string
    {
        return substr($this->hex, 0, -2);
    }

    public function last(): int
    {
        return (int) hexdec(substr($this->hex, -2));
    }

    public function endingIn(int $byte): self
    {
        return new self($this->prefix().sprintf('%02X', $byte));
    }

    /** @return int how many bits differ; addresses of unequal length differ everywhere */
    public function distance(self $other): int
    {
        if ($this->length() !== $other->length()) {
            return PHP_INT_MAX;
        }

        return substr_count($this->bitsApart($other), '1');
    }

    /**
     * Why a receiver would lose or invent packets on it. Source: data sheet of the class, from memory.
     *
     * @return list<string> empty for a good address
     */
    public function weaknesses(): array
    {
        $bits = $this->bits();
        $changes = 0;
        for ($bit = 1; $bit < strlen($bits); $bit++) {
            $changes += $bits[$bit] === $bits[$bit - 1] ? 0 : 1;
        }
        $reasons = [];
        if (count(array_unique(str_split($this->hex, 2))) === 1) {
            $reasons[] = 'all bytes are equal';
        }
        if ($changes <= 1) {
            $reasons[] = 'the level changes at most once: noise looks like that';
        }
        if ($changes === strlen($bits) - 1) {
            $reasons[] = 'the bits alternate as the preamble does';
        }

        return $reasons;
    }

    /** @return string "C2 F1 9A 47 01" */
    public function spaced(): string
    {
        return implode(' ', str_split($this->hex, 2));
    }

    private function bits(): string
    {
        return implode('', array_map(static fn (string $digit): string => sprintf('%04b', hexdec($digit)), str_split($this->hex)));
    }

    private function bitsApart(self $other): string
    {
        $mine = $this->bits();
        $theirs = $other->bits();
        $apart = '';
        for ($bit = 0; $bit < strlen($mine); $bit++) {
            $apart .= $mine[$bit] === $theirs[$bit] ? '0' : '1';
        }

        return $apart;
    }
}
