<?php

declare(strict_types=1);

namespace Rundfunk\Frame;

/** Puts values into the bytes of a frame and takes them out again, exactly as the generated C does. */
final readonly class FrameCodec
{
    public function __construct(private FrameLayout $layout)
    {
    }

    /**
     * @param  array<string, int>  $values  by field name, one for each
     * @return string payload bytes, filler zero
     *
     * @throws FrameFault
     */
    public function encode(array $values): string
    {
        if (! $this->layout->fits()) {
            throw FrameFault::tooShort($this->layout);
        }
        $bytes = array_fill(0, $this->layout->lengthBytes, 0);
        foreach ($this->layout->placed() as $placed) {
            $field = $placed->field;
            $value = $values[$field->name] ?? throw FrameFault::missing($field);
            if ($value < $field->size->lowest || $value > $field->size->highest) {
                throw FrameFault::outOfRange($field, $value);
            }
            $bits = $field->size->raw($value) << ($placed->atBit % 8);
            for ($byte = $placed->firstByte(); $byte <= $placed->lastByte(); $byte++) {
                $bytes[$byte] |= $bits & 0xFF;
                $bits >>= 8;
            }
        }

        return implode('', array_map(chr(...), $bytes));
    }

    /**
     * @return array<string, int>
     *
     * @throws FrameFault when the length is not the layout's, or a field holds what stands for nothing
     */
    public function decode(string $bytes): array
    {
        if (strlen($bytes) !== $this->layout->lengthBytes) {
            throw FrameFault::wrongLength($this->layout, strlen($bytes));
        }
        $values = [];
        foreach ($this->layout->placed() as $placed) {
            $bits = 0;
            for ($byte = $placed->lastByte(); $byte >= $placed->firstByte(); $byte--) {
                $bits = $bits << 8 | ord($bytes[$byte]);
            }
            $size = $placed->field->size;
            $value = $size->value($bits >> ($placed->atBit % 8) & ((1 << $size->bits) - 1));
            $values[$placed->field->name] = $value <= $size->highest ? $value : throw FrameFault::outOfRange($placed->field, $value);
        }

        return $values;
    }
}
