<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Bought;

use Rundfunk\Plan\Protocol;
use Rundfunk\Plan\ProtocolCoding;
use Rundfunk\Plan\ProtocolPart;
use Rundfunk\Plan\ProtocolPartKind;
use Rundfunk\Plan\ProtocolValue;

/** Packets of bits. */
final readonly class PacketForm implements Form
{
    public function __construct(private Protocol $protocol)
    {
    }

    public function encode(Saying $saying, int $id, int $wire): string
    {
        $seven = $this->isSeven();
        $writer = new BitWriter($seven);
        foreach ($this->fields($saying) as $field) {
            if ($field->is === ProtocolPartKind::Check) {
                $this->put($writer, $this->check($writer->bytes()), $field->bits, $this->protocol->checkLowFirst);
            } elseif ($field->is === ProtocolPartKind::Values) {
                $this->put($writer, $field->given ? self::raw($field->of, $wire) : $field->value, $field->bits, $this->protocol->lowFirst);
            } else {
                $this->put($writer, $field->is === ProtocolPartKind::Id ? $id : $field->value, $field->bits, $this->protocol->lowFirst);
            }
        }

        return Splitting::stuffed($this->protocol->coding, $writer->bytes());
    }

    public function decode(Saying $saying, int $id, Received $received): ?Heard
    {
        $bytes = $received->frame($this->keptBytes($saying));
        if ($bytes === null) {
            return null;
        }
        $reader = new BitReader($bytes, $this->isSeven());
        $wire = null;
        foreach ($this->fields($saying) as $field) {
            if ($field->is === ProtocolPartKind::Check) {
                $begun = $reader->begun();
                if ($this->take($reader, $field->bits, $this->protocol->checkLowFirst) !== (self::masked($this->check(substr($bytes, 0, $begun)), $field->bits))) {
                    return null;
                }

                continue;
            }
            $is = $this->take($reader, $field->bits, $this->protocol->lowFirst);
            if ($field->given && $field->of !== null) {
                $wire = $field->of->isSwitch() ? self::switched($field->of, $is, $field->bits) : self::signed($field->of, $is);
                if ($wire === null) {
                    return null;
                }
            } elseif (! $field->any && $is !== self::masked($field->is === ProtocolPartKind::Id ? $id : $field->value, $field->bits)) {
                return null;
            }
        }

        return new Heard($wire);
    }

    public function leastBytes(Saying $saying): int
    {
        return $this->keptBytes($saying) + match ($this->protocol->coding) {
            ProtocolCoding::Slip => 1,
            ProtocolCoding::Hdlc => 2,
            default => 0,
        };
    }

    public function mostBytes(Saying $saying): int
    {
        $bytes = $this->keptBytes($saying);

        return match ($this->protocol->coding) {
            ProtocolCoding::Slip => 2 * $bytes + 1,
            ProtocolCoding::Hdlc => 2 * $bytes + 2,
            default => $bytes,
        };
    }

    public function keptBytes(Saying $saying): int
    {
        $bits = array_sum(array_map(static fn (PacketField $field): int => $field->bits, $this->fields($saying)));

        return $this->isSeven() ? 1 + (int) ceil(max(0, $bits - 8) / 7) : (int) ceil($bits / 8);
    }

    /** @return list<PacketField> in their order, each once */
    public function fields(Saying $saying): array
    {
        $fields = [];
        foreach ($this->protocol->parts as $part) {
            foreach ($part->is === ProtocolPartKind::Values ? $saying->values : [$part] as $one) {
                $fields[] = $one instanceof ProtocolValue ? PacketField::ofValue($one, $saying->isAnswer) : new PacketField($one->is, $this->bitsOf($one), $this->valueOf($one, $saying));
            }
        }

        return $fields;
    }

    /** @return string|null what keeps such a packet from being whole, for a person; null where nothing does */
    public function fault(Saying $saying): ?string
    {
        $at = 0;
        foreach ($this->fields($saying) as $field) {
            $within = $this->isSeven() ? ($at < 8 ? $at : ($at - 8) % 7) : $at % 8;
            if ($field->is === ProtocolPartKind::Check && $within !== 0) {
                return 'its check begins in the midst of a byte';
            }
            $at += $field->bits;
        }
        $over = $this->isSeven() ? max(0, $at - 8) % 7 : $at % 8;

        return match (true) {
            $at === 0 => 'it has no fields',
            $over !== 0 => "its {$at} bits end in the midst of a byte",
            $this->isSeven() && $at < 8 => 'its first byte is not whole',
            default => null,
        };
    }

    public function isSeven(): bool
    {
        return $this->protocol->coding === ProtocolCoding::Seven;
    }

    /** What of a number is turned about, its low byte first: whole bytes of more than one, in bytes of eight. */
    public function turnsAbout(int $bits, bool $lowFirst): bool
    {
        return $lowFirst && $bits > 8 && $bits % 8 === 0 && ! $this->isSeven();
    }

    /** @return int of on or off where that is what it is, otherwise as it goes */
    public static function raw(?ProtocolValue $value, int $wire): int
    {
        return $value !== null && $value->isSwitch() ? Figure::number($wire === 0 ? $value->off : $value->on) : $wire;
    }

    private function bitsOf(ProtocolPart $part): int
    {
        return $part->is === ProtocolPartKind::Check ? $this->protocol->check->bytes() * ($this->isSeven() ? 7 : 8) : $part->bits;
    }

    private function valueOf(ProtocolPart $part, Saying $saying): int
    {
        return match ($part->is) {
            ProtocolPartKind::Function => $saying->code,
            ProtocolPartKind::Length => $part->value + (int) ceil(array_sum(array_map(static fn (ProtocolValue $value): int => $value->bits, $saying->values)) / ($this->isSeven() ? 7 : 8)),
            default => $part->value,
        };
    }

    private function check(string $before): int
    {
        return $this->protocol->check->of(substr($before, $this->protocol->checkFrom));
    }

    private function put(BitWriter $writer, int $value, int $bits, bool $lowFirst): void
    {
        if (! $this->turnsAbout($bits, $lowFirst)) {
            $writer->put($value, $bits);

            return;
        }
        for ($shift = 0; $shift < $bits; $shift += 8) {
            $writer->put($value >> $shift, 8);
        }
    }

    private function take(BitReader $reader, int $bits, bool $lowFirst): int
    {
        if (! $this->turnsAbout($bits, $lowFirst)) {
            return $reader->take($bits);
        }
        $value = 0;
        for ($shift = 0; $shift < $bits; $shift += 8) {
            $value |= $reader->take(8) << $shift;
        }

        return $value;
    }

    private static function masked(int $value, int $bits): int
    {
        return $value & (1 << $bits) - 1;
    }

    private static function signed(ProtocolValue $value, int $is): int
    {
        // What does not fit 31 bits and a sign counts as the most that does: the programs reckon with that.
        return $value->signed && ($is >> $value->bits - 1 & 1) === 1 ? $is - (1 << $value->bits) : min($is, 0x7FFF_FFFF);
    }

    private static function switched(ProtocolValue $value, int $is, int $bits): ?int
    {
        return match ($is) {
            self::masked(Figure::number($value->on), $bits) => 1,
            self::masked(Figure::number($value->off), $bits) => 0,
            default => null,
        };
    }
}
