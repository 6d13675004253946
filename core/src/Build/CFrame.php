<?php

declare(strict_types=1);

namespace Rundfunk\Build;

use Rundfunk\Frame\FrameField;
use Rundfunk\Frame\FrameLayout;
use Rundfunk\Frame\PlacedField;
use Rundfunk\Text\CNames;

/** A frame's layout as C: a struct, an encoder and a decoder. Those of the bytes inside a frame are named after what they are. */
final readonly class CFrame
{
    private string $type;

    private string $length;

    /**
     * @param  string  $prefix  in capitals
     * @param  string  $what  it is, as C may name it
     */
    public function __construct(private FrameLayout $layout, string $prefix, string $what = 'frame', private string $title = 'Frame')
    {
        $this->type = strtolower($prefix).'_'.$what;
        $this->length = $prefix.'_'.strtoupper($what).'_BYTES';
    }

    /** @return list<string> */
    public function lines(): array
    {
        if (! $this->layout->fits()) {
            return ["#error \"The payload of {$this->layout->lengthBytes} bytes does not hold the frame of {$this->layout->usedBytes()} bytes.\"", ''];
        }
        $lines = ['/*', ' * '.CNames::comment($this->title).", {$this->layout->lengthBytes} bytes, little-endian:"];
        foreach ($this->layout->placed() as $placed) {
            $lines[] = sprintf(' *   %s  %-8s %s', self::place($placed), $placed->field->name, CNames::comment($placed->field->doc));
        }
        $room = $this->layout->room;
        if ($room !== null) {
            $lines[] = sprintf(' *   byte %d–%d  %-8s %s', $room->fromByte, $room->endByte() - 1, $room->name, CNames::comment($room->doc));
        }
        $filler = $this->layout->lengthBytes - $this->layout->usedBytes();
        if ($filler > 0) {
            $lines[] = " *   then {$filler} bytes of filler, zero";
        }
        $lines = [...$lines, ' */', "#define {$this->length} {$this->layout->lengthBytes}", '', "struct {$this->type} {"];
        foreach ($this->layout->fields as $field) {
            $lines[] = "    {$field->size->cType()} {$field->name};";
        }

        return [...$lines, '};', '', ...$this->encoder(), ...$this->decoder()];
    }

    private static function place(PlacedField $placed): string
    {
        if (! $placed->field->size->isOfBytes) {
            return sprintf('%-31s', $placed->words());
        }

        return "byte {$placed->firstByte()}".($placed->firstByte() === $placed->lastByte() ? '  ' : "–{$placed->lastByte()}");
    }

    /** @return list<string> */
    private function encoder(): array
    {
        $lines = [
            "static inline void {$this->type}_encode(const struct {$this->type} *frame, uint8_t bytes[{$this->length}])",
            '{',
        ];
        $written = 0;
        foreach ($this->layout->placed() as $placed) {
            for ($byte = $placed->firstByte(); $byte <= $placed->lastByte(); $byte++) {
                for (; $written < $byte; $written++) {
                    // Between two fields: another's, who puts it in afterwards.
                    $lines[] = "    bytes[{$written}] = 0;";
                }
                $shift = $placed->shiftIn($byte);
                $raw = self::raw($placed->field);
                $lines[] = "    bytes[{$byte}] ".($written > $byte ? '|=' : '=').' (uint8_t)('.match (true) {
                    $shift === 0 => $raw,
                    $shift > 0 => "({$raw}) << {$shift}",
                    default => "({$raw}) >> ".-$shift,
                }.');';
                $written = $byte + 1;
            }
        }
        if ($this->layout->fieldBytes() < $this->layout->lengthBytes) {
            $lines[] = "    for (uint8_t filler = {$this->layout->fieldBytes()}; filler < {$this->length}; filler++) {";
            $lines[] = '        bytes[filler] = 0;';
            $lines[] = '    }';
        }

        return [...$lines, '}', ''];
    }

    /** What stands in a field's bits, in C. */
    private static function raw(FrameField $field): string
    {
        $size = $field->size;
        if ($size->isOfBytes) {
            return $size->cType() === 'uint8_t' ? "frame->{$field->name}" : "({$size->cUnsigned()})frame->{$field->name}";
        }
        $unsigned = "({$size->cUnsigned()})";
        // Without a sign, for a board whose numbers have 16 bits may not run over with one.
        $counted = $size->lowest === 0 ? "{$unsigned}frame->{$field->name}" : "{$unsigned}({$unsigned}frame->{$field->name} - {$unsigned}({$size->lowest}))";

        return "{$counted} & 0x".dechex((1 << $size->bits) - 1).'U'.($size->bits > 16 ? 'L' : '');
    }

    /** @return list<string> */
    private function decoder(): array
    {
        // Where a field can hold what stands for nothing, nothing is put into the caller's before all of it is read.
        $strict = array_filter($this->layout->fields, static fn (FrameField $field): bool => ! $field->size->isOfBytes && $field->size->hasIdleCodes()) !== [];
        $into = $strict ? 'read.' : 'frame->';
        $lines = [
            '/* Returns 1, or 0 when the length is not the agreed one'.($strict ? ' or it holds what nobody says' : '').'; then the frame is left as it was. */',
            "static inline uint8_t {$this->type}_decode(struct {$this->type} *frame, const uint8_t *bytes, uint8_t length)",
            '{',
            ...($strict ? ["    struct {$this->type} read;"] : []),
            "    if (length != {$this->length}) {",
            '        return 0;',
            '    }',
        ];
        foreach ($this->layout->placed() as $placed) {
            $size = $placed->field->size;
            $to = $into.$placed->field->name;
            $parts = [];
            for ($byte = $placed->firstByte(); $byte <= $placed->lastByte(); $byte++) {
                $shift = $placed->shiftIn($byte);
                $cast = "({$size->cUnsigned()})bytes[{$byte}]";
                $parts[] = match (true) {
                    $shift === 0 => $cast,
                    $shift > 0 => "({$size->cUnsigned()})({$cast} >> {$shift})",
                    default => "({$size->cUnsigned()})({$cast} << ".-$shift.')',
                };
            }
            if ($size->isOfBytes) {
                $lines[] = "    {$to} = ({$size->cType()})(".implode(' | ', $parts).');';

                continue;
            }
            $raw = '(('.implode(' | ', $parts).') & 0x'.dechex((1 << $size->bits) - 1).'U'.($size->bits > 16 ? 'L' : '').')';
            $signed = $size->cType() === 'int16_t' || $size->cType() === 'int32_t';
            // A board whose numbers have 16 bits goes below nought by its own arithmetic.
            $lines[] = "    {$to} = ({$size->cType()})(".($size->lowest === 0 ? $raw : ($signed && $size->bits <= 15 ? "(int16_t){$raw}" : "(int32_t){$raw}")." + ({$size->lowest})").');';
            if ($size->hasIdleCodes()) {
                $lines[] = "    if ({$to} > {$size->highest}) {";
                $lines[] = '        return 0;';
                $lines[] = '    }';
            }
        }

        return [...$lines, ...($strict ? ['    *frame = read;'] : []), '    return 1;', '}', ''];
    }
}
