<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio;

use Rundfunk\OutOfRange;

/** How long packets are on the air. Source: data sheet of the class, from memory; the frame's bits are counted one by one in the tests. */
final readonly class PacketAir
{
    /** From receive to transmit or back, nanoseconds. */
    public const TURN_NS = 130_000;

    private const PREAMBLE_BYTES = 1;

    private const CONTROL_BITS = 9;

    /**
     * @param  int  $addressBytes  3–5
     * @param  int  $crcBytes  0–2
     */
    public function __construct(public PacketRate $rate, public int $addressBytes, public int $crcBytes)
    {
        OutOfRange::unless('address_bytes', $addressBytes, 3, 5);
        OutOfRange::unless('crc_bytes', $crcBytes, 0, 2);
    }

    /** @param  int  $payloadBytes 0–32 */
    public function frameBits(int $payloadBytes): int
    {
        OutOfRange::unless('payload_bytes', $payloadBytes, 0, 32);

        return 8 * (self::PREAMBLE_BYTES + $this->addressBytes + $payloadBytes + $this->crcBytes) + self::CONTROL_BITS;
    }

    /** @return int nanoseconds */
    public function frameNs(int $payloadBytes): int
    {
        return intdiv($this->frameBits($payloadBytes) * 1_000_000, $this->rate->value);
    }

    /** @return int nanoseconds of an acknowledge; an acknowledged link always carries a CRC */
    public function acknowledgeNs(int $payloadBytes = 0): int
    {
        $forced = new self($this->rate, $this->addressBytes, max(1, $this->crcBytes));

        return $forced->frameNs($payloadBytes);
    }
}
