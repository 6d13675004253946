<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Bought;

use Rundfunk\Plan\Protocol;
use Rundfunk\Plan\ProtocolCoding;
use Rundfunk\Plan\ProtocolPartKind;

/** {@see PacketForm} and {@see Splitting} in C. */
final readonly class CPacket implements CForm
{
    private PacketForm $form;

    public function __construct(private Protocol $protocol)
    {
        $this->form = new PacketForm($protocol);
    }

    public function kept(int $most): int
    {
        return $most + ($this->isStuffed() ? 1 : 0);
    }

    public function shared(int $most): string
    {
        $full = $this->form->isSeven() ? 'at->have > 0 ? 7 : 8' : '8';
        $begun = $this->form->isSeven() ? 'at->have > 1 ? 7 : 8' : '8';
        $push = match ($this->protocol->coding) {
            ProtocolCoding::Bytes => <<<'C'
                    if (line->have == {L}_KEPT_MOST) {
                        uint8_t at;
                        for (at = 1; at < {L}_KEPT_MOST; at++) {
                            line->kept[at - 1] = line->kept[at];
                        }
                        line->have--;
                    }
                    line->kept[line->have++] = byte;
                C,
            ProtocolCoding::Seven => <<<'C'
                    if (byte > 0x7FU) {
                        line->have = 0;
                    } else if (line->have == {L}_KEPT_MOST) {
                        line->have = 0;
                        return;
                    }
                    line->kept[line->have++] = byte;
                C,
            ProtocolCoding::Slip => self::unstuffing('0xC0U', '0xDBU', 'byte == 0xDCU ? 0xC0U : byte == 0xDDU ? 0xDBU : byte'),
            ProtocolCoding::Hdlc => self::unstuffing('0x7EU', '0x7DU', 'byte ^ 0x20U'),
        };
        $frame = match ($this->protocol->coding) {
            ProtocolCoding::Bytes => '    return line->have >= length ? line->kept + line->have - length : 0;',
            ProtocolCoding::Seven => '    return line->have == length && line->kept[0] > 0x7FU ? line->kept : 0;',
            default => '    return line->whole && line->have == length ? line->kept : 0;',
        };

        return <<<C
            struct {l}_bits {
                uint8_t *bytes;
                uint8_t have;
                uint8_t room;
            };

            /* The highest bit first. */
            static inline void {l}_put(struct {l}_bits *at, uint32_t value, uint8_t bits)
            {
                while (bits > 0) {
                    uint8_t take;
                    if (at->room == 0) {
                        at->room = {$full};
                        at->bytes[at->have++] = 0;
                    }
                    take = bits < at->room ? bits : at->room;
                    bits = (uint8_t)(bits - take);
                    at->room = (uint8_t)(at->room - take);
                    at->bytes[at->have - 1] |= (uint8_t)(((value >> bits) & ((1UL << take) - 1UL)) << at->room);
                }
            }

            static inline uint32_t {l}_take(struct {l}_bits *at, uint8_t bits)
            {
                uint32_t value = 0;
                while (bits > 0) {
                    uint8_t take;
                    if (at->room == 0) {
                        at->have++;
                        at->room = {$begun};
                    }
                    take = bits < at->room ? bits : at->room;
                    bits = (uint8_t)(bits - take);
                    at->room = (uint8_t)(at->room - take);
                    value = (value << take) | (((uint32_t)at->bytes[at->have - 1] >> at->room) & ((1UL << take) - 1UL));
                }
                return value;
            }

            static void {l}_clear(struct {l}_line *line)
            {
                line->have = line->whole = line->escaped = 0;
            }

            static void {l}_push(struct {l}_line *line, uint8_t byte)
            {
                if (line->whole) {
                    {l}_clear(line);
                }
            {$push}
            }

            static inline uint8_t *{l}_frame(struct {l}_line *line, uint8_t length)
            {
            {$frame}
            }

            C.$this->stuffing();
    }

    public function write(Saying $saying): array
    {
        $lines = [];
        foreach ($this->form->fields($saying) as $field) {
            $value = match (true) {
                $field->is === ProtocolPartKind::Check => CChecked::of($this->protocol, 'bytes', 'at.have'),
                $field->is === ProtocolPartKind::Id => 'id',
                $field->given && $field->of?->isSwitch() === true => '(wire ? '.self::number(PacketForm::raw($field->of, 1)).' : '.self::number(PacketForm::raw($field->of, 0)).')',
                $field->given => '(uint32_t)wire',
                default => self::number($field->value),
            };
            if ($field->bits === 0) {
                continue;
            }
            $lowFirst = $field->is === ProtocolPartKind::Check ? $this->protocol->checkLowFirst : $this->protocol->lowFirst;
            if (! $this->form->turnsAbout($field->bits, $lowFirst)) {
                $lines[] = "{l}_put(&at, {$value}, {$field->bits});";

                continue;
            }
            $lines[] = "whole = {$value};";
            for ($shift = 0; $shift < $field->bits; $shift += 8) {
                $lines[] = '{l}_put(&at, '.($shift === 0 ? 'whole' : "whole >> {$shift}").', 8);';
            }
        }
        if ($this->isStuffed()) {
            $lines[] = 'at.have = {l}_stuffed(bytes, at.have, out);';
        }

        return $lines;
    }

    public function read(Saying $saying): array
    {
        $lines = ["at.bytes = {l}_frame(line, {$this->form->keptBytes($saying)});", 'if (at.bytes == 0) {', '    return 0;', '}'];
        foreach ($this->form->fields($saying) as $field) {
            if ($field->bits === 0) {
                continue;
            }
            $isCheck = $field->is === ProtocolPartKind::Check;
            $mask = $field->bits === 32 ? 0xFFFF_FFFF : (1 << $field->bits) - 1;
            if ($isCheck) {
                $lines[] = 'check = '.CChecked::of($this->protocol, 'at.bytes', 'at.have').($field->bits % 8 === 0 ? '' : ' & '.self::number($mask)).';';
            }
            $lines = [...$lines, ...$this->taken($field->bits, $isCheck ? $this->protocol->checkLowFirst : $this->protocol->lowFirst)];
            $is = match (true) {
                $isCheck => 'check',
                $field->is === ProtocolPartKind::Id => 'id',
                default => self::number($field->value & $mask),
            };
            $lines = [...$lines, ...match (true) {
                $field->given && $field->of?->isSwitch() === true => [
                    'if (whole != '.self::number(PacketForm::raw($field->of, 1) & $mask).' && whole != '.self::number(PacketForm::raw($field->of, 0) & $mask).') {', '    return 0;', '}',
                    '*wire = whole == '.self::number(PacketForm::raw($field->of, 1) & $mask).' ? 1 : 0;',
                ],
                $field->given => [$this->signed($field->of->signed ?? false, $field->bits)],
                $field->any => [],
                default => ["if (whole != {$is}) {", '    return 0;', '}'],
            }];
        }

        return $lines;
    }

    private function signed(bool $signed, int $bits): string
    {
        return match (true) {
            $signed && $bits === 32 => '*wire = (int32_t)whole;',
            $signed => '*wire = (int32_t)whole - (whole & '.self::number(1 << $bits - 1).' ? (int32_t)'.self::number(1 << $bits).' : 0);',
            $bits === 32 => '*wire = whole > 0x7FFFFFFFUL ? 0x7FFFFFFFL : (int32_t)whole;',
            default => '*wire = (int32_t)whole;',
        };
    }

    /** @return list<string> */
    private function taken(int $bits, bool $lowFirst): array
    {
        if (! $this->form->turnsAbout($bits, $lowFirst)) {
            return ["whole = {l}_take(&at, {$bits});"];
        }
        $lines = ['whole = {l}_take(&at, 8);'];
        for ($shift = 8; $shift < $bits; $shift += 8) {
            $lines[] = "whole |= {l}_take(&at, 8) << {$shift};";
        }

        return $lines;
    }

    private function stuffing(): string
    {
        if (! $this->isStuffed()) {
            return '';
        }
        [$end, $escape, $escaped, $first] = $this->protocol->coding === ProtocolCoding::Slip
            ? ['0xC0U', '0xDBU', 'bytes[at] == 0xC0U ? 0xDCU : 0xDDU', '']
            : ['0x7EU', '0x7DU', 'bytes[at] ^ 0x20U', '    out[have++] = 0x7EU;'."\n"];

        return <<<C

            static inline uint8_t {l}_stuffed(const uint8_t *bytes, uint8_t length, uint8_t *out)
            {
                uint8_t at, have = 0;
            {$first}    for (at = 0; at < length; at++) {
                    if (bytes[at] == {$end} || bytes[at] == {$escape}) {
                        out[have++] = {$escape};
                        out[have++] = (uint8_t)({$escaped});
                    } else {
                        out[have++] = bytes[at];
                    }
                }
                out[have++] = {$end};
                return have;
            }

            C;
    }

    private static function unstuffing(string $end, string $escape, string $plain): string
    {
        return <<<C
                if (byte == {$end}) {
                    line->whole = line->have > 0 && !line->escaped;
                    if (!line->whole) {
                        {l}_clear(line);
                    }
                    return;
                }
                if (byte == {$escape}) {
                    line->escaped = 1;
                    return;
                }
                if (line->escaped) {
                    byte = (uint8_t)({$plain});
                    line->escaped = 0;
                }
                if (line->have < {L}_KEPT_MOST) {
                    line->kept[line->have++] = byte;
                }
            C;
    }

    public function isStuffed(): bool
    {
        return $this->protocol->coding === ProtocolCoding::Slip || $this->protocol->coding === ProtocolCoding::Hdlc;
    }

    private static function number(int $value): string
    {
        return sprintf('0x%XUL', $value & 0xFFFF_FFFF);
    }
}
