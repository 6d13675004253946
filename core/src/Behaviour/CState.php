<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

/** What a node remembers, as structs of its behaviour header. */
final readonly class CState
{
    public function __construct(private NodeTables $tables, private CFeatures $has)
    {
    }

    /** @return int bytes on an 8-bit board */
    public function bytes(): int
    {
        return CField::bytesOf($this->all());
    }

    /** @return list<string> */
    public function lines(): array
    {
        $lines = [];
        if ($this->tables->contacts !== []) {
            $lines = ['#define NODE_UNKNOWN 2', 'struct node_contact {', ...self::fieldLines($this->contact()), '};', ''];
        }
        if ($this->tables->outputs !== []) {
            $lines = [...$lines, "typedef {$this->masters()} node_masters;", 'struct node_output {', ...self::fieldLines($this->output()), '};', ''];
        }
        if ($this->tables->sequences !== []) {
            $lines = [...$lines, 'struct node_sequence {', ...self::fieldLines(self::sequence()), '};', ''];
        }

        if ($this->tables->reports !== []) {
            $lines = [...$lines, 'struct node_report {', ...self::fieldLines(self::report()), '};', ''];
        }

        return [...$lines, '/* What the node remembers from one step to the next; none of it is yours to change. */', 'struct node_state {', ...self::fieldLines($this->all()), '};', ''];
    }

    /**
     * @param  list<CField>  $fields
     * @return list<string>
     */
    private static function fieldLines(array $fields): array
    {
        return array_map(static fn (CField $field): string => $field->line(), $fields);
    }

    /** @return list<CField> */
    private static function sequence(): array
    {
        return [CField::of('uint8_t', 'was'), CField::of('uint8_t', 'running'), CField::of('uint8_t', 'next'), CField::of('uint16_t', 'passes'), CField::of('uint32_t', 'since')];
    }

    /** @return list<CField> */
    private static function report(): array
    {
        return [CField::of('int16_t', 'value'), CField::of('uint8_t', 'has'), CField::of('uint32_t', 'told')];
    }

    private function masters(): string
    {
        return "uint{$this->has->masterBits}_t";
    }

    /** @return list<CField> */
    private function contact(): array
    {
        return [
            CField::of('uint8_t', 'level'), CField::of('uint8_t', 'seen'), CField::of('uint32_t', 'since'),
            ...($this->has->repeats ? [CField::of('uint8_t', 'held'), CField::of('uint32_t', 'told')] : []),
        ];
    }

    /** @return list<CField> */
    private function output(): array
    {
        return [
            CField::of('int16_t', 'value'), CField::called('node_masters', 'holders', $this->masters()), CField::of('uint8_t', 'barred'),
            ...($this->has->pulses ? [CField::of('uint8_t', 'pulsing'), CField::of('uint32_t', 'pulse_at'), CField::of('uint32_t', 'pulse_ms')] : []),
            ...($this->has->feeds ? [CField::of('uint8_t', 'fed'), CField::of('uint32_t', 'fed_at')] : []),
            ...($this->has->shows ? [CField::of('uint8_t', 'known'), CField::of('uint32_t', 'known_at')] : []),
            ...($this->has->answers ? [CField::of('uint8_t', 'asked')] : []),
        ];
    }

    /** @return list<CField> */
    private function all(): array
    {
        $fields = [CField::of('uint32_t', 'now_ms'), CField::of('struct node_told *', 'told')];
        if ($this->has->timesOfDay) {
            $fields[] = CField::of('int16_t', 'minute');
        }
        if ($this->tables->contacts !== []) {
            $fields[] = CField::records('node_contact', 'contacts', count($this->tables->contacts), $this->contact());
        }
        if ($this->tables->outputs !== []) {
            $fields[] = CField::records('node_output', 'outputs', count($this->tables->outputs), $this->output());
        }
        if ($this->tables->sequences !== []) {
            $fields[] = CField::records('node_sequence', 'sequences', count($this->tables->sequences), self::sequence());
        }
        if ($this->tables->groups !== []) {
            $fields[] = CField::of('int16_t', 'groups', count($this->tables->groups));
        }
        if ($this->tables->reports !== []) {
            $fields[] = CField::records('node_report', 'reports', count($this->tables->reports), self::report());
        }
        foreach ($this->tables->gauges as $index => $gauge) {
            $fields[] = CField::of('uint8_t', "gauge_{$index}_state");
            if ($gauge->rests() && CFeatures::weighed($this->tables, $index)) {
                $fields[] = CField::of('uint32_t', "gauge_{$index}_since");
            }
            if (CFeatures::tellsAgain($gauge)) {
                $fields[] = CField::of('uint32_t', "gauge_{$index}_again");
            }
            if (CFeatures::saysValue($gauge)) {
                $fields = [...$fields, CField::of('uint8_t', "gauge_{$index}_has"), CField::of('uint32_t', "gauge_{$index}_told")];
            }
        }
        foreach ($this->tables->sticks as $index => $stick) {
            $fields = [...$fields, ...self::stick("stick_{$index}", $stick)];
        }
        foreach ($this->tables->clocks as $index => $clock) {
            if ($clock->everyMs > 0) {
                $fields[] = CField::of('uint32_t', "clock_{$index}_since");
            }
        }

        return $fields;
    }

    /** @return list<CField> */
    private static function stick(string $name, Stick $stick): array
    {
        $fields = [CField::of('uint8_t', "{$name}_has"), CField::of('uint32_t', "{$name}_looked")];
        if (CFeatures::steps($stick)) {
            $fields[] = CField::of('int8_t', "{$name}_zone");
        }
        if ($stick->repeatMs > 0) {
            $fields[] = CField::of('uint32_t', "{$name}_told");
        }
        foreach (['drives' => count($stick->does->drives), 'tells' => count($stick->does->tells)] as $list => $count) {
            if ($count > 0) {
                $fields[] = CField::of('int16_t', "{$name}_{$list}", $count);
            }
        }

        return $fields;
    }
}
