<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

/** {@see NetworkPacket} in C99. */
final readonly class CPacket
{
    /** Where the counter of packets stands. */
    private const SEQUENCE_AT = 111;

    /** @return list<string> with {l} and {L} still in them */
    public static function lines(NetworkPacket $packet, int $slots): array
    {
        $head = array_map(static fn (string $byte): string => (string) ord($byte), str_split($packet->head($slots, 0)));
        $lines = [
            '/* The packet of the universe as it is now, for UDP to {L}_GROUP and {L}_PORT: every 25 ms, and never less than once in 2 s. ANSI E1.31. */',
            '#define {L}_GROUP "'.Multicast::address($packet->universe).'"', '#define {L}_PORT '.Multicast::PORT, '#define {L}_BYTES '.(NetworkPacket::HEAD + $slots),
            'static inline void {l}_packet(struct {l}_state *desk, uint32_t now_ms, uint8_t packet[{L}_BYTES])', '{', '    static const uint8_t head[] = {',
        ];
        foreach (array_chunk($head, 16) as $row) {
            $lines[] = '        '.implode(', ', $row).',';
        }

        return [
            ...$lines, '    };', '    {l}_refresh(desk, now_ms);',
            '    for (uint16_t at = 0; at < '.NetworkPacket::HEAD.'; at++) {', '        packet[at] = head[at];', '    }',
            '    packet['.self::SEQUENCE_AT.'] = desk->sequence++;',
            "    for (uint16_t at = 0; at < {$slots}; at++) {", '        packet['.NetworkPacket::HEAD.' + at] = desk->slots[at];', '    }', '}', '',
        ];
    }
}
