<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

/** How outputs stand, told by a function of C each. */
final readonly class CReports
{
    private CActions $actions;

    public function __construct(private NodeTables $tables, private CFieldNames $names)
    {
        $this->actions = new CActions($tables);
    }

    /** @return list<string> */
    public function lines(int $index, Report $report): array
    {
        $gauge = $report->gauge === null ? null : "in->{$this->names->gauges[$report->gauge]} == NODE_FAILED";
        $value = match (true) {
            $report->contact !== null => "me->contacts[{$report->contact}].level",
            $gauge !== null => "me->gauge_{$report->gauge}_state",
            default => "me->outputs[{$report->output}].value",
        };
        $off = $report->isMeasured() ? 0 : $this->tables->outputs[$report->output]->off;
        $stays = ['!changed', ...($report->everyMs > 0 ? ["node_since(me, at->told) < {$report->everyMs}UL"] : []), ...($report->always ? ["!me->outputs[{$report->output}].asked"] : [])];
        $lasting = $report->does->lasting();

        return [
            CNote::of($report->name), "static void node_report_{$index}(struct node_state *me, const struct node_inputs *in)", '{',
            "    struct node_report *at = &me->reports[{$index}];",
            "    int16_t value = {$value};",
            "    uint8_t worked = value != {$off};",
            '    uint8_t changed = !at->has || value != at->value;',
            '    uint8_t turned = at->has && changed;',
            ...($gauge === null ? ['    (void)in;'] : []), '    (void)worked;', '    (void)turned;',
            ...($report->isMeasured() ? ['    if ('.($gauge === null ? '' : "{$gauge} || ").'value == 2) {', '        return;', '    }'] : []),
            '    if ('.implode(' && ', $stays).') {', '        return;', '    }',
            '    at->value = value;', '    at->has = 1;', '    at->told = me->now_ms;',
            ...self::under('changed', array_map(fn (Drive $drive): string => '    '.$this->actions->put($drive, 'value', $drive->action->holds() ? 'worked' : '1'), $lasting->drives)),
            ...array_map(fn (Tell $tell): string => "    node_tell(me, {$tell->link}, {$tell->to}, {$tell->code}, ".($tell->action->holds() ? 'worked ? 1 : 0' : 'value').'); '.CNote::of($this->actions->whom($tell->link, $tell->to)), $lasting->tells),
            ...self::under('turned && worked', $this->actions->doing($report->does->passing(), 'value', false, '1')),
            '}', '',
        ];
    }

    /**
     * @param  list<string>  $lines
     * @return list<string>
     */
    private static function under(string $condition, array $lines): array
    {
        return $lines === [] ? [] : ["    if ({$condition}) {", ...array_map(static fn (string $line): string => '    '.$line, $lines), '    }'];
    }
}
