<?php

declare(strict_types=1);

namespace Rundfunk\Frame;

/**
 * What stands behind a frame's bytes so that a receiver can tell whether they came whole. Named and parametrised as the catalogue of
 * parametrised CRC algorithms has them (R. Williams, "A painless guide to CRC error detection algorithms", 1993; G. Cook, "CRC RevEng").
 */
enum Checksum: string
{
    /** Nothing: whatever comes is believed. */
    case None = 'none';
    /** The sum of the bytes, modulo 256: two errors that cancel out pass. */
    case Sum8 = 'sum-8';
    /** The bytes exclusive-or'd: two of the same error pass. */
    case Xor8 = 'xor-8';
    /** The polynomial of system management buses. */
    case Crc8 = 'crc-8';
    /** That of one-wire sensors. */
    case Crc8OneWire = 'crc-8/maxim-dow';
    case Crc16Arc = 'crc-16/arc';
    /** Modbus RTU; its low byte goes first. */
    case Crc16Modbus = 'crc-16/modbus';
    case Crc16Usb = 'crc-16/usb';
    case Crc16Xmodem = 'crc-16/xmodem';
    /** Often called CCITT. */
    case Crc16CcittFalse = 'crc-16/ccitt-false';
    case Crc16Kermit = 'crc-16/kermit';
    /** HDLC and its kin. */
    case Crc16X25 = 'crc-16/x-25';
    case Crc16Dnp = 'crc-16/dnp';
    /** Of Ethernet, archives and pictures. */
    case Crc32 = 'crc-32';

    /** Other names under which people look for them. */
    private const ALIASES = [
        'crc-8/smbus' => 'crc-8', 'crc-16' => 'crc-16/arc', 'crc-16/ibm-3740' => 'crc-16/ccitt-false', 'crc-16/autosar' => 'crc-16/ccitt-false',
        'crc-16/ibm-sdlc' => 'crc-16/x-25', 'crc-16/ccitt' => 'crc-16/kermit', 'crc-32/iso-hdlc' => 'crc-32', 'sum' => 'sum-8', 'xor' => 'xor-8',
    ];

    /** @return self|null null where there is none of that name; "CRC16_MODBUS" is "crc-16/modbus" */
    public static function named(string $name): ?self
    {
        $plain = strtolower(trim($name));
        $tail = static fn (string $text): string => (string) preg_replace('/[^a-z0-9]/', '', $text);
        foreach ([...array_map(static fn (self $one): string => $one->value, self::cases()), ...array_keys(self::ALIASES)] as $known) {
            $short = str_contains($known, '/') ? substr($known, (int) strpos($known, '/') + 1) : $known;
            if ($plain === $known || $tail($plain) === $tail($known) || $tail($plain) === $tail($short)) {
                return self::from(self::ALIASES[$known] ?? $known);
            }
        }

        return null;
    }

    public function bytes(): int
    {
        return intdiv($this->width(), 8);
    }

    /** It tells a burst of errors as long as itself, as a CRC does and a sum does not. */
    public function isCrc(): bool
    {
        return str_starts_with($this->value, 'crc-');
    }

    /** @return int the polynomial, its highest term left out; 0 for what is no CRC */
    public function polynomial(): int
    {
        return match ($this) {
            self::None, self::Sum8, self::Xor8 => 0,
            self::Crc8 => 0x07,
            self::Crc8OneWire => 0x31,
            self::Crc16Arc, self::Crc16Modbus, self::Crc16Usb => 0x8005,
            self::Crc16Xmodem, self::Crc16CcittFalse, self::Crc16Kermit, self::Crc16X25 => 0x1021,
            self::Crc16Dnp => 0x3D65,
            self::Crc32 => 0x04C1_1DB7,
        };
    }

    /** @return int what the register holds before the first byte */
    public function initial(): int
    {
        return match ($this) {
            self::Crc16Modbus, self::Crc16Usb, self::Crc16CcittFalse, self::Crc16X25 => 0xFFFF,
            self::Crc32 => 0xFFFF_FFFF,
            default => 0,
        };
    }

    /** Bits go in and come out least significant first. */
    public function isReflected(): bool
    {
        return match ($this) {
            self::Crc8OneWire, self::Crc16Arc, self::Crc16Modbus, self::Crc16Usb, self::Crc16Kermit, self::Crc16X25, self::Crc16Dnp, self::Crc32 => true,
            default => false,
        };
    }

    /** @return int what the register is exclusive-or'd with at the end */
    public function final(): int
    {
        return match ($this) {
            self::Crc16Usb, self::Crc16X25, self::Crc16Dnp => 0xFFFF,
            self::Crc32 => 0xFFFF_FFFF,
            default => 0,
        };
    }

    /** @return int of no more than {@see bytes} bytes */
    public function of(string $bytes): int
    {
        if (! $this->isCrc()) {
            return $this->simple($bytes);
        }
        [$width, $polynomial, $mask] = [$this->width(), $this->polynomial(), (1 << $this->width()) - 1];
        $register = $this->initial();
        if ($this->isReflected()) {
            $reversed = self::mirrored($polynomial, $width);
            foreach (self::each($bytes) as $byte) {
                $register ^= $byte;
                for ($bit = 0; $bit < 8; $bit++) {
                    $register = ($register & 1) === 1 ? $register >> 1 ^ $reversed : $register >> 1;
                }
            }
        } else {
            foreach (self::each($bytes) as $byte) {
                $register ^= $byte << $width - 8;
                for ($bit = 0; $bit < 8; $bit++) {
                    $register = ($register >> $width - 1 & 1) === 1 ? ($register << 1 ^ $polynomial) & $mask : $register << 1 & $mask;
                }
            }
        }

        return $register ^ $this->final();
    }

    /** The polynomial as a reflected register shifts it. */
    public function reversed(): int
    {
        return self::mirrored($this->polynomial(), $this->width());
    }

    /** @return list<int> */
    private static function each(string $bytes): array
    {
        return $bytes === '' ? [] : array_map(ord(...), str_split($bytes));
    }

    private function width(): int
    {
        return match ($this) {
            self::None => 0,
            self::Sum8, self::Xor8, self::Crc8, self::Crc8OneWire => 8,
            self::Crc32 => 32,
            default => 16,
        };
    }

    private function simple(string $bytes): int
    {
        $total = 0;
        foreach (self::each($bytes) as $byte) {
            $total = match ($this) {
                self::Sum8 => ($total + $byte) & 0xFF,
                self::Xor8 => $total ^ $byte,
                default => 0,
            };
        }

        return $total;
    }

    private static function mirrored(int $value, int $width): int
    {
        $mirrored = 0;
        for ($bit = 0; $bit < $width; $bit++) {
            $mirrored |= ($value >> $bit & 1) << $width - 1 - $bit;
        }

        return $mirrored;
    }
}
