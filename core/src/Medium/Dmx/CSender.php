<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Plan\Action;
use Rundfunk\Text\CNames;

/** {@see Sender} in C99: where slots stand, and what is to go out of it, by wire, to a bridge or over the network. */
final readonly class CSender
{
    private function __construct(private SenderTables $tables)
    {
    }

    /** @return list<string> with {l}, {L}, {name} still in them */
    public static function lines(SenderTables $tables, ?BridgeForm $bridge, ?NetworkPacket $packet): array
    {
        $sender = new self($tables);

        return [...$sender->whole($bridge !== null), ...($bridge === null ? [] : $sender->bridge($bridge)), ...($packet === null ? [] : CPacket::lines($packet, strlen($tables->rests)))];
    }

    /** @return int bytes on an 8-bit board: the struct field by field */
    public static function memoryBytes(SenderTables $tables, bool $bridges): int
    {
        return strlen($tables->rests) + count($tables->driven) * self::slotBytes($tables) + ($bridges ? 7 + max(1, count($tables->places())) : 0) + 1;
    }

    /** @return int bytes that its tables take of an 8-bit board's memory, though they never change: which slots a bridge is told, or the head of a packet */
    public static function tableBytes(SenderTables $tables, bool $bridges, bool $isNetwork): int
    {
        return ($bridges ? 2 * count($tables->places()) : 0) + ($isNetwork ? NetworkPacket::HEAD : 0);
    }

    /** @return int bytes of program on an 8-bit board, about: a fit that the tests hold to the compiler */
    public static function programBytes(SenderTables $tables, bool $bridges, bool $isNetwork): int
    {
        $bytes = 17 + ($tables->pulses() ? 305 : 0) + ($bridges ? 5 + 55 * count($tables->places()) : 0) + ($isNetwork ? 125 : 0);
        foreach ($tables->tells as $tell) {
            $bytes += ($tell->pulseMs > 0 ? 16 : 0) + match ($tell->action) {
                Action::Set => $tell->value === null ? 128 : 30,
                Action::Step => 73,
                Action::Toggle => 54,
                Action::Momentary, Action::Follow => 51,
                default => 30,
            };
        }
        foreach ($tables->driven as $driven) {
            $bytes += 43 + ($driven->fineAt === null ? 0 : 34) - ($driven->rest > 0 ? 24 : 0);
        }

        return $bytes + 101 * count(array_filter(str_split($tables->rests), static fn (string $rest): bool => $rest !== "\0"));
    }

    private static function slotBytes(SenderTables $tables): int
    {
        return 12 + ($tables->pulses() ? 10 : 0);
    }

    /** @return list<string> */
    private function whole(bool $bridges): array
    {
        $count = count($this->tables->driven);
        $pulses = $this->tables->pulses();
        $slots = strlen($this->tables->rests);
        $lines = [
            '/* The universe {name}: what is told goes into node_to_{l}, and {l}_refresh says where each slot stands. */',
            "#define {L}_SLOTS {$slots}",
            ...($count === 0 ? [] : ['struct {l}_slot {', '    uint16_t from;', '    uint16_t to;', '    uint32_t start_ms;', '    uint32_t ms;', ...($pulses ? ['    uint32_t pulse_ms;', '    uint32_t fade_ms;', '    uint16_t rest;'] : []), '};', '']),
            'struct {l}_state {', "    uint8_t slots[{$slots}];", ...($count === 0 ? [] : ["    struct {l}_slot driven[{$count}];"]),
            ...($bridges ? ['    uint8_t said['.max(1, count($this->tables->places())).'];', '    uint16_t turn;', '    uint8_t said_all;', '    uint32_t said_ms;'] : []),
            '    uint8_t sequence;', '};', '',
        ];

        return [...$lines, ...$this->start($bridges), ...($count === 0 ? [] : $this->level()), ...$this->tell(), ...$this->refresh()];
    }

    /** @return list<string> */
    private function start(bool $bridges): array
    {
        $lines = ['static inline void {l}_start(struct {l}_state *desk, uint32_t now_ms)', '{', '    uint8_t *byte = (uint8_t *)desk;', '    for (uint16_t at = 0; at < (uint16_t)sizeof *desk; at++) {', '        byte[at] = 0;', '    }', '    (void)now_ms;'];
        foreach (str_split($this->tables->rests) as $at => $rest) {
            if ($rest !== "\0") {
                $lines[] = "    desk->slots[{$at}] = ".ord($rest).';';
            }
        }
        foreach ($this->tables->driven as $at => $driven) {
            $lines[] = "    desk->driven[{$at}].start_ms = now_ms;";
            if ($driven->rest > 0) {
                $lines[] = "    desk->driven[{$at}].from = desk->driven[{$at}].to = {$driven->rest}U;";
            }
        }

        return [...$lines, ...($bridges ? ['    desk->said_ms = now_ms;'] : []), '}', ''];
    }

    /** @return list<string> */
    private function level(): array
    {
        return [
            '/* Where a slot stands, of 65535. */',
            'static inline uint16_t {l}_level(struct {l}_slot *slot, uint32_t now_ms)', '{',
            '    uint32_t elapsed = (uint32_t)(now_ms - slot->start_ms);', '    uint16_t level;',
            '    if (slot->ms && elapsed >= slot->ms) {', '        slot->from = slot->to;', '        slot->ms = 0;', '    }',
            '    if (!slot->ms) {', '        level = slot->to;', '    } else {',
            '        uint32_t part = elapsed, whole = slot->ms;', '        uint32_t way = slot->to < slot->from ? (uint32_t)(slot->from - slot->to) : (uint32_t)(slot->to - slot->from);',
            '        while (whole > 65535UL) {', '            whole >>= 1;', '            part >>= 1;', '        }',
            '        part = way * part / whole;', '        level = (uint16_t)(slot->to < slot->from ? slot->from - part : slot->from + part);', '    }',
            ...($this->tables->pulses() ? [
                '    if (slot->pulse_ms && elapsed >= slot->pulse_ms) {', '        slot->from = level;', '        slot->to = slot->rest;', '        slot->start_ms = now_ms;', '        slot->ms = slot->fade_ms;', '        slot->pulse_ms = 0;', '        slot->fade_ms = 0;', '        return slot->ms ? level : slot->to;', '    }',
            ] : []),
            '    return level;', '}', '',
        ];
    }

    /** @return list<string> */
    private function tell(): array
    {
        $lines = ['/* A message that is to be told. */', 'static inline void node_to_{l}(struct {l}_state *desk, const struct node_message *told, uint32_t now_ms)', '{'];
        if ($this->tables->tells === []) {
            return [...$lines, '    (void)desk; (void)told; (void)now_ms;', '}', ''];
        }
        $pulses = $this->tables->pulses();
        $sets = array_filter($this->tables->tells, static fn (SlotTell $tell): bool => $tell->value === null && $tell->action === Action::Set) !== [];
        $lines = [
            ...$lines, '    struct {l}_slot *slot;', '    uint16_t was;', '    int32_t target;', '    uint32_t fade_ms = 0;', ...($pulses ? ['    uint32_t pulse_ms = 0;'] : []),
            ...($sets ? ['    int32_t value = told->value;'] : []),
        ];
        $first = true;
        foreach ($this->tables->tells as $tell) {
            $driven = $this->tables->driven[$tell->driven];
            $lines[] = ($first ? '    if' : '    } else if')." (told->node == {$tell->node} && told->code == {$tell->code}) { /* ".CNames::comment("{$driven->name}, {$tell->action->value}").' */';
            $lines[] = "        slot = &desk->driven[{$tell->driven}];";
            $lines[] = '        was = {l}_level(slot, now_ms);';
            array_push($lines, ...self::target($tell));
            if ($tell->fadeMs > 0) {
                $lines[] = "        fade_ms = {$tell->fadeMs}UL;";
            }
            if ($tell->pulseMs > 0) {
                $lines[] = "        pulse_ms = {$tell->pulseMs}UL;";
                $lines[] = "        slot->rest = {$tell->off}U;";
            }
            $first = false;
        }

        return [...$lines,
            '    } else {', '        return;', '    }',
            '    slot->from = was;', '    slot->to = (uint16_t)target;', '    slot->start_ms = now_ms;', '    slot->ms = fade_ms;', ...($pulses ? ['    slot->pulse_ms = pulse_ms;', '    slot->fade_ms = fade_ms;'] : []), '}', '',
        ];
    }

    /** @return list<string> */
    private static function target(SlotTell $tell): array
    {
        $whole = $tell->level->whole();
        $half = intdiv($whole, 2);
        $lowest = $tell->level->lowest();
        $highest = $lowest + $whole;

        return match ($tell->action) {
            Action::On, Action::Pulse => ["        target = {$tell->on}L;"],
            Action::Off => ["        target = {$tell->off}L;"],
            Action::Toggle => ["        target = slot->to == {$tell->off}U ? {$tell->on}L : {$tell->off}L;"],
            Action::Momentary, Action::Follow => ["        target = told->value ? {$tell->on}L : {$tell->off}L;"],
            Action::Set => $tell->value !== null ? ["        target = {$tell->level->for($tell->value)}L;"] : [
                "        value = value < ({$lowest}L) ? ({$lowest}L) : value > ({$highest}L) ? ({$highest}L) : value;",
                "        target = (int32_t)(((uint32_t)(value - ({$lowest}L)) * 65535UL + {$half}UL) / {$whole}UL);",
            ],
            Action::Step => ["        target = (int32_t)slot->to + ({$tell->level->steps($tell->value ?? 1)}L);", '        target = target < 0 ? 0 : target > 65535L ? 65535L : target;'],
        };
    }

    /** @return list<string> */
    private function refresh(): array
    {
        $lines = ['/* Puts every slot where it stands now: before each packet. */', 'static inline void {l}_refresh(struct {l}_state *desk, uint32_t now_ms)', '{', '    (void)desk; (void)now_ms;'];
        if ($this->tables->driven !== []) {
            $lines[] = '    uint16_t level;';
        }
        foreach ($this->tables->driven as $at => $driven) {
            $lines[] = "    level = {l}_level(&desk->driven[{$at}], now_ms); /* ".CNames::comment($driven->name).' */';
            $lines[] = "    desk->slots[{$driven->at}] = (uint8_t)(level >> 8);";
            if ($driven->fineAt !== null) {
                $lines[] = "    desk->slots[{$driven->fineAt}] = (uint8_t)level;";
            }
        }

        return [...$lines, '}', ''];
    }

    /** @return list<string> */
    private function bridge(BridgeForm $form): array
    {
        $places = $this->tables->places();
        $count = count($places);
        $longest = $form->longest(DmxFrame::MOST_SLOTS) + 1;
        $lines = [
            '/* What the bridge is to be told next, as text: how many letters, 0 while it knows all. Ask again when they have gone out. */',
            "#define {L}_LONGEST {$longest}",
            'static inline uint8_t {l}_next(struct {l}_state *desk, uint32_t now_ms, char text[{L}_LONGEST])', '{',
        ];
        if ($count === 0) {
            return [...$lines, '    (void)desk; (void)now_ms; (void)text;', '    return 0;', '}', ''];
        }

        return [
            ...$lines,
            '    static const uint16_t places[] = {'.implode(', ', $places).'};',
            '    uint16_t look, turn = desk->turn, number;', '    uint8_t length = 0, part, digits;', '    char reversed[3];',
            '    {l}_refresh(desk, now_ms);',
            "    for (look = 0; look < {$count}; look++) {", "        turn = (uint16_t)((desk->turn + look) % {$count});", '        if (!desk->said_all || desk->slots[places[turn]] != desk->said[turn]) {', '            break;', '        }', '    }',
            "    if (look == {$count}) {", '        if ((uint32_t)(now_ms - desk->said_ms) < '.Sender::AGAIN_MS.'UL) {', '            return 0;', '        }', '        turn = desk->turn;', '    }',
            '    desk->said[turn] = desk->slots[places[turn]];', '    desk->said_ms = now_ms;', '    desk->turn = (uint16_t)(turn + 1);',
            "    if (desk->turn == {$count}) {", '        desk->turn = 0;', '        desk->said_all = 1;', '    }',
            ...self::letters($form->between[0]),
            '    for (part = 0; part < 2; part++) {',
            '        number = '.($form->slotFirst ? 'part == 0 ? (uint16_t)(places[turn] + 1) : desk->said[turn];' : 'part == 0 ? desk->said[turn] : (uint16_t)(places[turn] + 1);'),
            '        digits = 0;', '        do {', "            reversed[digits++] = (char)('0' + number % 10);", '            number /= 10;', '        } while (number);',
            '        while (digits) {', '            text[length++] = reversed[--digits];', '        }',
            '        if (part == 0) {', ...array_map(static fn (string $line): string => "        {$line}", self::letters($form->between[1])), '        }',
            '    }',
            ...self::letters($form->between[2]),
            '    text[length] = 0;', '    return length;', '}', '',
        ];
    }

    /** @return list<string> */
    private static function letters(string $text): array
    {
        return $text === '' ? [] : array_map(static fn (string $letter): string => '    text[length++] = '.ord($letter).';'.(ctype_graph($letter) && ! in_array($letter, ['*', '/', '\\', '?'], true) ? " /* {$letter} */" : ''), str_split($text));
    }
}
