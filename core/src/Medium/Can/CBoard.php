<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

use Rundfunk\Text\CNames;

/** {@see Board} in C99: frames as messages and readings, and back. An end that only listens has nothing that makes a frame. */
final readonly class CBoard
{
    private function __construct(private BoardTables $tables)
    {
    }

    /** @return list<string> with {l}, {L}, {name} and {link} still in them */
    public static function lines(BoardTables $tables): array
    {
        return (new self($tables))->whole();
    }

    /** @return int bytes on an 8-bit board: the struct field by field */
    public static function memoryBytes(BoardTables $tables): int
    {
        $sent = array_sum(array_map(static fn (CanMessage $message): int => $message->of->bytes + 5, $tables->sends));

        return 9 * count($tables->reads) + 6 * count($tables->hears) + ($tables->commands ? 1 : 0) + $sent + (self::isHollow($tables) ? 1 : 0);
    }

    /** @return int bytes of program on an 8-bit board, about: a fit that the tests hold to the compiler */
    public static function programBytes(BoardTables $tables): int
    {
        $read = $told = 0;
        foreach ($tables->reads as $one) {
            $read += 94 + ($one['signal']->of->equals === null ? 31 : 0) + intdiv(43 * $one['signal']->of->bits, 5);
        }
        foreach ($tables->tells as $one) {
            $told += 50 + 6 * $one['signal']->of->bits;
        }

        return ($read === 0 ? 80 : 300) + $read + $told + 70 * count($tables->hears) + ($tables->commands ? 70 : 0) + 100 * count($tables->sends);
    }

    /** C has no struct of nothing. */
    private static function isHollow(BoardTables $tables): bool
    {
        return $tables->reads === [] && $tables->hears === [] && ! $tables->commands && $tables->sends === [];
    }

    /** @return list<string> */
    private function whole(): array
    {
        $reads = count($this->tables->reads);

        return [
            '/* The bus {name}. '.($this->tables->isMute() ? 'This node only listens: nothing here makes a frame, and its controller must be set to listen only. */' : 'What comes from its controller goes into node_from_{l}; what the others give goes to it. */'),
            'struct {l}_frame {', '    uint32_t id;', '    uint8_t extended;', '    uint8_t bytes;', '    uint8_t data[8];', '};', '',
            'struct {l}_state {',
            ...($reads === 0 ? [] : ["    int32_t value[{$reads}];", "    uint32_t at_ms[{$reads}];", "    uint8_t known[{$reads}];"]),
            ...($this->tables->hears === [] ? [] : ['    uint32_t heard_ms['.count($this->tables->hears).'];', '    uint8_t last['.count($this->tables->hears).'];', '    uint8_t heard['.count($this->tables->hears).'];']),
            ...($this->tables->commands ? ['    uint8_t sequence;'] : []),
            ...array_merge(...array_map(static fn (int $at, CanMessage $message): array => [...($message->of->bytes === 0 ? [] : ["    uint8_t data_{$at}[{$message->of->bytes}];"]), "    uint32_t sent_{$at}_ms;", "    uint8_t due_{$at};"], array_keys($this->tables->sends), $this->tables->sends)),
            ...(self::isHollow($this->tables) ? ['    uint8_t nothing;'] : []),
            '};', '',
            'static inline void {l}_start(struct {l}_state *bus, uint32_t now_ms)', '{',
            '    uint8_t *byte = (uint8_t *)bus;', '    for (uint16_t at = 0; at < (uint16_t)sizeof *bus; at++) {', '        byte[at] = 0;', '    }',
            ...array_map(static fn (int $at): string => "    bus->sent_{$at}_ms = now_ms;", array_keys($this->tables->sends)),
            '    (void)now_ms;', '}', '',
            ...$this->from(),
            ...($reads === 0 ? [] : $this->value()),
            ...($this->tables->isMute() ? [] : [...$this->to(), ...$this->due()]),
        ];
    }

    /** @return list<string> */
    private function from(): array
    {
        $lines = ['/* A frame that came, as a message; whether it is one. */', 'static inline uint8_t node_from_{l}(struct {l}_state *bus, const struct {l}_frame *frame, uint32_t now_ms, struct node_message *heard)', '{', '    (void)bus; (void)frame; (void)now_ms; (void)heard;'];
        foreach ($this->tables->reads as $at => $read) {
            $lines = [...$lines,
                '    if ('.self::isFrame($read['message']->of->identifier, $read['message']->of->extended)." && frame->bytes >= {$read['signal']->bytes()}) { /* ".CNames::comment("{$read['message']->of->name}: {$read['signal']->name}").' */',
                ...self::readLines($read['signal'], $at),
                "        bus->at_ms[{$at}] = now_ms;", "        bus->known[{$at}] = 1;", '    }',
            ];
        }
        foreach ($this->tables->hears as $at => $hears) {
            $lines = [...$lines,
                '    if ('.self::isFrame($hears['id'], false).' && frame->bytes == '.OwnFrame::BYTES." && frame->data[0] == {$this->tables->number}) {",
                "        uint8_t again = bus->heard[{$at}] && bus->last[{$at}] == frame->data[1] && (uint32_t)(now_ms - bus->heard_ms[{$at}]) < ".Board::AGAIN_MS.'UL;',
                "        bus->heard[{$at}] = 1;", "        bus->last[{$at}] = frame->data[1];", "        bus->heard_ms[{$at}] = now_ms;",
                '        if (again) {', '            return 0;', '        }',
                '        heard->link = {link};', "        heard->node = {$hears['node']};", '        heard->code = frame->data[2];', '        heard->value = (int16_t)(uint16_t)(frame->data[3] | (uint16_t)((uint16_t)frame->data[4] << 8));',
                '        return 1;', '    }',
            ];
        }

        return [...$lines, '    return 0;', '}', ''];
    }

    /** @return list<string> */
    private static function readLines(CanSignal $signal, int $at): array
    {
        $lines = ['        uint32_t raw = 0;'];
        foreach (self::runs($signal) as [$byte, $shift, $bits, $up]) {
            $part = "(uint32_t)((frame->data[{$byte}] >> {$shift}) & ".((1 << $bits) - 1).'U)';
            $lines[] = "        raw |= {$part}".($up === 0 ? ';' : " << {$up};");
        }
        $from = $signal->of->signed && $signal->of->bits < 32 ? '(int32_t)((raw ^ '.(1 << ($signal->of->bits - 1)).'UL) - '.(1 << ($signal->of->bits - 1)).'UL)' : ($signal->of->signed ? '(int32_t)raw' : 'raw');
        if ($signal->of->equals !== null) {
            return [...$lines, "        bus->value[{$at}] = ".($signal->of->signed ? "{$from} == ".self::whole32($signal->of->equals) : ($signal->of->equals < 0 ? '0' : "raw == {$signal->of->equals}UL")).' ? 1000 : 0;'];
        }
        $scaling = $signal->scaling();

        return [
            ...$lines,
            '        int64_t scaled = (int64_t)'.$from.' * '.self::whole32($scaling->times).($scaling->divided === 1 ? '' : " / {$scaling->divided}L").($scaling->plus === 0 ? ';' : ' + '.self::whole32($scaling->plus).';'),
            "        bus->value[{$at}] = scaled > 2147483647L ? 2147483647L : scaled < -2147483646L ? -2147483646L : (int32_t)scaled;",
        ];
    }

    private static function whole32(int $value): string
    {
        return $value === -2_147_483_648 ? '(-2147483647L - 1)' : ($value < 0 ? "({$value}L)" : "{$value}L");
    }

    private static function isFrame(int $id, bool $extended): string
    {
        return sprintf('frame->id == 0x%XUL && %sframe->extended', $id, $extended ? '' : '!');
    }

    /** @return list<array{int, int, int, int}> byte, shift within it, how many bits, and by how much they go up in the figure */
    private static function runs(CanSignal $signal): array
    {
        $runs = [];
        foreach (array_reverse($signal->places()) as $up => $place) {
            $last = count($runs) - 1;
            if ($last >= 0 && $runs[$last][0] === intdiv($place, 8) && $runs[$last][1] + $runs[$last][2] === $place % 8) {
                $runs[$last][2]++;
            } else {
                $runs[] = [intdiv($place, 8), $place % 8, 1, $up];
            }
        }

        return $runs;
    }

    /** @return list<string> */
    private function value(): array
    {
        $lines = [
            '/* What was read last, in thousandths; NODE_FAILED when nothing was heard for three periods, or ever. */',
            'static inline int32_t {l}_value(const struct {l}_state *bus, uint8_t at, uint32_t now_ms)', '{', '    uint32_t silent_ms = 0;', '    switch (at) {',
        ];
        foreach ($this->tables->reads as $at => $read) {
            $lines[] = "    case {$at}: silent_ms = ".($read['message']->silentMs() ?? 0).'UL; break; /* '.CNames::comment($read['control']->name).' */';
        }

        return [...$lines, '    default: return NODE_FAILED;', '    }', '    return !bus->known[at] || (silent_ms && (uint32_t)(now_ms - bus->at_ms[at]) > silent_ms) ? NODE_FAILED : bus->value[at];', '}', ''];
    }

    /** @return list<string> */
    private function to(): array
    {
        $lines = [
            '/* A message that is to be told: whether frame is to be sent now. What a bought device is told goes with {l}_due. */',
            'static inline uint8_t node_to_{l}(struct {l}_state *bus, const struct node_message *told, struct {l}_frame *frame)', '{', '    (void)bus; (void)frame;',
        ];
        foreach ($this->tables->tells as $tells) {
            $scaling = $tells['signal']->scaling();
            $raw = $tells['figure'] !== null
                ? '(uint32_t)'.self::whole32(self::wrapped($tells['signal']->rawFor($tells['figure'])))
                : ($scaling->times === 0 ? self::whole32(self::wrapped($tells['signal']->rawFor(0))) : '(uint32_t){l}_nearest(((int64_t)told->value * 1000'.($scaling->plus === 0 ? '' : ' - '.self::whole32($scaling->plus)).')'.($scaling->divided === 1 ? '' : " * {$scaling->divided}L").', '.self::whole32($scaling->times).', '.implode(', ', array_map(static fn (int $end): string => "{$end}LL", $tells['signal']->rawRange())).')');
            $lines = [...$lines, "    if (told->node == {$tells['node']} && told->code == {$tells['code']}) { /* ".CNames::comment($tells['signal']->name).' */', "        uint32_t raw = {$raw};"];
            foreach (self::runs($tells['signal']) as [$byte, $shift, $bits, $up]) {
                if ($up >= 32) {
                    continue;
                }
                $mask = ((1 << $bits) - 1) << $shift;
                $lines[] = "        bus->data_{$tells['message']}[{$byte}] = (uint8_t)((bus->data_{$tells['message']}[{$byte}] & ".(0xFF & ~$mask).'U) | ((raw'.($up === 0 ? '' : " >> {$up}").')'.($shift === 0 ? '' : " << {$shift}")." & {$mask}U));";
            }
            $lines = [...$lines, "        bus->due_{$tells['message']} = 2;", '        return 0;', '    }'];
        }
        if ($this->tables->commands) {
            $lines = [...$lines,
                sprintf('    frame->id = 0x%XUL;', $this->tables->identifier ?? 0), '    frame->extended = 0;', '    frame->bytes = '.OwnFrame::BYTES.';', '    frame->data[0] = told->node;', '    frame->data[1] = ++bus->sequence;', '    frame->data[2] = (uint8_t)told->code;',
                '    frame->data[3] = (uint8_t)told->value;', '    frame->data[4] = (uint8_t)((uint16_t)told->value >> 8);', '    return 1;', '}', '',
            ];
        } else {
            $lines = [...$lines, '    (void)told;', '    return 0;', '}', ''];
        }
        $divides = array_filter($this->tables->tells, static fn (array $tells): bool => $tells['figure'] === null && $tells['signal']->scaling()->times !== 0) !== [];

        return [...($divides ? ['/* The nearest whole number, halves away from nothing, of those that the signal bears. */', 'static inline int64_t {l}_nearest(int64_t whole, int64_t part, int64_t least, int64_t most)', '{', '    int64_t half = (part < 0 ? -part : part) / 2;', '    int64_t raw = (whole < 0 ? whole - half : whole + half) / part;', '    return raw < least ? least : raw > most ? most : raw;', '}', ''] : []), ...$lines];
    }

    private static function wrapped(int $raw): int
    {
        $low = $raw & 0xFFFF_FFFF;

        return $low > 0x7FFF_FFFF ? $low - 0x1_0000_0000 : $low;
    }

    /** @return list<string> */
    private function due(): array
    {
        $lines = ['/* A message of this node\'s own whose time has come: whether frame is to be sent now. Ask until it is none. What nothing was told of yet is not sent. */', 'static inline uint8_t {l}_due(struct {l}_state *bus, uint32_t now_ms, struct {l}_frame *frame)', '{', '    (void)bus; (void)now_ms; (void)frame;'];
        foreach ($this->tables->sends as $at => $message) {
            $lines = [...$lines,
                "    if (bus->due_{$at} == 2".($message->of->periodMs > 0 ? " || (bus->due_{$at} && (uint32_t)(now_ms - bus->sent_{$at}_ms) >= {$message->of->periodMs}UL)" : '').') { /* '.CNames::comment($message->of->name).' */',
                "        bus->due_{$at} = 1;", "        bus->sent_{$at}_ms = now_ms;", sprintf('        frame->id = 0x%XUL;', $message->of->identifier), '        frame->extended = '.($message->of->extended ? 1 : 0).';', "        frame->bytes = {$message->of->bytes};",
                ...($message->of->bytes === 0 ? [] : ["        for (uint8_t byte = 0; byte < {$message->of->bytes}; byte++) {", "            frame->data[byte] = bus->data_{$at}[byte];", '        }']),
                '        return 1;', '    }',
            ];
        }

        return [...$lines, '    return 0;', '}', ''];
    }
}
