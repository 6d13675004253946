<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Text\CNames;

/** {@see Listener} in C99. */
final readonly class CListener
{
    /** @return list<string> with {l}, {L}, {name} and {link} still in them */
    public static function lines(ListenerTables $tables): array
    {
        $count = count($tables->slots);
        $holds = array_filter($tables->slots, static fn (ListenedSlot $slot): bool => $slot->holds()) !== [];
        $lines = [
            '/* The universe {name}: each packet goes into node_from_{l}, slots without the start code, again and again until it says 0. */',
            'struct {l}_ear {', "    uint8_t was[{$count}];", "    uint8_t known[{$count}];", ...($holds ? ["    uint32_t said_ms[{$count}];"] : []), '};', '',
            'static inline void {l}_ear_start(struct {l}_ear *ear)', '{', '    uint8_t *byte = (uint8_t *)ear;', '    for (uint16_t at = 0; at < (uint16_t)sizeof *ear; at++) {', '        byte[at] = 0;', '    }', '}', '',
            'static inline uint8_t node_from_{l}(struct {l}_ear *ear, const uint8_t *slots, uint16_t count, uint32_t now_ms, struct node_message *heard)', '{', '    uint8_t value;', '    (void)now_ms;', '    heard->link = {link};', '    heard->node = 0;',
        ];
        foreach ($tables->slots as $place => $slot) {
            $again = $slot->holds() ? " || (uint32_t)(now_ms - ear->said_ms[{$place}]) >= ".Listener::AGAIN_MS.'UL' : '';
            $lines = [...$lines,
                "    value = count > {$slot->at} ? slots[{$slot->at}] : 0; /* ".CNames::comment($slot->name).' */',
                "    if (count > {$slot->at} && (!ear->known[{$place}] || ear->was[{$place}] != value{$again})) {",
                "        ear->known[{$place}] = 1;", "        ear->was[{$place}] = value;", ...($holds ? ["        ear->said_ms[{$place}] = now_ms;"] : []),
            ];
            foreach ($slot->fixed as $value => $means) {
                $lines = [...$lines, "        if (value == {$value}) {", "            heard->code = {$means['code']};", "            heard->value = {$means['value']};", '            return 1;', '        }'];
            }
            if ($slot->open !== null) {
                $lines[] = "        heard->code = {$slot->open['code']};";
                $lines[] = $slot->open['holds']
                    ? '        heard->value = value >= '.ListenedSlot::ON_FROM.';'
                    : "        heard->value = (int16_t)(({$slot->level->lowest()}L) + (int32_t)(((uint32_t)value * 257UL * {$slot->level->whole()}UL + 32767UL) / 65535UL));";
                $lines[] = '        return 1;';
            }
            $lines[] = '    }';
        }

        return [...$lines, '    return 0;', '}', ''];
    }

    public static function memoryBytes(ListenerTables $tables): int
    {
        $holds = array_filter($tables->slots, static fn (ListenedSlot $slot): bool => $slot->holds()) !== [];

        return count($tables->slots) * ($holds ? 6 : 2);
    }

    /** @return int bytes of program on an 8-bit board, about: a fit that the tests hold to the compiler */
    public static function programBytes(ListenerTables $tables): int
    {
        $bytes = 60;
        foreach ($tables->slots as $slot) {
            $bytes += 60 + 22 * count($slot->fixed) + ($slot->open === null ? 0 : ($slot->open['holds'] ? 60 : 110));
        }

        return $bytes;
    }
}
