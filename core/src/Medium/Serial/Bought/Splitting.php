<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Bought;

use Rundfunk\Plan\ProtocolCoding;

/** Where frames begin and end among the bytes that come. The same as the C in the node's header, state for state. */
final class Splitting implements Received
{
    private const END = 0xC0;

    private const ESCAPE = 0xDB;

    private const FLAG = 0x7E;

    private const HDLC_ESCAPE = 0x7D;

    private string $kept = '';

    private bool $whole = false;

    private bool $escaped = false;

    /** @param  int  $most  bytes that the longest frame keeps */
    public function __construct(private readonly ProtocolCoding $coding, private readonly int $most)
    {
    }

    public function push(int $byte): void
    {
        if ($this->whole) {
            $this->clear();
        }
        match ($this->coding) {
            ProtocolCoding::Bytes => $this->keepLast($byte),
            ProtocolCoding::Seven => $this->keepFromTop($byte),
            ProtocolCoding::Slip => $this->unstuff($byte, self::END, self::ESCAPE),
            ProtocolCoding::Hdlc => $this->unstuff($byte, self::FLAG, self::HDLC_ESCAPE),
        };
    }

    public function frame(int $length): ?string
    {
        return match ($this->coding) {
            ProtocolCoding::Bytes => strlen($this->kept) >= $length ? substr($this->kept, -$length) : null,
            ProtocolCoding::Seven => strlen($this->kept) === $length && ord($this->kept[0] ?? "\0") > 0x7F ? $this->kept : null,
            default => $this->whole && strlen($this->kept) === $length ? $this->kept : null,
        };
    }

    public function clear(): void
    {
        $this->kept = '';
        $this->whole = false;
        $this->escaped = false;
    }

    /** @return string a frame's bytes as they go over the line */
    public static function stuffed(ProtocolCoding $coding, string $bytes): string
    {
        return match ($coding) {
            ProtocolCoding::Slip => strtr($bytes, [chr(self::END) => "\xDB\xDC", chr(self::ESCAPE) => "\xDB\xDD"]).chr(self::END),
            ProtocolCoding::Hdlc => chr(self::FLAG).strtr($bytes, [chr(self::FLAG) => "\x7D\x5E", chr(self::HDLC_ESCAPE) => "\x7D\x5D"]).chr(self::FLAG),
            default => $bytes,
        };
    }

    private function keepLast(int $byte): void
    {
        $this->kept = substr($this->kept.chr($byte), -$this->most);
    }

    private function keepFromTop(int $byte): void
    {
        $this->kept = $byte > 0x7F ? chr($byte) : $this->kept.chr($byte);
        if (strlen($this->kept) > $this->most) {
            $this->kept = '';
        }
    }

    private function unstuff(int $byte, int $end, int $escape): void
    {
        if ($byte === $end) {
            $this->whole = $this->kept !== '' && ! $this->escaped;
            if (! $this->whole) {
                $this->clear();
            }

            return;
        }
        if ($byte === $escape) {
            $this->escaped = true;

            return;
        }
        if ($this->escaped) {
            $byte = match (true) {
                $end === self::FLAG => $byte ^ 0x20,
                $byte === 0xDC => self::END,
                $byte === 0xDD => self::ESCAPE,
                default => $byte,
            };
            $this->escaped = false;
        }
        // What is longer than any frame is none: it is kept too long, so that no length fits.
        if (strlen($this->kept) <= $this->most) {
            $this->kept .= chr($byte);
        }
    }
}
