<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip;

/** An IPv4 network of a house. Source: RFC 4632, RFC 1918. */
final readonly class Subnet
{
    private function __construct(private int $base, public int $bits)
    {
    }

    /** @param  string  $text  as 192.168.40.0/24 */
    public static function tryParse(string $text): ?self
    {
        if (preg_match('~^([0-9.]+)/(\d{1,2})$~D', $text, $match) !== 1) {
            return null;
        }
        $base = self::number($match[1]);
        $bits = (int) $match[2];
        if ($base === null || $bits < 8 || $bits > 30) {
            return null;
        }

        return new self($base & self::mask($bits), $bits);
    }

    /** @return int|null the address as a number; null when it is none */
    public static function number(string $text): ?int
    {
        $valid = filter_var($text, FILTER_VALIDATE_IP, FILTER_FLAG_IPV4);

        return $valid === false ? null : (int) ip2long($valid);
    }

    public function holds(int $address): bool
    {
        return ($address & self::mask($this->bits)) === $this->base;
    }

    /** The network's own number and its broadcast are nobody's. */
    public function isHost(int $address): bool
    {
        return $this->holds($address) && $address !== $this->base && $address !== $this->base + $this->size() - 1;
    }

    public function host(int $number): string
    {
        return (string) long2ip($this->base + $number);
    }

    public function hostNumber(int $address): int
    {
        return $address - $this->base;
    }

    public function size(): int
    {
        return 1 << (32 - $this->bits);
    }

    private static function mask(int $bits): int
    {
        return (0xFFFF_FFFF << (32 - $bits)) & 0xFFFF_FFFF;
    }
}
