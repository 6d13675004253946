<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Bought;

use Rundfunk\Plan\Protocol;
use Rundfunk\Plan\ProtocolValue;

/** {@see WordForm} and {@see LineReceived} in C. Texts are written sign by sign: in a table they would take memory of a small board. */
final readonly class CWords implements CForm
{
    private WordForm $form;

    public function __construct(private Protocol $protocol)
    {
        $this->form = new WordForm($protocol);
    }

    public function kept(int $most): int
    {
        return $most + strlen($this->form->ending()) + 1;
    }

    public function shared(int $most): string
    {
        $ending = $this->form->ending();
        $length = strlen($ending);
        $ends = $length === 0 ? '0' : "line->have >= {$length}".implode('', array_map(static fn (int $at): string => ' && line->kept[line->have - '.($length - $at).'] == '.ord($ending[$at]).'U', range(0, $length - 1)));
        $digits = 2 * $this->protocol->check->bytes();

        return <<<C
            struct {l}_text {
                uint8_t *bytes;
                uint8_t have;
                uint8_t length;
            };

            static void {l}_char(struct {l}_text *at, uint8_t sign)
            {
                at->bytes[at->have++] = sign;
            }

            static inline void {l}_hex(struct {l}_text *at, uint32_t value, uint8_t digits)
            {
                while (digits-- > 0) {
                    uint8_t digit = (uint8_t)((value >> (4 * digits)) & 0xFU);
                    {l}_char(at, (uint8_t)(digit < 10 ? 48 + digit : 55 + digit));
                }
            }

            static inline void {l}_number(struct {l}_text *at, int32_t value, uint8_t decimals)
            {
                uint8_t digits[10], count = 0;
                uint32_t rest = value < 0 ? 0UL - (uint32_t)value : (uint32_t)value;
                if (value < 0) {
                    {l}_char(at, 45U);
                }
                while (rest > 0 || count <= decimals) {
                    digits[count++] = (uint8_t)(rest % 10UL);
                    rest /= 10UL;
                }
                while (count > 0) {
                    if (count-- == decimals && decimals > 0) {
                        {l}_char(at, 46U);
                    }
                    {l}_char(at, (uint8_t)(48 + digits[count]));
                }
            }

            static inline uint8_t {l}_is(struct {l}_text *at, uint8_t sign)
            {
                if (at->have < at->length && at->bytes[at->have] == sign) {
                    at->have++;
                    return 1;
                }
                return 0;
            }

            static inline uint8_t {l}_says(struct {l}_text *at, int32_t *value, uint8_t decimals)
            {
                uint8_t minus = {l}_is(at, 45U), digits = 0;
                uint32_t size = 0;
                if (!minus) {
                    {l}_is(at, 43U);
                }
                while (digits < 9 && at->have < at->length && at->bytes[at->have] >= 48U && at->bytes[at->have] <= 57U) {
                    size = 10UL * size + (uint32_t)(at->bytes[at->have++] - 48U);
                    digits++;
                }
                if (digits == 0) {
                    return 0;
                }
                digits = {l}_is(at, 46U);
                while (digits && at->have < at->length && at->bytes[at->have] >= 48U && at->bytes[at->have] <= 57U) {
                    if (decimals > 0) {
                        size = size > 200000000UL ? 2000000000UL : 10UL * size + (uint32_t)(at->bytes[at->have] - 48U);
                        decimals--;
                    }
                    at->have++;
                }
                for (; decimals > 0; decimals--) {
                    size = size > 200000000UL ? 2000000000UL : 10UL * size;
                }
                if (size > 2000000000UL) {
                    size = 2000000000UL;
                }
                *value = minus ? -(int32_t)size : (int32_t)size;
                return 1;
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
                if (line->have == 0 && (byte == 10U || byte == 13U)) {
                    return;
                }
                if (line->have == {L}_KEPT_MOST) {
                    uint8_t at;
                    for (at = 1; at < {L}_KEPT_MOST; at++) {
                        line->kept[at - 1] = line->kept[at];
                    }
                    line->have--;
                }
                line->kept[line->have++] = byte;
                line->whole = {$ends};
            }

            /* What came, without its ending and its check. */
            static inline uint8_t {l}_text_of(struct {l}_line *line, struct {l}_text *at)
            {
                at->bytes = line->kept;
                at->have = 0;
                at->length = line->whole ? (uint8_t)(line->have - {$length}) : 0;
            {$this->unsealed($digits)}
                return line->whole;
            }

            C;
    }

    public function write(Saying $saying): array
    {
        $lines = $this->signs($this->head($saying), '{l}_char(&at, %dU);');
        foreach ($saying->values as $index => $value) {
            $lines = [...$lines, ...$this->signs($this->form->before($index), '{l}_char(&at, %dU);'), ...match (true) {
                ! $value->given => $this->signs(Escaped::bytes($value->fixed), '{l}_char(&at, %dU);'),
                $value->isSwitch() => [
                    'if (wire) {', ...$this->signs(Escaped::bytes($value->on), '    {l}_char(&at, %dU);'),
                    '} else {', ...$this->signs(Escaped::bytes($value->off), '    {l}_char(&at, %dU);'), '}',
                ],
                default => ["{l}_number(&at, wire, {$value->decimals});"],
            }];
        }
        $digits = 2 * $this->protocol->check->bytes();
        if ($digits > 0) {
            $lines[] = '{l}_hex(&at, '.CChecked::of($this->protocol, 'bytes', 'at.have').", {$digits});";
        }

        return [...$lines, ...$this->signs($this->form->ending(), '{l}_char(&at, %dU);')];
    }

    public function read(Saying $saying): array
    {
        $lines = ['if (!{l}_text_of(line, &at)) {', '    return 0;', '}', ...$this->must($this->head($saying))];
        foreach ($saying->values as $index => $value) {
            $lines = [...$lines, ...$this->must($this->form->before($index)), ...match (true) {
                ! $value->given && $saying->isAnswer && $value->fixed === '' => $this->pastAny($this->form->before($index + 1)),
                ! $value->given => $this->must(Escaped::bytes($value->fixed)),
                $value->isSwitch() => $this->switched($value),
                default => ["if (!{l}_says(&at, wire, {$value->decimals})) {", '    return 0;', '}'],
            }];
        }

        return [...$lines, 'if (at.have != at.length) {', '    return 0;', '}'];
    }

    /** @return list<int|string> signs by their number; "id" for where that stands */
    private function head(Saying $saying): array
    {
        $signs = static fn (string $text): array => array_map(ord(...), $text === '' ? [] : str_split($text));
        $head = $saying->isAnswer && $this->protocol->bare ? [] : [...$signs($this->form->lead()), ...($this->protocol->idAs === 'none' ? [] : ['id', ...$signs(Escaped::bytes($this->protocol->afterId))])];

        return [...$head, ...$signs(Escaped::bytes($saying->word))];
    }

    /**
     * @param  list<int|string>|string  $text
     * @return list<string>
     */
    private function signs(array|string $text, string $each): array
    {
        $lines = [];
        foreach (is_string($text) ? ($text === '' ? [] : array_map(ord(...), str_split($text))) : $text as $sign) {
            $lines[] = is_int($sign) ? sprintf($each, $sign) : $this->putId();
        }

        return $lines;
    }

    /**
     * @param  list<int|string>|string  $text
     * @return list<string>
     */
    private function must(array|string $text): array
    {
        $lines = [];
        $run = '';
        foreach ([...(is_string($text) ? ($text === '' ? [] : array_map(ord(...), str_split($text))) : $text), 'end'] as $sign) {
            if (is_int($sign)) {
                $run .= chr($sign);

                continue;
            }
            $lines = $run === '' ? $lines : [...$lines, "if (!({$this->all($run)})) {", '    return 0;', '}'];
            $run = '';
            $lines = $sign === 'end' ? $lines : [...$lines, 'other.bytes = small;', 'other.have = 0;', str_replace('&at', '&other', $this->putId()), 'for (mark = 0; mark < other.have; mark++) {', '    if (!{l}_is(&at, small[mark])) {', '        return 0;', '    }', '}'];
        }

        return $lines;
    }

    private function putId(): string
    {
        return match ($this->protocol->idAs) {
            'letter' => '{l}_char(&at, (uint8_t)(64 + id));',
            'hex' => '{l}_hex(&at, id, 2);',
            default => '{l}_number(&at, id, 0);',
        };
    }

    /** C that is true where all of a text is there, and goes past it. */
    private function all(string $text): string
    {
        return $text === '' ? '1' : implode(' && ', array_map(static fn (string $sign): string => '{l}_is(&at, '.ord($sign).'U)', str_split($text)));
    }

    /** @return list<string> */
    private function pastAny(string $until): array
    {
        if ($until === '') {
            return ['at.have = at.length;'];
        }

        return ['for (mark = at.have; mark < at.length; mark++) {', '    at.have = mark;', "    if ({$this->all($until)}) {", '        break;', '    }', '}', 'at.have = mark;'];
    }

    /** @return list<string> */
    private function switched(ProtocolValue $value): array
    {
        $on = Escaped::bytes($value->on);
        $off = Escaped::bytes($value->off);
        [$first, $then, $is] = strlen($off) > strlen($on) ? [$off, $on, 0] : [$on, $off, 1];

        return [
            'mark = at.have;', "if ({$this->all($first)}) {", "    *wire = {$is};", '} else {', '    at.have = mark;',
            ...($then === '' ? [] : ["    if (!({$this->all($then)})) {", '        return 0;', '    }']), '    *wire = '.(1 - $is).';', '}',
        ];
    }

    private function unsealed(int $digits): string
    {
        if ($digits === 0) {
            return '';
        }
        $check = CChecked::of($this->protocol, 'at->bytes', 'at->length');

        return <<<C
                if (line->whole) {
                    struct {l}_text seal;
                    uint8_t small[{$digits}], index;
                    if (at->length < {$digits}) {
                        return 0;
                    }
                    at->length = (uint8_t)(at->length - {$digits});
                    seal.bytes = small;
                    seal.have = 0;
                    {l}_hex(&seal, {$check}, {$digits});
                    for (index = 0; index < {$digits}; index++) {
                        uint8_t sign = at->bytes[at->length + index];
                        if ((sign >= 97U && sign <= 122U ? (uint8_t)(sign - 32U) : sign) != small[index]) {
                            return 0;
                        }
                    }
                }
            C;
    }
}
