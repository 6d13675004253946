<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

use Rundfunk\OutOfRange;

/** A frame of a classic CAN bus, and its bits one by one. Source: ISO 11898-1. */
final readonly class CanFrame
{
    public const STANDARD_MOST = 0x7FF;

    public const EXTENDED_MOST = 0x1FFF_FFFF;

    public const BYTES_MOST = 8;

    /** Check delimiter, acknowledge slot and its delimiter, seven of end, three between frames: none of them is stuffed. */
    private const TAIL_BITS = 13;

    private const CRC_BITS = 15;

    private const POLYNOMIAL = 0x4599;

    /** @param  int|null  $asked  how many bytes a remote frame asks for; null for a frame with data */
    private function __construct(public int $id, public bool $extended, public string $data, public ?int $asked)
    {
    }

    /**
     * @param  string  $data  0 to 8 bytes
     *
     * @throws OutOfRange
     */
    public static function data(int $id, bool $extended, string $data): self
    {
        OutOfRange::unless('id', $id, 0, $extended ? self::EXTENDED_MOST : self::STANDARD_MOST);
        OutOfRange::unless('bytes of data', strlen($data), 0, self::BYTES_MOST);

        return new self($id, $extended, $data, null);
    }

    /**
     * @param  int  $bytes  that it asks for
     *
     * @throws OutOfRange
     */
    public static function remote(int $id, bool $extended, int $bytes = 0): self
    {
        OutOfRange::unless('id', $id, 0, $extended ? self::EXTENDED_MOST : self::STANDARD_MOST);
        OutOfRange::unless('bytes', $bytes, 0, self::BYTES_MOST);

        return new self($id, $extended, '', $bytes);
    }

    /** @return int before any stuffing, with the gap to the next frame */
    public static function unstuffedBits(bool $extended, int $bytes): int
    {
        return self::headBits($extended) + 8 * $bytes + self::TAIL_BITS;
    }

    /**
     * @return int when every fourth bit after the first five has to be followed by a stuffed one, with the gap. Source: Davis, Burns, Bril and
     *             Lukkien, Controller Area Network (CAN) schedulability analysis: refuted, revisited and revised, 2007
     */
    public static function worstBits(bool $extended, int $bytes): int
    {
        return self::unstuffedBits($extended, $bytes) + intdiv(self::headBits($extended) + 8 * $bytes - 1, 4);
    }

    /** What of a frame without data may be stuffed: start to length, and the check. */
    private static function headBits(bool $extended): int
    {
        return $extended ? 54 : 34;
    }

    /** @return int 15 bits */
    public function crc(): int
    {
        $crc = 0;
        foreach (str_split($this->head()) as $bit) {
            $flips = ((int) $bit ^ ($crc >> 14)) & 1;
            $crc = (($crc << 1) & 0x7FFF) ^ ($flips === 1 ? self::POLYNOMIAL : 0);
        }

        return $crc;
    }

    /** @return int how many bits are stuffed into it: after five equal ones, the other */
    public function stuffBits(): int
    {
        $stuffed = $run = 0;
        $last = '';
        foreach (str_split($this->head().sprintf('%0'.self::CRC_BITS.'b', $this->crc())) as $bit) {
            $run = $bit === $last ? $run + 1 : 1;
            $last = $bit;
            if ($run === 5) {
                $stuffed++;
                // The stuffed bit is the first of the next run.
                [$last, $run] = [$bit === '1' ? '0' : '1', 1];
            }
        }

        return $stuffed;
    }

    /** @return int on the wire, with the gap */
    public function exactBits(): int
    {
        return self::unstuffedBits($this->extended, strlen($this->data)) + $this->stuffBits();
    }

    /** @return non-empty-string from the start of frame to the last bit of data, one character a bit; 0 is dominant */
    private function head(): string
    {
        $remote = $this->asked === null ? '0' : '1';
        $bits = '0';
        if ($this->extended) {
            // Substitute remote request and identifier extension recessive, then the rest of the identifier, and two reserved bits.
            $bits .= sprintf('%011b', $this->id >> 18).'11'.sprintf('%018b', $this->id & 0x3_FFFF).$remote.'00';
        } else {
            $bits .= sprintf('%011b', $this->id).$remote.'00';
        }
        $bits .= sprintf('%04b', $this->asked ?? strlen($this->data));
        foreach ($this->data === '' ? [] : str_split($this->data) as $byte) {
            $bits .= sprintf('%08b', ord($byte));
        }

        return $bits;
    }
}
