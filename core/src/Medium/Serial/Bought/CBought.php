<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Bought;

use Rundfunk\Medium\Serial\SerialLine;
use Rundfunk\Plan\KnownDone;
use Rundfunk\Plan\Protocol;
use Rundfunk\Plan\ProtocolForm;
use Rundfunk\Plan\ProtocolItemKind;
use Rundfunk\Plan\ProtocolValue;
use Rundfunk\Text\CNames;

/** The whole of the end that commands bought devices, in C99: their frames, what messages come to, who is asked what and when. */
final readonly class CBought
{
    private CForm $form;

    private int $most;

    private function __construct(private Tables $tables, private SerialLine $line)
    {
        $this->form = self::formOf($tables->protocol);
        $most = 1;
        foreach ($tables->items as $known) {
            foreach ([Saying::sent($known->item), Saying::answer($known->item)] as $saying) {
                $most = max($most, $known->form->keptBytes($saying));
            }
        }
        $this->most = $most;
    }

    /** @return string with {l}, {L}, {name}, {link} and {enable} still in it */
    public static function text(Tables $tables, SerialLine $line): string
    {
        return (new self($tables, $line))->whole();
    }

    /** @return int bytes on an 8-bit board: the struct of {@see CCommanding} field by field */
    public static function memoryBytes(Tables $tables, SerialLine $line): int
    {
        $devices = count($tables->devices);
        $slots = max(1, count($tables->slots));

        return 9 * 6 + 12 * $devices + 9 * $slots + (new self($tables, $line))->kept() + 20;
    }

    /** @return int about, on an 8-bit board: what is there for any device, and the frames of each function and reading */
    public static function programBytes(Tables $tables): int
    {
        return $tables->protocol->form === ProtocolForm::Packet ? 3_200 + 310 * count($tables->items) : 3_900 + 430 * count($tables->items);
    }

    private static function formOf(Protocol $protocol): CForm
    {
        return $protocol->form === ProtocolForm::Packet ? new CPacket($protocol) : new CWords($protocol);
    }

    /** Of none there is one all the same, of no device: C has no array of nothing. */
    private function slots(): int
    {
        return max(1, count($this->tables->slots));
    }

    private function kept(): int
    {
        return $this->form->kept($this->most);
    }

    private function whole(): string
    {
        $bytes = 1;
        foreach ($this->tables->items as $known) {
            $bytes = max($bytes, $known->form->mostBytes(Saying::sent($known->item)));
        }
        $text = implode("\n", [
            '#define {L}_DEVICES '.count($this->tables->devices),
            "#define {L}_SLOTS {$this->slots()}",
            "#define {L}_KEPT_MOST {$this->kept()}",
            "#define {L}_BYTES_MOST {$bytes}",
            '#define {L}_UNKNOWN (-2147483647L - 1)',
            ...$this->slotNames(),
            '',
            CCommanding::STATE,
            $this->form->shared($this->most),
            $this->lookUps(),
            $this->meant(),
            $this->figures(),
            $this->write($bytes),
            $this->read(),
            CCommanding::DOES,
        ]);

        return strtr($text, [
            '{wait}' => (string) $this->line->timeoutMs(),
            '{notices}' => $this->tables->notices === [] ? '' : str_replace('{count}', (string) count($this->tables->notices), CCommanding::NOTICES),
        ]);
    }

    /** @return list<string> */
    private function slotNames(): array
    {
        $lines = [];
        foreach ($this->tables->slots as $index => $slot) {
            $lines[] = "/* {l}_value {$index}: ".CNames::comment($this->tables->devices[$slot->device]->name.', '.$this->tables->items[$slot->item]->item->name.($slot->isDone ? ', 1000 once it is done' : '')).' */';
        }

        return $lines;
    }

    private function lookUps(): string
    {
        $devices = $this->tables->devices;
        $items = array_map(static fn (Known $known) => $known->item, $this->tables->items);
        $slots = $this->tables->slots;
        $notices = $this->tables->notices;
        $bytes = $this->line->settings->line()->ns(1_000) / 1_000_000;

        return implode("\n", [
            ...self::table('{l}_id', 'uint8_t', array_map(static fn (Device $one): int => $one->id, $devices)),
            ...self::table('{l}_node', 'uint8_t', array_map(static fn (Device $one): int => $one->number, $devices)),
            ...self::table('{l}_slot_device', 'uint8_t', array_map(static fn (Slot $one): int => $one->device, $slots), 255),
            ...self::table('{l}_slot_item', 'uint8_t', array_map(static fn (Slot $one): int => $one->item, $slots), 255),
            ...self::table('{l}_slot_done', 'uint8_t', array_map(static fn (Slot $one): int => $one->isDone ? 1 : 0, $slots)),
            ...self::table('{l}_every_ms', 'uint32_t', array_map(static fn (Slot $one): int => $one->everyMs, $slots)),
            ...self::table('{l}_is_function', 'uint8_t', array_map(static fn ($item): int => $item->kind === ProtocolItemKind::Does ? 1 : 0, $items)),
            ...self::table('{l}_is_said', 'uint8_t', array_map(static fn ($item): int => $item->kind === ProtocolItemKind::Says ? 1 : 0, $items)),
            ...self::table('{l}_is_answered', 'uint8_t', array_map(static fn ($item): int => $item->isAnswered() && ! ($item->takesTime() && $item->done === KnownDone::Answered) ? 1 : 0, $items)),
            ...self::table('{l}_takes_ms', 'uint32_t', array_map(static fn ($item): int => $item->takesTime() ? $item->takesMs : 0, $items)),
            ...self::table('{l}_done_how', 'uint8_t', array_map(static fn ($item): int => (int) array_search($item->done, KnownDone::cases(), true), $items)),
            ...self::table('{l}_done_by', 'uint8_t', array_map(fn (int $index): int => $this->tables->doneBy($index) ?? 255, array_keys($items)), 255),
            ...self::table('{l}_done_is', 'int32_t', array_map(static fn ($item): int => 1_000 * $item->doneIs, $items)),
            ...($notices === [] ? [] : [
                ...self::table('{l}_notice_device', 'uint8_t', array_map(static fn (Notice $one): int => $one->device, $notices)),
                ...self::table('{l}_notice_item', 'uint8_t', array_map(static fn (Notice $one): int => $one->item, $notices)),
                ...self::table('{l}_notice_code', 'uint16_t', array_map(static fn (Notice $one): int => $one->code, $notices)),
            ]),
            '/* How long so many bytes are on the line, rounded up. */',
            'static inline uint32_t {l}_line_ms(uint8_t bytes)', '{', sprintf('    return (bytes * %dUL + 999UL) / 1000UL;', (int) ceil($bytes)), '}', '',
        ]);
    }

    /**
     * @param  list<int>  $values
     * @return list<string> a function of an index, in flash as a table of constants is not on every board
     */
    private static function table(string $name, string $type, array $values, int $otherwise = 0): array
    {
        $u = str_starts_with($type, 'u') ? 'UL' : 'L';
        $cases = [];
        foreach ($values as $index => $value) {
            if ($value !== $otherwise) {
                $cases[] = "    case {$index}: return ".($u === 'UL' ? $value.$u : "({$value}{$u})").';';
            }
        }

        return ["static inline {$type} {$name}(uint8_t at)", '{', ...($cases === [] ? ['    (void)at;', "    return {$otherwise};"] : ['    switch (at) {', ...$cases, "    default: return {$otherwise};", '    }']), '}', ''];
    }

    private function meant(): string
    {
        $lines = ['/* What a message comes to; 0 for one that says nothing to any of them. */', 'static uint8_t {l}_meant(const struct node_message *told, struct {l}_order *order)', '{', '    int32_t value = told->value;', '    (void)value;'];
        foreach ($this->tables->orders as $order) {
            $item = $this->tables->items[$order->item]->item;
            $value = $item->set();
            $figure = $order->figure === null ? 'value' : (string) $order->figure;
            $lines[] = "    if (told->node == {$this->tables->devices[$order->device]->number} && told->code == {$order->code}U) { /* ".CNames::comment($item->name).' */';
            $lines[] = "        order->device = {$order->device};";
            $lines[] = "        order->item = {$order->item};";
            array_push($lines, ...match (true) {
                $value === null => ['        order->wire = 0;'],
                $value->isSwitch() => ["        order->wire = {$figure} != 0;"],
                default => [
                    ...($order->figure === null ? [] : ["        value = {$order->figure};"]),
                    ...($value->lowest === null ? [] : ["        value = value < {$value->lowest} ? {$value->lowest} : value;"]),
                    ...($value->highest === null ? [] : ["        value = value > {$value->highest} ? {$value->highest} : value;"]),
                    '        order->wire = '.self::scaled('value', $value->times, $value->divided).';',
                ],
            });
            array_push($lines, '        return 1;', '    }');
        }
        array_push($lines, '    (void)order;', '    return 0;', '}', '');

        return implode("\n", $lines);
    }

    private function figures(): string
    {
        $lines = ['/* What was read, in thousandths of its unit. */', 'static int32_t {l}_figure(uint8_t item, int32_t wire)', '{', '    (void)wire;', '    switch (item) {'];
        foreach ($this->tables->items as $index => $known) {
            $value = $known->item->read();
            if ($value !== null && $known->item->kind !== ProtocolItemKind::Does) {
                $lines[] = "    case {$index}: return ".($value->isSwitch() ? '1000L * wire' : $this->thousandths($value)).';';
            }
        }
        array_push($lines, '    default: return 0;', '    }', '}', '');
        if ($this->tables->notices !== []) {
            array_push($lines, 'static int32_t {l}_notice_figure(uint8_t at, int32_t wire)', '{', '    (void)wire;', '    switch (at) {');
            foreach ($this->tables->notices as $index => $notice) {
                $value = $this->tables->items[$notice->item]->item->read();
                $lines[] = "    case {$index}: return ".($value === null ? '1' : "{l}_figure({$notice->item}, wire) / 1000L").';';
            }
            array_push($lines, '    default: return 0;', '    }', '}', '');
        }

        return implode("\n", $lines);
    }

    private function thousandths(ProtocolValue $value): string
    {
        $most = $this->tables->protocol->form === ProtocolForm::Words ? 2_000_000_000 : (1 << min(31, $value->bits)) - 1;
        $narrow = $most * 1_000 * $value->divided + $value->times < 0x7FFF_FFFF;
        $reckoned = self::scaled($narrow ? 'wire' : '(int64_t)wire', 1_000 * $value->divided, $value->times);

        return $most * 1_000 * $value->divided / $value->times <= 1_000_000_000 ? ($narrow ? $reckoned : "(int32_t)({$reckoned})") : "{$reckoned} > 1000000000L ? 1000000000L : {$reckoned} < -1000000000L ? -1000000000L : (int32_t)({$reckoned})";
    }

    /** Rounded, a half away from nothing. */
    private static function scaled(string $figure, int $times, int $divided): string
    {
        $product = $times === 1 ? $figure : "{$figure} * {$times}L";
        $half = intdiv($divided, 2);
        if ($divided === 1) {
            return $product;
        }
        $name = preg_replace('/^\(int64_t\)/', '', $figure);

        return $half === 0 ? "({$product}) / {$divided}L" : "({$product} + ({$name} < 0 ? -{$half}L : {$half}L)) / {$divided}L";
    }

    private function write(int $bytes): string
    {
        $isText = $this->tables->protocol->form === ProtocolForm::Words;
        $lines = [
            '/* A command or a question as it goes out; how many bytes that are. */',
            'static uint8_t {l}_write(uint8_t out['.$bytes.'], uint8_t item, uint8_t id, int32_t wire)', '{',
            $isText ? '    struct {l}_text at;' : '    struct {l}_bits at;',
            ...($isText ? ['    uint8_t *bytes = out;', '    at.length = 0;'] : ($this->isStuffed() ? ["    uint8_t bytes[{$this->most}];", '    uint32_t whole = 0;', '    at.room = 0;'] : ['    uint8_t *bytes = out;', '    uint32_t whole = 0;', '    at.room = 0;'])),
            '    at.bytes = bytes;', '    at.have = 0;', ...($isText ? [] : ['    (void)whole;']), '    (void)out;', '    (void)id;', '    (void)wire;', '    switch (item) {',
        ];
        foreach ($this->tables->items as $index => $known) {
            if ($known->item->kind !== ProtocolItemKind::Says) {
                $lines = [...$lines, ...self::case($index, $known, [...self::formOf($known->protocol)->write(Saying::sent($known->item)), 'break;'])];
            }
        }
        array_push($lines, '    default:', '        break;', '    }', '    return at.have;', '}', '');

        return implode("\n", $lines);
    }

    private function read(): string
    {
        $isText = $this->tables->protocol->form === ProtocolForm::Words;
        $lines = [
            '/* 1 when what came last is its answer, or what it says unasked. */',
            'static uint8_t {l}_read(struct {l}_line *line, uint8_t item, uint8_t id, int32_t *wire)', '{',
            ...($isText
                ? ['    struct {l}_text at, other;', '    uint8_t small[8], mark = 0;', '    (void)other;', '    (void)small;', '    (void)mark;']
                : ['    struct {l}_bits at;', '    uint32_t whole = 0, check = 0;', '    at.have = at.room = 0;', '    (void)whole;', '    (void)check;']),
            '    (void)id;', '    (void)wire;', '    switch (item) {',
        ];
        foreach ($this->tables->items as $index => $known) {
            $saying = $known->item->kind === ProtocolItemKind::Says ? Saying::sent($known->item) : Saying::answer($known->item);
            $lines = [...$lines, ...self::case($index, $known, [...self::formOf($known->protocol)->read($saying), 'return 1;'])];
        }
        array_push($lines, '    default:', '        return 0;', '    }', '}', '');

        return implode("\n", $lines);
    }

    /**
     * @param  list<string>  $does
     * @return list<string>
     */
    private static function case(int $index, Known $known, array $does): array
    {
        return ["    case {$index}: /* ".CNames::comment($known->item->name).' */', ...array_map(static fn (string $line): string => "        {$line}", $does)];
    }

    private function isStuffed(): bool
    {
        return $this->form instanceof CPacket && $this->form->isStuffed();
    }
}
