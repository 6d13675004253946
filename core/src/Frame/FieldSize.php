<?php

declare(strict_types=1);

namespace Rundfunk\Frame;

enum FieldSize: string
{
    case U8 = 'u8';
    case U16 = 'u16';
    case I16 = 'i16';
    case U32 = 'u32';

    public function bytes(): int
    {
        return match ($this) {
            self::U8 => 1,
            self::U16, self::I16 => 2,
            self::U32 => 4,
        };
    }

    public function lowest(): int
    {
        return $this === self::I16 ? -32_768 : 0;
    }

    public function highest(): int
    {
        return match ($this) {
            self::U8 => 0xFF,
            self::U16 => 0xFFFF,
            self::I16 => 32_767,
            self::U32 => 0xFFFF_FFFF,
        };
    }

    public function cType(): string
    {
        return match ($this) {
            self::U8 => 'uint8_t',
            self::U16 => 'uint16_t',
            self::I16 => 'int16_t',
            self::U32 => 'uint32_t',
        };
    }
}
