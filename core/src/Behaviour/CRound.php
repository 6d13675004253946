<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Plan\AtStart;

/** The two functions that a node's program calls: once before it begins, and again and again. */
final readonly class CRound
{
    private CActions $actions;

    public function __construct(private NodeTables $tables, private CFeatures $has, private CFieldNames $names)
    {
        $this->actions = new CActions($tables);
    }

    /** @return list<string> */
    public function start(): array
    {
        $lines = ['/* Before the first step. What an output stands at then, put its pin to before you make it an output. */', 'static inline void node_start(struct node_state *me, uint32_t now_ms)', '{', '    me->now_ms = now_ms;', '    me->told = 0;', ...($this->has->timesOfDay ? ['    me->minute = -1;'] : [])];
        foreach ($this->tables->contacts as $index => $contact) {
            $level = $contact->kind === ContactKind::Notice ? '0' : 'NODE_UNKNOWN';
            $lines = [...$lines, "    me->contacts[{$index}].level = {$level};", "    me->contacts[{$index}].seen = {$level};", "    me->contacts[{$index}].since = now_ms;", ...($this->has->repeats ? ["    me->contacts[{$index}].held = 0;", "    me->contacts[{$index}].told = now_ms;"] : [])];
        }
        foreach ($this->tables->gauges as $index => $gauge) {
            $lines = [...$lines, "    me->gauge_{$index}_state = 2;", ...(CFeatures::saysValue($gauge) ? ["    me->gauge_{$index}_has = 0;", "    me->gauge_{$index}_told = now_ms;"] : []),
                ...($gauge->rests() && CFeatures::weighed($this->tables, $index) ? ["    me->gauge_{$index}_since = now_ms;"] : []), ...(CFeatures::tellsAgain($gauge) ? ["    me->gauge_{$index}_again = now_ms;"] : [])];
        }
        foreach ($this->tables->sticks as $index => $stick) {
            $lines = [...$lines, "    me->stick_{$index}_has = 0;", "    me->stick_{$index}_looked = now_ms;", ...(CFeatures::steps($stick) ? ["    me->stick_{$index}_zone = 0;"] : []), ...($stick->repeatMs > 0 ? ["    me->stick_{$index}_told = now_ms;"] : [])];
        }
        foreach ($this->tables->clocks as $index => $clock) {
            $lines = [...$lines, ...($clock->everyMs > 0 ? ["    me->clock_{$index}_since = now_ms;"] : [])];
        }
        foreach (array_keys($this->tables->sequences) as $index) {
            $lines = [...$lines, "    me->sequences[{$index}].was = 0;", "    me->sequences[{$index}].running = 0;", "    me->sequences[{$index}].next = 0;", "    me->sequences[{$index}].passes = 0;", "    me->sequences[{$index}].since = now_ms;"];
        }
        foreach ($this->tables->groups as $index => $group) {
            $lines[] = "    me->groups[{$index}] = {$this->tables->outputs[$group->output]->off};";
        }
        foreach (array_keys($this->tables->reports) as $index) {
            $lines = [...$lines, "    me->reports[{$index}].value = 0;", "    me->reports[{$index}].has = 0;", "    me->reports[{$index}].told = now_ms;"];
        }
        foreach ($this->tables->outputs as $index => $output) {
            $lines = [...$lines, "    me->outputs[{$index}].value = {$this->first($index, $output)};", "    me->outputs[{$index}].holders = 0;", "    me->outputs[{$index}].barred = 0;", ...($this->has->pulses ? ["    me->outputs[{$index}].pulsing = 0;", "    me->outputs[{$index}].pulse_at = now_ms;", "    me->outputs[{$index}].pulse_ms = 0;"] : []), ...($this->has->feeds ? ["    me->outputs[{$index}].fed = ".($output->comesOn === true ? '1' : '0').';', "    me->outputs[{$index}].fed_at = now_ms;"] : []),
                ...($this->has->shows ? ["    me->outputs[{$index}].known = ".($output->unheardMs === 0 ? '1' : '0').';', "    me->outputs[{$index}].known_at = now_ms;"] : []), ...($this->has->answers ? ["    me->outputs[{$index}].asked = 0;"] : [])];
        }

        return [...$lines, '}', '', ...$this->restore()];
    }

    /** Never on where one before it is on already that it must never be on with. */
    private function first(int $index, Driven $output): int
    {
        $on = static fn (Driven $one): bool => $one->atStart === AtStart::On;

        return $on($output) && array_filter($output->never, fn (int $other): bool => $other < $index && $on($this->tables->outputs[$other]) && $this->first($other, $this->tables->outputs[$other]) !== $this->tables->outputs[$other]->off) === [] ? $output->on : $output->off;
    }

    /** @return list<string> what puts back how outputs stood before a power cut */
    private function restore(): array
    {
        $lines = [];
        foreach ($this->tables->outputs as $index => $output) {
            if ($output->atStart === AtStart::Last) {
                $barred = array_map(fn (int $other): string => " && me->outputs[{$other}].value == {$this->tables->outputs[$other]->off}", $output->never);
                $lines = [...$lines, "    case {$index}: ".CNote::of($output->name), '        if (1'.implode('', $barred).') {', "            me->outputs[{$index}].value = value < {$output->lowest} ? {$output->lowest} : value > {$output->highest} ? {$output->highest} : value;", '        }', '        break;'];
            }
        }

        return $lines === [] ? [] : [
            '/*', ' * How an output last stood, from a memory that outlives the power: between node_start and the first step, in the order of their numbers.', ' * Write it there when it has changed and has stood for two seconds: such a memory bears some ten or hundred thousand writes.', ' */',
            'static inline void node_restore(struct node_state *me, uint8_t output, int16_t value)', '{', '    switch (output) {', ...$lines, '    default:', '        break;', '    }', '}', '',
        ];
    }

    /** @return list<string> */
    public function step(): array
    {
        $has = $this->has;
        $body = [];
        foreach ($this->tables->outputs as $index => $output) {
            if ($has->pulses) {
                $body = [...$body, "    if (me->outputs[{$index}].pulsing && node_since(me, me->outputs[{$index}].pulse_at) >= me->outputs[{$index}].pulse_ms) {", "        me->outputs[{$index}].pulsing = 0;", "        node_ask(me, {$index}, NODE_PULSE, 0, 0, 0, 0);", '    }'];
            }
            if ($output->unheardMs > 0) {
                $body = [...$body, "    if (me->outputs[{$index}].known && node_since(me, me->outputs[{$index}].known_at) >= {$output->unheardMs}UL) {", "        me->outputs[{$index}].known = 0;", '    }'];
            }
            if ($has->answers) {
                $body[] = "    me->outputs[{$index}].asked = 0;";
            }
            if ($has->feeds && $output->silenceMs > 0) {
                $body = [...$body, "    if (me->outputs[{$index}].fed && node_since(me, me->outputs[{$index}].fed_at) >= {$output->silenceMs}UL) {", "        me->outputs[{$index}].fed = 0;", "        me->outputs[{$index}].holders &= (node_masters)~{$output->far}UL;", "        node_ask(me, {$index}, ".($output->comesOn === true ? 'NODE_ON' : 'NODE_OFF').', 0, 0, 0, 1);', '    }'];
            }
        }
        $body = [...$body, ...($this->tables->heard === [] ? ['    (void)heard;', '    (void)count;'] : ['    for (n = 0; n < count; n++) {', '        node_obey(me, &heard[n]);', '    }'])];
        foreach ($this->tables->contacts as $index => $contact) {
            $body = [...$body, ...$this->feel($index, $contact)];
        }
        foreach ($this->tables->gauges as $index => $gauge) {
            $body = [...$body, ...$this->gauge($index, $gauge)];
        }
        foreach ($this->tables->sticks as $index => $stick) {
            $body = [...$body, ...(CFeatures::anything($stick->does) ? ["    node_stick_{$index}(me, in);"] : [])];
        }
        foreach ($this->tables->clocks as $index => $clock) {
            $body = [...$body, ...$this->strike($index, $clock)];
        }
        foreach (array_keys($this->tables->sequences) as $index) {
            $body[] = "    node_sequence_{$index}(me);";
        }
        foreach (array_keys($this->tables->groups) as $index) {
            $body[] = "    node_group_{$index}(me);";
        }
        foreach (array_keys($this->tables->reports) as $index) {
            $body[] = "    node_report_{$index}(me, in);";
        }
        if ($has->timesOfDay) {
            $body = [...$body, '    if (minute_of_day >= 0) {', '        me->minute = minute_of_day;', '    }'];
        }
        foreach ($this->tables->outputs as $index => $output) {
            $body = [...$body, ...$this->show($index, $output)];
        }
        $text = implode("\n", $body);
        $locals = [
            ...($this->tables->heard === [] ? [] : ['    uint8_t n;']),
            ...(str_contains($text, 'event = ') ? ['    uint8_t event;'] : []),
            ...(str_contains($text, 'state = ') ? ['    uint8_t state;'] : []),
        ];
        $unused = [...(str_contains($text, 'in->') ? [] : ['    (void)in;']), ...(str_contains($text, 'minute_of_day') ? [] : ['    (void)minute_of_day;']), ...($this->tables->outputs === [] ? ['    out->none = 0;'] : [])];

        return [
            '/*', ' * One round of the program: call it at least every few milliseconds. minute_of_day is 0 to 1439, or -1 while nobody knows the time;', ' * where the clock is put forward in spring what lies between still comes, where it is put back in autumn the hour comes twice.', ' */',
            'static inline void node_step(struct node_state *me, uint32_t now_ms, int16_t minute_of_day, const struct node_inputs *in, const struct node_message *heard, uint8_t count, struct node_outputs *out, struct node_told *told)',
            '{', ...$locals, '    me->now_ms = now_ms;', '    me->told = told;', '    told->count = 0;', ...$unused, ...$body, '}', '',
        ];
    }

    /** @return list<string> what an output is put to; a lamp blinks while what it shows is not known */
    private function show(int $index, Driven $output): array
    {
        $name = $this->names->outputs[$index];
        $value = "me->outputs[{$index}].value";
        if ($output->unheardMs > 0 && $output->blinks) {
            $value = "me->outputs[{$index}].known ? {$value} : (int16_t)((now_ms & ".Machine::BLINK.") != 0 ? {$output->on} : {$output->off})";
        }

        return ["    out->{$name} = {$value};", ...($output->unheardMs > 0 ? ["    out->{$this->names->known[$index]} = me->outputs[{$index}].known;"] : [])];
    }

    /** @return list<string> */
    private function feel(int $index, Contact $contact): array
    {
        if (! CFeatures::felt($this->tables, $index)) {
            return [];
        }
        $switch = $contact->kind === ContactKind::Switch;
        $repeats = $contact->repeatMs > 0;
        $tells = array_filter($contact->does->tells, static fn (Tell $tell): bool => $tell->action->holds());
        $counts = $switch ? 'event != NODE_SAME' : 'event == NODE_WORKED || event == NODE_LET_GO';
        $lines = [
            "    event = node_feel(me, {$index}, in->{$this->names->contacts[$index]} != 0, {$contact->debounceMs});",
            "    if ({$counts}) {",
            ...($this->has->repeats ? ["        me->contacts[{$index}].held = event != NODE_LET_GO;", "        me->contacts[{$index}].told = now_ms;"] : []),
            ...(CFeatures::anything($contact->does) ? ["        node_contact_{$index}(me, event != NODE_LET_GO".($switch ? ', event == NODE_FOUND_WORKED' : '').');'] : []),
            '    }',
        ];
        if ($repeats && $tells !== []) {
            $held = "me->contacts[{$index}].held";
            $asked = $contact->does->saysBoth() ? "({$held} || me->contacts[{$index}].level != NODE_UNKNOWN)" : $held;
            $lines = [...$lines, "    if ({$asked} && node_since(me, me->contacts[{$index}].told) >= {$contact->repeatMs}UL) {", "        me->contacts[{$index}].told = now_ms;", ...$this->sayAgain($contact->does, $held), '    }'];
        }

        return $lines;
    }

    /** @return list<string> */
    private function gauge(int $index, Gauge $gauge): array
    {
        $in = "in->{$this->names->gauges[$index]}";
        $reading = CScale::reading($index, $gauge->scale, $in);
        $lines = [];
        $again = CFeatures::tellsAgain($gauge);
        if (CFeatures::weighed($this->tables, $index)) {
            $state = "me->gauge_{$index}_state";
            $over = $gauge->above ? "{$reading} - ({$gauge->threshold}L)" : "({$gauge->threshold}L) - {$reading}";
            $failed = match ($gauge->onFailure) {
                OnFailure::Keep => $state,
                OnFailure::Off => '0',
                OnFailure::On => '1',
            };
            $rested = $gauge->rests() ? " && node_since(me, me->gauge_{$index}_since) >= ({$state} == 1 ? ({$in} == NODE_FAILED ? 0UL : {$gauge->leastOnMs}UL) : state == 1 ? {$gauge->leastOffMs}UL : 0UL)" : '';
            $turns = CFeatures::anything(CFeatures::turned($gauge->does));
            $lines = ["    state = {$in} == NODE_FAILED ? {$failed} : node_beyond({$state}, {$over}, {$gauge->hysteresis}L);", "    if (state != {$state}{$rested}) {", "        {$state} = state;", ...($gauge->rests() ? ["        me->gauge_{$index}_since = now_ms;"] : []), ...($again ? ["        me->gauge_{$index}_again = now_ms;"] : []), ...($turns ? ["        node_gauge_{$index}(me, state == 1, {$in} == NODE_FAILED ? 0 : node_rounded({$reading}));"] : []), '    }'];
        }
        if (CFeatures::saysValue($gauge)) {
            $lines = [...$lines, "    if ({$in} != NODE_FAILED && (!me->gauge_{$index}_has || node_since(me, me->gauge_{$index}_told) >= {$gauge->intervalMs}UL)) {", "        me->gauge_{$index}_has = 1;", "        me->gauge_{$index}_told = now_ms;", "        node_gauge_{$index}_says(me, node_rounded({$reading}));", '    }'];
        }

        if ($again) {
            $held = "me->gauge_{$index}_state == 1";
            $asked = $gauge->does->saysBoth() ? "me->gauge_{$index}_state != 2" : $held;
            $lines = [...$lines, "    if ({$asked} && node_since(me, me->gauge_{$index}_again) >= {$gauge->repeatMs}UL) {", "        me->gauge_{$index}_again = now_ms;", ...$this->sayAgain($gauge->does, $held), '    }'];
        }

        return $lines;
    }

    /**
     * @param  string  $held  whether it holds, in C
     * @return list<string>
     */
    private function sayAgain(Does $does, string $held): array
    {
        $lines = [];
        $both = $does->saysBoth();
        foreach ($does->tells as $tell) {
            if (! $tell->action->holds()) {
                continue;
            }
            $value = $tell->both === true ? "({$held}) ? 1 : 0" : '1';
            $say = "node_tell(me, {$tell->link}, {$tell->to}, {$tell->code}, {$value}); ".CNote::of($this->actions->whom($tell->link, $tell->to));
            $lines = [...$lines, ...(! $both || $tell->both === true ? ["        {$say}"] : ["        if ({$held}) {", "            {$say}", '        }'])];
        }

        return $lines;
    }

    /** @return list<string> */
    private function strike(int $index, Clock $clock): array
    {
        if (! CFeatures::strikes($clock)) {
            return [];
        }
        $lines = [];
        if ($clock->atMinute >= 0) {
            $lines = ["    if (minute_of_day >= 0 && me->minute >= 0 && node_struck(me->minute, minute_of_day, {$clock->atMinute})) {", "        node_clock_{$index}(me);", '    }'];
        }
        if ($clock->everyMs > 0) {
            $lines = [...$lines, "    if (node_since(me, me->clock_{$index}_since) >= {$clock->everyMs}UL) {", "        me->clock_{$index}_since = (uint32_t)(me->clock_{$index}_since + {$clock->everyMs}UL);", "        node_clock_{$index}(me);", '    }'];
        }

        return $lines;
    }
}
