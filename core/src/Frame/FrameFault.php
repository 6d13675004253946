<?php

declare(strict_types=1);

namespace Rundfunk\Frame;

use RuntimeException;

final class FrameFault extends RuntimeException
{
    public static function tooShort(FrameLayout $layout): self
    {
        return new self("A payload of {$layout->lengthBytes} bytes does not hold the {$layout->usedBytes()} bytes of the frame.");
    }

    public static function missing(FrameField $field): self
    {
        return new self("The frame has no value for \"{$field->name}\".");
    }

    public static function outOfRange(FrameField $field, int $value): self
    {
        return new self("{$value} does not fit \"{$field->name}\", which holds {$field->size->lowest} to {$field->size->highest}.");
    }

    public static function keyLength(int $length): self
    {
        return new self("A key of {$length} bytes came where ".SipHash::KEY_BYTES.' are needed.');
    }

    public static function wrongLength(FrameLayout $layout, int $length): self
    {
        return new self("A frame of {$length} bytes came where {$layout->lengthBytes} were agreed.");
    }
}
