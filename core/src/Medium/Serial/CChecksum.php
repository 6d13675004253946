<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

use Rundfunk\Frame\Checksum;

/** A check sum as C99: bit by bit, for a table takes more of an 8-bit board than the time is worth. */
final readonly class CChecksum
{
    /** @return list<string> none where nothing is checked */
    public static function lines(Checksum $check, string $name): array
    {
        if ($check->bytes() === 0) {
            return [];
        }
        $type = 'uint'.(8 * $check->bytes()).'_t';
        $u = $check->bytes() === 4 ? 'UL' : 'U';
        $hex = static fn (int $value): string => sprintf('0x%0'.(2 * $check->bytes()).'X', $value).$u;
        $top = $hex(1 << 8 * $check->bytes() - 1);
        $body = match (true) {
            $check === Checksum::Sum8 => ['        sum = (uint8_t)(sum + *bytes++);'],
            $check === Checksum::Xor8 => ['        sum = (uint8_t)(sum ^ *bytes++);'],
            $check->isReflected() => [
                "        sum = ({$type})(sum ^ *bytes++);",
                '        for (uint8_t bit = 0; bit < 8; bit++) {',
                "            sum = ({$type})(sum & 1U ? (sum >> 1) ^ {$hex($check->reversed())} : sum >> 1);",
                '        }',
            ],
            default => [
                '        sum = ('.$type.')(sum ^ ('.$type.')(*bytes++'.($check->bytes() > 1 ? ' << '.(8 * $check->bytes() - 8) : '').'));',
                '        for (uint8_t bit = 0; bit < 8; bit++) {',
                "            sum = ({$type})((sum << 1) ^ (sum & {$top} ? {$hex($check->polynomial())} : 0{$u}));",
                '        }',
            ],
        };

        return [
            "/* {$check->value} */",
            "static inline {$type} {$name}(const uint8_t *bytes, uint8_t length)", '{',
            "    {$type} sum = {$hex($check->initial())};", '    while (length--) {', ...$body, '    }',
            '    return '.($check->final() === 0 ? 'sum' : "({$type})(sum ^ {$hex($check->final())})").';', '}', '',
        ];
    }
}
