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
        $bytes = '';
        foreach ($this->layout->fields as $field) {
            $value = $values[$field->name] ?? throw FrameFault::missing($field);
            if ($value < $field->size->lowest() || $value > $field->size->highest()) {
                throw FrameFault::outOfRange($field, $value);
            }
            for ($byte = 0; $byte < $field->size->bytes(); $byte++) {
                $bytes .= chr(($value >> (8 * $byte)) & 0xFF);
            }
        }

        return str_pad($bytes, $this->layout->lengthBytes, "\0");
    }

    /**
     * @return array<string, int>
     *
     * @throws FrameFault when the length is not the layout's
     */
    public function decode(string $bytes): array
    {
        if (strlen($bytes) !== $this->layout->lengthBytes) {
            throw FrameFault::wrongLength($this->layout, strlen($bytes));
        }
        $values = [];
        foreach ($this->layout->placed() as ['field' => $field, 'offset' => $offset]) {
            $value = 0;
            for ($byte = 0; $byte < $field->size->bytes(); $byte++) {
                $value |= ord($bytes[$offset + $byte]) << (8 * $byte);
            }
            $values[$field->name] = $value > $field->size->highest() ? $value - 0x1_0000 : $value;
        }

        return $values;
    }
}
