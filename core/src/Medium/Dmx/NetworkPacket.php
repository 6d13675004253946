<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

/** A universe as a packet over the network. Source: ANSI E1.31, 4 to 7. */
final readonly class NetworkPacket
{
    /** All that stands before the first slot. */
    public const HEAD = 126;

    private const NAME_BYTES = 64;

    /**
     * @param  string  $source  16 bytes by which receivers tell senders apart
     * @param  string  $name  of the sender, for people
     * @param  int  $universe  1 to 63999
     * @param  int  $priority  0 to 200
     */
    public function __construct(public string $source, public string $name, public int $universe, public int $priority)
    {
    }

    /** @param  int  $sequence  one more each packet, the low byte counts */
    public function bytes(string $slots, int $sequence): string
    {
        $count = strlen($slots);

        return $this->head($count, $sequence).$slots;
    }

    /** @return string everything before the first slot */
    public function head(int $slots, int $sequence): string
    {
        // Each layer says how long it is, in twelve bits behind flags that are always 7.
        $long = static fn (int $bytes): string => pack('n', 0x7000 | $bytes);
        $whole = self::HEAD + $slots;

        return pack('nn', 0x0010, 0).str_pad('ASC-E1.17', 12, "\0").$long($whole - 16).pack('N', 0x4).$this->source
            .$long($whole - 38).pack('N', 0x2).$this->nameField().pack('CnCCn', $this->priority, 0, $sequence & 0xFF, 0, $this->universe)
            .$long($whole - 115).pack('CCnnn', 0x02, 0xA1, 0, 1, 1 + $slots)."\0";
    }

    /** UTF-8, cut where no letter is cut, with at least one nought behind it. */
    private function nameField(): string
    {
        return str_pad(mb_strcut($this->name, 0, self::NAME_BYTES - 1, 'UTF-8'), self::NAME_BYTES, "\0");
    }
}
