<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Plan\Action;

/** What follows from each control, sequence, group and message, a function of C each. */
final readonly class CSources
{
    private CActions $actions;

    public function __construct(private NodeTables $tables, private CFeatures $has, private CFieldNames $names)
    {
        $this->actions = new CActions($tables);
    }

    /** @return list<string> what follows from each control, a function each */
    public function sources(): array
    {
        $lines = [];
        foreach ($this->tables->contacts as $index => $contact) {
            if (CFeatures::anything($contact->does)) {
                $found = $contact->kind === ContactKind::Switch;
                $lines = [...$lines, CNote::of($contact->name), "static void node_contact_{$index}(struct node_state *me, uint8_t worked".($found ? ', uint8_t found' : '').')', '{', ...($found ? ['    (void)found;'] : []), ...$this->actions->doing($contact->does, '0', $found), '}', ''];
            }
        }
        foreach ($this->tables->gauges as $index => $gauge) {
            $turned = CFeatures::turned($gauge->does);
            $says = CFeatures::says($gauge->does);
            if (CFeatures::weighed($this->tables, $index) || CFeatures::saysValue($gauge)) {
                $lines = [...$lines, ...CScale::lines($index, $gauge)];
            }
            if ($gauge->hasThreshold && CFeatures::anything($turned)) {
                $lines = [...$lines, CNote::of("{$gauge->name}, when it passes its threshold"), "static void node_gauge_{$index}(struct node_state *me, uint8_t worked, int16_t value)", '{', '    (void)value;', ...$this->actions->doing($turned, 'value', false), '}', ''];
            }
            if (CFeatures::anything($says)) {
                $lines = [...$lines, CNote::of("{$gauge->name}, what it reads"), "static void node_gauge_{$index}_says(struct node_state *me, int16_t value)", '{', ...$this->actions->doing($says, 'value', false, '1'), '}', ''];
            }
        }
        foreach ($this->tables->clocks as $index => $clock) {
            if (CFeatures::strikes($clock)) {
                $lines = [...$lines, CNote::of($clock->name), "static void node_clock_{$index}(struct node_state *me)", '{', ...$this->actions->doing($clock->does, '0', false, '1'), '}', ''];
            }
        }
        foreach ($this->tables->sticks as $index => $stick) {
            $lines = [...$lines, ...$this->stick($index, $stick)];
        }
        foreach ($this->tables->sequences as $index => $sequence) {
            $lines = [...$lines, ...$this->sequence($index, $sequence)];
        }
        foreach ($this->tables->groups as $index => $group) {
            $lines = [...$lines, ...$this->group($index, $group)];
        }
        $reports = new CReports($this->tables, $this->names);
        foreach ($this->tables->reports as $index => $report) {
            $lines = [...$lines, ...$reports->lines($index, $report)];
        }

        return $lines;
    }

    /** @return list<string> */
    private function stick(int $index, Stick $stick): array
    {
        if (! CFeatures::anything($stick->does)) {
            return [];
        }
        $axis = $stick->axis;
        $steps = CFeatures::steps($stick);
        $lines = [
            CNote::of($stick->name), "static void node_stick_{$index}(struct node_state *me, const struct node_inputs *in)", '{',
            "    uint8_t first = !me->stick_{$index}_has;",
            '    int16_t position;',
            ...(CFeatures::travels($stick) ? ['    int16_t value;'] : []),
            ...($steps ? ['    int8_t pushed;'] : []),
            ...($stick->repeatMs > 0 ? ['    uint8_t again;'] : []),
            "    if (!first && node_since(me, me->stick_{$index}_looked) < {$stick->everyMs}) {", '        return;', '    }',
            "    me->stick_{$index}_has = 1;", "    me->stick_{$index}_looked = me->now_ms;",
            '    position = '.$this->position($index).';',
        ];
        if ($steps) {
            $lines = [...$lines, "    pushed = node_zone(me->stick_{$index}_zone, position);", "    if (pushed == me->stick_{$index}_zone) {", '        pushed = 0;', '    } else {', "        me->stick_{$index}_zone = pushed;", '    }'];
        }
        foreach ($stick->does->drives as $number => $drive) {
            $lines = [...$lines, ...$this->moving($index, 'drives', $number, $drive->travel, $drive->value, 'first', $this->actions->put($drive, 'value', '1'))];
        }
        if ($stick->repeatMs > 0) {
            $lines = [...$lines, "    again = first || node_since(me, me->stick_{$index}_told) >= {$stick->repeatMs}UL;", '    if (again) {', "        me->stick_{$index}_told = me->now_ms;", '    }'];
        }
        foreach ($stick->does->tells as $number => $tell) {
            $said = $tell->travel === null ? (string) ($tell->value ?? 0) : 'value';
            $lines = [...$lines, ...$this->moving($index, 'tells', $number, $tell->travel, $tell->value, $stick->repeatMs > 0 ? 'again' : 'first', "node_tell(me, {$tell->link}, {$tell->to}, {$tell->code}, {$said}); ".CNote::of($this->actions->whom($tell->link, $tell->to)))];
        }

        return [...$lines, '}', ''];
    }

    private function position(int $stick): string
    {
        $axis = $this->tables->sticks[$stick]->axis;

        return "node_position(in->{$this->names->sticks[$stick]}, {$axis->lowest}L, {$axis->centre}L, {$axis->highest}L, {$axis->deadBand}, {$axis->expo})";
    }

    /** @return list<string> */
    private function moving(int $stick, string $list, int $number, ?Travel $travel, ?int $step, string $anyway, string $then): array
    {
        if ($travel === null) {
            return ['    if (pushed == '.(($step ?? 1) < 0 ? '-1' : '1').') {', "        {$then}", '    }'];
        }
        $reverse = $travel->reverse ? '1' : '0';
        $position = $travel->mixedWith < 0 ? 'position' : 'node_mixed(position, '.($travel->mixSubtracts ? '-' : '').$this->position($travel->mixedWith).')';

        return [
            "    value = node_travel({$position}, {$travel->lowest}, {$travel->highest}, {$reverse}, {$travel->trim}, {$travel->endLow}, {$travel->endHigh});",
            "    if ({$anyway} || value != me->stick_{$stick}_{$list}[{$number}]) {",
            "        me->stick_{$stick}_{$list}[{$number}] = value;",
            "        {$then}",
            '    }',
        ];
    }

    /** @return list<string> */
    private function sequence(int $index, Sequence $sequence): array
    {
        $output = $this->tables->outputs[$sequence->output];
        $lines = [CNote::of($output->name), "static void node_sequence_{$index}(struct node_state *me)", '{', "    struct node_sequence *at = &me->sequences[{$index}];", "    struct node_output *output = &me->outputs[{$sequence->output}];",
            "    if (output->value != {$output->off} && !at->was) {", '        at->was = 1;', '        at->running = 1;', '        at->next = 0;', '        at->passes = 0;', '        at->since = me->now_ms;',
            "    } else if (output->value == {$output->off} && at->was) {", '        at->was = 0;', '        if (at->running) {', '            at->running = 0;',
            ...array_map(static fn (string $line): string => '        '.$line, $this->actions->doing($sequence->stopped, '0', false, '1')),
            '        }', '    }', '    if (!at->running) {', '        return;', '    }'];
        foreach ($sequence->moments as $number => $moment) {
            $due = $moment->afterMs === 0 ? '' : " && node_since(me, at->since) >= {$moment->afterMs}UL";
            $lines = [...$lines, "    if (at->next == {$number}{$due}) { ".CNote::of($moment->name), ...($moment->afterMs === 0 ? [] : ["        at->since = (uint32_t)(at->since + {$moment->afterMs}UL);"]), '        at->next++;', ...array_map(static fn (string $line): string => '    '.$line, $this->actions->doing($moment->does, '0', false, '1')), '    }'];
        }
        $count = count($sequence->moments);
        $pause = $sequence->pauseMs === 0 ? '' : " && node_since(me, at->since) >= {$sequence->pauseMs}UL";
        $lines = [...$lines, "    if (at->next == {$count}{$pause}) {", ...($sequence->pauseMs === 0 ? [] : ["        at->since = (uint32_t)(at->since + {$sequence->pauseMs}UL);"]), '        at->next = 0;'];
        if ($sequence->passes > 0) {
            $lines = [...$lines, '        at->passes++;', "        if (at->passes >= {$sequence->passes}) {", '            at->running = 0;', '            at->was = 0;', "            output->value = {$output->off};", ...($this->has->pulses ? ['            output->pulsing = 0;'] : []), '        }'];
        }

        return [...$lines, '    }', '}', ''];
    }

    /** @return list<string> */
    private function group(int $index, Group $group): array
    {
        $output = $this->tables->outputs[$group->output];

        return [CNote::of($output->name), "static void node_group_{$index}(struct node_state *me)", '{', "    int16_t value = me->outputs[{$group->output}].value;", "    uint8_t worked = value != {$output->off};", "    if (value != me->groups[{$index}]) {", "        me->groups[{$index}] = value;", ...array_map(static fn (string $line): string => '    '.$line, $this->actions->doing($group->does, 'value', false)), '    }', '    (void)worked;', '}', ''];
    }

    /** @return list<string> */
    public function obey(): array
    {
        if ($this->tables->heard === []) {
            return [];
        }
        $lines = $this->lose();
        foreach ($this->tables->heard as $heard) {
            $from = $heard->from === 0 ? '' : " && heard->node == {$heard->from}";
            $lines[] = "    if (heard->link == {$heard->link}{$from} && heard->code == {$heard->code}) { ".CNote::of($heard->says);
            foreach ($heard->drives as $drive) {
                if ($this->isAnswered($drive)) {
                    $lines[] = "        me->outputs[{$drive->output}].asked = 1;";
                }
                if ($drive->answers && $this->tables->outputs[$drive->output]->unheardMs > 0) {
                    $lines = [...$lines, "        me->outputs[{$drive->output}].known = 1;", "        me->outputs[{$drive->output}].known_at = me->now_ms;"];
                }
                $comesOn = $this->tables->outputs[$drive->output]->comesOn === true;
                if ($comesOn) {
                    // It came on because nobody said anything: off first, and then where it is told to.
                    $lines = [...$lines, "        if (!me->outputs[{$drive->output}].fed) {", "            node_ask(me, {$drive->output}, NODE_OFF, 0, 0, 0, 1);", '        }'];
                }
                $lines[] = '        '.$this->actions->put($drive, 'heard->value', $drive->action->holds() ? 'heard->value != 0' : '1');
                if (CFeatures::feeds($this->tables, $drive)) {
                    $output = $this->tables->outputs[$drive->output];
                    $fed = match (true) {
                        $comesOn => '1',
                        $drive->action === Action::Pulse => '0',
                        $drive->action->holds() => "(me->outputs[{$drive->output}].holders & {$output->far}UL) != 0",
                        default => "me->outputs[{$drive->output}].value != {$output->off}",
                    };
                    $lines[] = "        node_feed(me, {$drive->output}, {$fed});";
                }
            }
            foreach ($heard->passes as $pass) {
                $lines[] = "        node_tell(me, {$pass->link}, {$pass->to}, {$pass->code}, heard->value); ".CNote::of('on over '.$this->actions->whom($pass->link, $pass->to));
            }
            $lines[] = '    }';
        }
        $feed = ! $this->has->feeds ? [] : ['/* What another node put on, or holds, must be heard of again and again. */', 'static void node_feed(struct node_state *me, uint8_t output, uint8_t fed)', '{', '    me->outputs[output].fed = fed;', '    if (fed) {', '        me->outputs[output].fed_at = me->now_ms;', '    }', '}', ''];

        return [...$feed, 'static void node_obey(struct node_state *me, const struct node_message *heard)', '{', ...($this->obeysAnything() ? [] : ['    (void)me;']), ...$lines, '}', ''];
    }

    /** @return list<string> what is not known any more when whoever told it does not answer */
    private function lose(): array
    {
        $lost = [];
        foreach ($this->tables->heard as $heard) {
            foreach ($this->tables->links[$heard->link]->saysGone && $heard->from !== 0 ? $heard->drives : [] as $drive) {
                if ($drive->answers && $this->tables->outputs[$drive->output]->unheardMs > 0) {
                    $lost["heard->link == {$heard->link} && heard->node == {$heard->from}"]["        me->outputs[{$drive->output}].known = 0;"] = true;
                }
            }
        }
        $gone = [];
        foreach ($this->tables->links as $index => $link) {
            if ($link->saysGone) {
                $gone[] = "heard->link == {$index}";
            }
        }
        if ($gone === []) {
            return [];
        }
        $lines = ['    if (heard->code == '.Message::GONE.'U && ('.implode(' || ', $gone).')) { /* a node does not answer any more */'];
        foreach ($lost as $who => $what) {
            $lines = [...$lines, "        if ({$who}) {", ...array_map(static fn (string $line): string => "    {$line}", array_keys($what)), '        }'];
        }

        return [...$lines, '        return;', '    }'];
    }

    private function isAnswered(Drive $drive): bool
    {
        return array_filter($this->tables->reports, static fn (Report $report): bool => $report->always && $report->output === $drive->output) !== [];
    }

    private function obeysAnything(): bool
    {
        return array_filter($this->tables->heard, static fn (Heard $heard): bool => $heard->drives !== [] || $heard->passes !== []) !== [];
    }
}
