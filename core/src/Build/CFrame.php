<?php

declare(strict_types=1);

namespace Rundfunk\Build;

use Rundfunk\Frame\FieldSize;
use Rundfunk\Frame\FrameLayout;
use Rundfunk\Text\CNames;

/** A frame's layout as C: a struct, an encoder and a decoder. */
final readonly class CFrame
{
    /** @param  string  $prefix in capitals */
    public function __construct(private FrameLayout $layout, private string $prefix)
    {
    }

    /** @return list<string> */
    public function lines(): array
    {
        if (! $this->layout->fits()) {
            return ["#error \"The payload of {$this->layout->lengthBytes} bytes does not hold the frame of {$this->layout->usedBytes()} bytes.\"", ''];
        }
        $type = strtolower($this->prefix).'_frame';
        $lines = ['/*', " * Frame, {$this->layout->lengthBytes} bytes, little-endian:"];
        foreach ($this->layout->placed() as ['field' => $field, 'offset' => $offset]) {
            $lines[] = sprintf(' *   byte %d%s  %-8s %s', $offset, $field->size->bytes() > 1 ? '–'.($offset + $field->size->bytes() - 1) : '  ', $field->name, CNames::comment($field->doc));
        }
        $filler = $this->layout->lengthBytes - $this->layout->usedBytes();
        if ($filler > 0) {
            $lines[] = " *   then {$filler} bytes of filler, zero";
        }
        $lines = [...$lines, ' */', "#define {$this->prefix}_FRAME_BYTES {$this->layout->lengthBytes}", '', "struct {$type} {"];
        foreach ($this->layout->fields as $field) {
            $lines[] = "    {$field->size->cType()} {$field->name};";
        }

        return [...$lines, '};', '', ...$this->encoder($type), ...$this->decoder($type)];
    }

    /** @return list<string> */
    private function encoder(string $type): array
    {
        $lines = [
            "static inline void {$type}_encode(const struct {$type} *frame, uint8_t bytes[{$this->prefix}_FRAME_BYTES])",
            '{',
        ];
        foreach ($this->layout->placed() as ['field' => $field, 'offset' => $offset]) {
            for ($byte = 0; $byte < $field->size->bytes(); $byte++) {
                $shift = 8 * $byte;
                $unsigned = $field->size === FieldSize::U8 ? "frame->{$field->name}" : '('.self::unsigned($field->size).")frame->{$field->name}";
                $lines[] = '    bytes['.($offset + $byte).'] = (uint8_t)('.($shift === 0 ? $unsigned : "({$unsigned}) >> {$shift}").');';
            }
        }
        if ($this->layout->usedBytes() < $this->layout->lengthBytes) {
            $lines[] = "    for (uint8_t filler = {$this->layout->usedBytes()}; filler < {$this->prefix}_FRAME_BYTES; filler++) {";
            $lines[] = '        bytes[filler] = 0;';
            $lines[] = '    }';
        }

        return [...$lines, '}', ''];
    }

    /** @return list<string> */
    private function decoder(string $type): array
    {
        $lines = [
            '/* Returns 1, or 0 when the length is not the agreed one; then the frame is left as it was. */',
            "static inline uint8_t {$type}_decode(struct {$type} *frame, const uint8_t *bytes, uint8_t length)",
            '{',
            "    if (length != {$this->prefix}_FRAME_BYTES) {",
            '        return 0;',
            '    }',
        ];
        foreach ($this->layout->placed() as ['field' => $field, 'offset' => $offset]) {
            $parts = [];
            for ($byte = 0; $byte < $field->size->bytes(); $byte++) {
                $cast = '('.self::unsigned($field->size).')bytes['.($offset + $byte).']';
                $parts[] = $byte === 0 ? $cast : '('.self::unsigned($field->size).')('.$cast.' << '.(8 * $byte).')';
            }
            $lines[] = "    frame->{$field->name} = ({$field->size->cType()})(".implode(' | ', $parts).');';
        }

        return [...$lines, '    return 1;', '}', ''];
    }

    private static function unsigned(FieldSize $size): string
    {
        return match ($size->bytes()) {
            1 => 'uint8_t',
            2 => 'uint16_t',
            default => 'uint32_t',
        };
    }
}
