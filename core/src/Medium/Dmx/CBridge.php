<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Text\CNames;

/** {@see BridgeReader} in C99: the whole of what a little board must do that stands between a serial line and a universe, but for its two serial ports. */
final readonly class CBridge
{
    public static function text(BridgeForm $form, string $template, int $slots, int $breakUs, int $markUs): string
    {
        $pattern = array_map(static fn (?string $letter): string => $letter === null ? '0' : (string) ord($letter), $form->pattern());
        $count = count($pattern);
        [$first, $second] = $form->slotFirst ? ['bridge->first', 'bridge->number'] : ['bridge->number', 'bridge->first'];
        $shown = CNames::comment($template);

        return implode("\n", [
            '/*', " * A bridge from a serial line to a universe: it is told \"{$shown}\", slots from 1, values to 255.", ' * Made by Rundfunk from the plan. What comes over the line goes into bridge_take, letter by letter. Again and again:',
            " * a break of {$breakUs} us, a mark of {$markUs} us, a byte 0, then bridge.slots at 250 000 baud, 8N2.", ' */',
            '#ifndef RUNDFUNK_BRIDGE_H', '#define RUNDFUNK_BRIDGE_H', '#include <stdint.h>', '',
            "#define BRIDGE_SLOTS {$slots}", '',
            'struct bridge {', '    uint8_t slots[BRIDGE_SLOTS];', '    uint16_t number;', '    uint16_t first;', '    uint8_t digits;', '    uint8_t has_first;', '    uint8_t is_lost;', '    uint8_t at;', '};', '',
            '/* 0 stands where a number is. */',
            "static const uint8_t bridge_pattern[{$count}] = {".implode(', ', $pattern).'};', '',
            'static inline void bridge_begin(struct bridge *bridge)', '{', '    bridge->number = bridge->first = 0;', '    bridge->digits = bridge->has_first = bridge->is_lost = bridge->at = 0;', '}', '',
            'static inline void bridge_start(struct bridge *bridge)', '{', '    for (uint16_t at = 0; at < BRIDGE_SLOTS; at++) {', '        bridge->slots[at] = 0;', '    }', '    bridge_begin(bridge);', '}', '',
            'static inline uint8_t bridge_follows(struct bridge *bridge, uint8_t letter)', '{',
            '    if (bridge_pattern[bridge->at] == 0) {',
            "        if (letter >= '0' && letter <= '9') {",
            '            if (bridge->digits == '.BridgeForm::digits().' || (bridge->digits == 1 && bridge->number == 0)) {', '                return 0;', '            }',
            "            bridge->number = (uint16_t)(10 * bridge->number + (letter - '0'));", '            bridge->digits++;', '            return 1;', '        }',
            '        if (bridge->digits == 0) {', '            return 0;', '        }',
            '        bridge->at++;',
            '        if (!bridge->has_first) {', '            bridge->first = bridge->number;', '            bridge->has_first = 1;', '            bridge->number = 0;', '            bridge->digits = 0;', '        }', '    }',
            '    if (letter == 0 || bridge_pattern[bridge->at] != letter) {', '        return 0;', '    }', '    bridge->at++;', '    return 1;', '}', '',
            '/* Whether a slot was set. */',
            'static inline uint8_t bridge_take(struct bridge *bridge, uint8_t letter)', '{',
            '    if (bridge->is_lost || !bridge_follows(bridge, letter)) {', '        bridge_begin(bridge);', '        bridge->is_lost = letter != bridge_pattern['.($count - 1).'];', '        return 0;', '    }',
            "    if (bridge->at == {$count}) {", "        uint16_t slot = {$first}, value = {$second};", '        bridge_begin(bridge);',
            '        if (slot >= 1 && slot <= BRIDGE_SLOTS && value <= 255) {', '            bridge->slots[slot - 1] = (uint8_t)value;', '            return 1;', '        }', '    }',
            '    return 0;', '}', '', '#endif', '',
        ]);
    }
}
