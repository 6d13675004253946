<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Plan\Action;
use Rundfunk\Text\CNames;
use Rundfunk\Text\UniqueNames;

/**
 * A node's behaviour as a C99 header: the tables written out as a program, so that they stand in flash and not in memory. Static
 * functions, no allocation, no floating point, nothing included but the node's own header and stdint.h.
 */
final class CBehaviour
{
    /** @var list<string> names of the fields of each input, by kind of table */
    private array $contactNames = [];

    /** @var list<string> */
    private array $gaugeNames = [];

    /** @var list<string> */
    private array $stickNames = [];

    /** @var list<string> */
    private array $outputNames = [];

    private function __construct(private readonly NodeTables $tables, private readonly CFeatures $has)
    {
        $inputs = new UniqueNames;
        $outputs = new UniqueNames;
        foreach ($tables->contacts as $contact) {
            $this->contactNames[] = $inputs->name(CNames::lower($contact->name));
        }
        foreach ($tables->gauges as $gauge) {
            $this->gaugeNames[] = $inputs->name(CNames::lower($gauge->name));
        }
        foreach ($tables->sticks as $stick) {
            $this->stickNames[] = $inputs->name(CNames::lower($stick->name));
        }
        foreach ($tables->outputs as $output) {
            $this->outputNames[] = $outputs->name(CNames::lower($output->name));
        }
    }

    /**
     * @param  string  $header  the file name of the node's own header, as {@see \Rundfunk\Text\FileName} makes it
     * @param  list<string>  $preface  lines of its first comment: what it is of, what it takes
     * @param  list<string>  $messages  C that turns what comes and goes into messages and back, see {@see WritesMessages}
     */
    public static function write(NodeTables $tables, string $header, array $preface, array $messages = []): string
    {
        $made = new self($tables, CFeatures::of($tables));
        $guard = 'RUNDFUNK_'.CNames::upper($tables->node).'_BEHAVIOUR_H';

        return implode("\n", [
            '/*', ...array_map(static fn (string $line): string => rtrim(' * '.CNames::comment($line)), $preface), ' */',
            "#ifndef {$guard}", "#define {$guard}", '', '#include <stdint.h>', "#include \"{$header}\"", '',
            ...$made->interface(),
            ...$messages,
            ...(new CState($tables, $made->has))->lines(),
            ...$made->engine(),
            ...$made->sources(),
            ...$made->obey(),
            ...$made->start(),
            ...$made->step(),
            "#endif /* {$guard} */", '',
        ]);
    }

    /** @return list<string> */
    private function interface(): array
    {
        $lines = ['/* Links by number, and who is on them. */'];
        $names = new UniqueNames;
        foreach ($this->tables->links as $index => $link) {
            $lines[] = '#define '.$names->name('NODE_LINK_'.CNames::upper($link->name))." {$index}";
            foreach ($link->nodes as $number => $node) {
                $lines[] = ' /*   '.($number + 1).' '.CNames::comment($node).($number + 1 === $link->own ? ', this node' : '').' */';
            }
        }
        $lines = [...($this->tables->links === [] ? [] : [...array_map(ltrim(...), $lines), '']),
            '/* What goes over a link: from whom it was heard, or to whom it is told; what; and how much. */',
            'struct node_message {', '    uint8_t link;', '    uint8_t node;', '    uint16_t code;', '    int16_t value;', '};', '',
            '#define NODE_HEARD_MOST '.CFeatures::HEARD_MOST.' /* messages that one step takes; hear the rest in the next */',
            '#define NODE_TOLD_MOST '.max(1, $this->tables->mostTold(CFeatures::HEARD_MOST)),
            'struct node_told {', '    uint16_t count;', '    struct node_message message[NODE_TOLD_MOST];', '};', '',
        ];
        $inputs = [];
        foreach ($this->tables->contacts as $index => $contact) {
            $inputs[] = "    uint8_t {$this->contactNames[$index]}; ".self::note($contact->name.', '.match ($contact->kind) {
                ContactKind::Notice => '1 for a step when it happens',
                ContactKind::Switch => '1 while it is on',
                ContactKind::Key => '1 while it is pressed',
            });
        }
        foreach ($this->tables->gauges as $index => $gauge) {
            $inputs[] = "    int32_t {$this->gaugeNames[$index]}; ".self::note("{$gauge->name}, thousandths of its unit; NODE_FAILED when it cannot be read");
        }
        foreach ($this->tables->sticks as $index => $stick) {
            $inputs[] = "    int32_t {$this->stickNames[$index]}; ".self::note("{$stick->name}, as it is read");
        }
        $outputs = [];
        foreach ($this->tables->outputs as $index => $output) {
            $outputs[] = "    int16_t {$this->outputNames[$index]}; ".self::note($output->name.($output->lowest === 0 && $output->highest === 1 ? ', 1 for on' : ", {$output->lowest} to {$output->highest}"));
        }

        return [...$lines,
            ...($this->tables->gauges === [] ? [] : ['#define NODE_FAILED (-2147483647L - 1)', '']),
            'struct node_inputs {', ...($inputs === [] ? ['    uint8_t none; /* it reads nothing itself */'] : $inputs), '};', '',
            'struct node_outputs {', ...($outputs === [] ? ['    uint8_t none; /* it drives nothing itself */'] : $outputs), '};', '',
        ];
    }

    /** @return list<string> */
    private function engine(): array
    {
        $has = $this->has;
        $parts = [];
        foreach ([
            [$has->drives, CEngine::NUMBERS],
            [$has->time, CEngine::SINCE],
            [$has->drives, CEngine::HOLDS],
            [$has->drives, CEngine::HEAR],
            [$has->drives, $this->ask()],
            [$has->puts, $has->pulses ? CEngine::PUT_OVER_PULSES : CEngine::PUT],
            [$has->pulses, $this->off()],
            [$has->pulses, CEngine::PULSE],
            [$has->tells, CEngine::TELL],
            [$has->feels, CEngine::FEEL],
            [$has->reads, CEngine::SANE],
            [$has->reads, CEngine::ROUNDED],
            [$has->thresholds, CEngine::BEYOND],
            [$has->sticks, CEngine::POSITION],
            [$has->travels, CEngine::TRAVEL],
            [$has->mixes, CEngine::MIXED],
            [$has->zones, CEngine::ZONE],
            [$has->timesOfDay, CEngine::STRUCK],
        ] as [$wanted, $part]) {
            if ($wanted) {
                $parts[] = $part;
            }
        }
        $lines = [];
        foreach ($parts as $part) {
            $lines = [...$lines, ...explode("\n", $part), ''];
        }

        return $lines;
    }

    /** What each output is and who wins there. */
    private function ask(): string
    {
        $cases = [];
        foreach ($this->tables->outputs as $index => $output) {
            $precedence = 'NODE_'.strtoupper(str_replace('-', '_', $output->precedence->value));
            $cases["{$precedence}, {$output->lowest}, {$output->highest}, {$output->off}, {$output->on}"][] = "    case {$index}: ".self::note($output->name.': '.$output->precedence->words());
        }
        $lines = ['static void node_ask(struct node_state *me, uint8_t output, uint8_t action, node_masters master, uint8_t by_hand, int16_t value, uint8_t worked)', '{', '    struct node_output *at = &me->outputs[output];', '    switch (output) {'];
        foreach ($cases as $figures => $these) {
            $lines = [...$lines, ...$these, "        node_hear(at, {$figures}, action, master, by_hand, value, worked);", '        break;'];
        }

        return implode("\n", [...$lines, '    default:', '        break;', '    }', '}']);
    }

    private function off(): string
    {
        $lines = ['static int16_t node_off(uint8_t output)', '{', '    switch (output) {'];
        foreach ($this->tables->outputs as $index => $output) {
            if ($output->off !== 0) {
                $lines = [...$lines, "    case {$index}:", "        return {$output->off};"];
            }
        }

        return implode("\n", [...$lines, '    default:', '        return 0;', '    }', '}']);
    }

    /** @return list<string> what follows from each control, a function each */
    private function sources(): array
    {
        $lines = [];
        foreach ($this->tables->contacts as $index => $contact) {
            if (CFeatures::anything($contact->does)) {
                $found = $contact->kind === ContactKind::Switch;
                $lines = [...$lines, self::note($contact->name), "static void node_contact_{$index}(struct node_state *me, uint8_t worked".($found ? ', uint8_t found' : '').')', '{', ...($found ? ['    (void)found;'] : []), ...$this->doing($contact->does, '0', $found), '}', ''];
            }
        }
        foreach ($this->tables->gauges as $index => $gauge) {
            $turned = CFeatures::turned($gauge->does);
            $says = CFeatures::says($gauge->does);
            if ($gauge->hasThreshold && CFeatures::anything($turned)) {
                $lines = [...$lines, self::note("{$gauge->name}, when it passes its threshold"), "static void node_gauge_{$index}(struct node_state *me, uint8_t worked, int16_t value)", '{', '    (void)value;', ...$this->doing($turned, 'value', false), '}', ''];
            }
            if (CFeatures::anything($says)) {
                $lines = [...$lines, self::note("{$gauge->name}, what it reads"), "static void node_gauge_{$index}_says(struct node_state *me, int16_t value)", '{', ...$this->doing($says, 'value', false, '1'), '}', ''];
            }
        }
        foreach ($this->tables->clocks as $index => $clock) {
            if (CFeatures::strikes($clock)) {
                $lines = [...$lines, self::note($clock->name), "static void node_clock_{$index}(struct node_state *me)", '{', ...$this->doing($clock->does, '0', false, '1'), '}', ''];
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

        return $lines;
    }

    /**
     * @param  string  $value  what the source says, as C
     * @param  bool  $found  where something may be found worked when the node starts: then only what holds counts
     * @return list<string>
     */
    private function doing(Does $does, string $value, bool $found, string $worked = 'worked'): array
    {
        $lines = [];
        foreach ($does->drives as $drive) {
            $guard = $found && ! $drive->action->holds() ? 'if (!found) ' : '';
            $lines[] = "    {$guard}".$this->put($drive, $value, $worked);
        }
        foreach ($does->tells as $tell) {
            $holds = $tell->action->holds();
            $conditions = [...($holds || $worked === '1' ? [] : ['worked']), ...($found && ! $holds ? ['!found'] : [])];
            $guard = $conditions === [] ? '' : 'if ('.implode(' && ', $conditions).') ';
            $said = $holds ? ($worked === '1' ? '1' : 'worked ? 1 : 0') : (string) ($tell->value ?? $value);
            $lines[] = "    {$guard}node_tell(me, {$tell->link}, {$tell->to}, {$tell->code}, {$said}); ".self::note($this->whom($tell->link, $tell->to));
        }

        return $lines;
    }

    private function put(Drive $drive, string $value, string $worked): string
    {
        $hand = $drive->byHand ? '1' : '0';
        $note = ' '.self::note($this->tables->outputs[$drive->output]->name);
        if ($drive->action === Action::Pulse) {
            return "node_pulse(me, {$drive->output}, {$hand}, {$drive->pulseMs}UL, {$worked});{$note}";
        }
        $master = $drive->master < 0 ? '0' : '(node_masters)1 << '.$drive->master;

        return 'node_put(me, '.$drive->output.', NODE_'.strtoupper($drive->action->value).', '.$master.", {$hand}, ".($drive->value ?? $value).", {$worked});{$note}";
    }

    private function whom(int $link, int $to): string
    {
        return $this->tables->links[$link]->name.', to '.($this->tables->links[$link]->nodes[$to - 1] ?? '?');
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
            self::note($stick->name), "static void node_stick_{$index}(struct node_state *me, const struct node_inputs *in)", '{',
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
            $lines = [...$lines, ...$this->moving($index, 'drives', $number, $drive->travel, $drive->value, 'first', $this->put($drive, 'value', '1'))];
        }
        if ($stick->repeatMs > 0) {
            $lines = [...$lines, "    again = first || node_since(me, me->stick_{$index}_told) >= {$stick->repeatMs}UL;", '    if (again) {', "        me->stick_{$index}_told = me->now_ms;", '    }'];
        }
        foreach ($stick->does->tells as $number => $tell) {
            $said = $tell->travel === null ? (string) ($tell->value ?? 0) : 'value';
            $lines = [...$lines, ...$this->moving($index, 'tells', $number, $tell->travel, $tell->value, $stick->repeatMs > 0 ? 'again' : 'first', "node_tell(me, {$tell->link}, {$tell->to}, {$tell->code}, {$said}); ".self::note($this->whom($tell->link, $tell->to)))];
        }

        return [...$lines, '}', ''];
    }

    private function position(int $stick): string
    {
        $axis = $this->tables->sticks[$stick]->axis;

        return "node_position(in->{$this->stickNames[$stick]}, {$axis->lowest}L, {$axis->centre}L, {$axis->highest}L, {$axis->deadBand}, {$axis->expo})";
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
        $lines = [self::note($output->name), "static void node_sequence_{$index}(struct node_state *me)", '{', "    struct node_sequence *at = &me->sequences[{$index}];", "    struct node_output *output = &me->outputs[{$sequence->output}];",
            "    if (output->value != {$output->off} && !at->was) {", '        at->was = 1;', '        at->running = 1;', '        at->next = 0;', '        at->passes = 0;', '        at->since = me->now_ms;',
            "    } else if (output->value == {$output->off} && at->was) {", '        at->was = 0;', '        if (at->running) {', '            at->running = 0;',
            ...array_map(static fn (string $line): string => '        '.$line, $this->doing($sequence->stopped, '0', false, '1')),
            '        }', '    }', '    if (!at->running) {', '        return;', '    }'];
        foreach ($sequence->moments as $number => $moment) {
            $due = $moment->afterMs === 0 ? '' : " && node_since(me, at->since) >= {$moment->afterMs}UL";
            $lines = [...$lines, "    if (at->next == {$number}{$due}) { ".self::note($moment->name), ...($moment->afterMs === 0 ? [] : ["        at->since = (uint32_t)(at->since + {$moment->afterMs}UL);"]), '        at->next++;', ...array_map(static fn (string $line): string => '    '.$line, $this->doing($moment->does, '0', false, '1')), '    }'];
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

        return [self::note($output->name), "static void node_group_{$index}(struct node_state *me)", '{', "    int16_t value = me->outputs[{$group->output}].value;", "    uint8_t worked = value != {$output->off};", "    if (value != me->groups[{$index}]) {", "        me->groups[{$index}] = value;", ...array_map(static fn (string $line): string => '    '.$line, $this->doing($group->does, 'value', false)), '    }', '    (void)worked;', '}', ''];
    }

    /** @return list<string> */
    private function obey(): array
    {
        if ($this->tables->heard === []) {
            return [];
        }
        $lines = [];
        foreach ($this->tables->heard as $heard) {
            $from = $heard->from === 0 ? '' : " && heard->node == {$heard->from}";
            $lines[] = "    if (heard->link == {$heard->link}{$from} && heard->code == {$heard->code}) { ".self::note($heard->says);
            foreach ($heard->drives as $drive) {
                $lines[] = '        '.$this->put($drive, 'heard->value', $drive->action->holds() ? 'heard->value != 0' : '1');
                if (CFeatures::feeds($this->tables, $drive)) {
                    $output = $this->tables->outputs[$drive->output];
                    $fed = $drive->action->holds() ? "(me->outputs[{$drive->output}].holders & {$output->far}UL) != 0" : "me->outputs[{$drive->output}].value != {$output->off}";
                    $lines[] = "        node_feed(me, {$drive->output}, {$fed});";
                }
            }
            foreach ($heard->passes as $pass) {
                $lines[] = "        node_tell(me, {$pass->link}, {$pass->to}, {$pass->code}, heard->value); ".self::note('on over '.$this->whom($pass->link, $pass->to));
            }
            $lines[] = '    }';
        }
        $feed = ! $this->has->feeds ? [] : ['/* What is held from afar must be heard of again and again. */', 'static void node_feed(struct node_state *me, uint8_t output, uint8_t fed)', '{', '    me->outputs[output].fed = fed;', '    if (fed) {', '        me->outputs[output].fed_at = me->now_ms;', '    }', '}', ''];

        return [...$feed, 'static void node_obey(struct node_state *me, const struct node_message *heard)', '{', ...($this->obeysAnything() ? [] : ['    (void)me;']), ...$lines, '}', ''];
    }

    private function obeysAnything(): bool
    {
        return array_filter($this->tables->heard, static fn (Heard $heard): bool => $heard->drives !== [] || $heard->passes !== []) !== [];
    }

    /** @return list<string> */
    private function start(): array
    {
        $lines = ['/* Before the first step; the outputs are off then, so put their pins to that before you make them outputs. */', 'static inline void node_start(struct node_state *me, uint32_t now_ms)', '{', '    me->now_ms = now_ms;', '    me->told = 0;', ...($this->has->timesOfDay ? ['    me->minute = -1;'] : [])];
        foreach ($this->tables->contacts as $index => $contact) {
            $level = $contact->kind === ContactKind::Notice ? '0' : 'NODE_UNKNOWN';
            $lines = [...$lines, "    me->contacts[{$index}].level = {$level};", "    me->contacts[{$index}].seen = {$level};", "    me->contacts[{$index}].since = now_ms;", ...($this->has->repeats ? ["    me->contacts[{$index}].held = 0;", "    me->contacts[{$index}].told = now_ms;"] : [])];
        }
        foreach ($this->tables->gauges as $index => $gauge) {
            $lines = [...$lines, "    me->gauge_{$index}_state = 2;", ...(CFeatures::saysValue($gauge) ? ["    me->gauge_{$index}_has = 0;", "    me->gauge_{$index}_told = now_ms;"] : [])];
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
        foreach ($this->tables->outputs as $index => $output) {
            $lines = [...$lines, "    me->outputs[{$index}].value = {$output->off};", "    me->outputs[{$index}].holders = 0;", "    me->outputs[{$index}].barred = 0;", ...($this->has->pulses ? ["    me->outputs[{$index}].pulsing = 0;", "    me->outputs[{$index}].pulse_at = now_ms;", "    me->outputs[{$index}].pulse_ms = 0;"] : []), ...($this->has->feeds ? ["    me->outputs[{$index}].fed = 0;", "    me->outputs[{$index}].fed_at = now_ms;"] : [])];
        }

        return [...$lines, '}', ''];
    }

    /** @return list<string> */
    private function step(): array
    {
        $has = $this->has;
        $body = [];
        foreach ($this->tables->outputs as $index => $output) {
            if ($has->pulses) {
                $body = [...$body, "    if (me->outputs[{$index}].pulsing && node_since(me, me->outputs[{$index}].pulse_at) >= me->outputs[{$index}].pulse_ms) {", "        me->outputs[{$index}].pulsing = 0;", "        node_ask(me, {$index}, NODE_PULSE, 0, 0, 0, 0);", '    }'];
            }
            if ($has->feeds && $output->silenceMs > 0) {
                $body = [...$body, "    if (me->outputs[{$index}].fed && node_since(me, me->outputs[{$index}].fed_at) >= {$output->silenceMs}UL) {", "        me->outputs[{$index}].fed = 0;", "        me->outputs[{$index}].holders &= (node_masters)~{$output->far}UL;", "        node_ask(me, {$index}, NODE_OFF, 0, 0, 0, 1);", '    }'];
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
        if ($has->timesOfDay) {
            $body = [...$body, '    if (minute_of_day >= 0) {', '        me->minute = minute_of_day;', '    }'];
        }
        foreach (array_keys($this->tables->outputs) as $index) {
            $body[] = "    out->{$this->outputNames[$index]} = me->outputs[{$index}].value;";
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

    /** @return list<string> */
    private function feel(int $index, Contact $contact): array
    {
        if (! CFeatures::anything($contact->does)) {
            return [];
        }
        $switch = $contact->kind === ContactKind::Switch;
        $repeats = $contact->repeatMs > 0;
        $tells = array_filter($contact->does->tells, static fn (Tell $tell): bool => $tell->action->holds());
        $counts = $switch ? 'event != NODE_SAME' : 'event == NODE_WORKED || event == NODE_LET_GO';
        $lines = [
            "    event = node_feel(me, {$index}, in->{$this->contactNames[$index]} != 0, {$contact->debounceMs});",
            "    if ({$counts}) {",
            ...($this->has->repeats ? ["        me->contacts[{$index}].held = event != NODE_LET_GO;", "        me->contacts[{$index}].told = now_ms;"] : []),
            "        node_contact_{$index}(me, event != NODE_LET_GO".($switch ? ', event == NODE_FOUND_WORKED' : '').');',
            '    }',
        ];
        if ($repeats && $tells !== []) {
            $lines = [...$lines, "    if (me->contacts[{$index}].held && node_since(me, me->contacts[{$index}].told) >= {$contact->repeatMs}UL) {", "        me->contacts[{$index}].told = now_ms;"];
            foreach ($tells as $tell) {
                $lines[] = "        node_tell(me, {$tell->link}, {$tell->to}, {$tell->code}, 1); ".self::note($this->whom($tell->link, $tell->to));
            }
            $lines[] = '    }';
        }

        return $lines;
    }

    /** @return list<string> */
    private function gauge(int $index, Gauge $gauge): array
    {
        $in = "in->{$this->gaugeNames[$index]}";
        $reading = "node_sane({$in})";
        $lines = [];
        if ($gauge->hasThreshold && CFeatures::anything(CFeatures::turned($gauge->does))) {
            $state = "me->gauge_{$index}_state";
            $over = $gauge->above ? "{$reading} - ({$gauge->threshold}L)" : "({$gauge->threshold}L) - {$reading}";
            $failed = match ($gauge->onFailure) {
                OnFailure::Keep => $state,
                OnFailure::Off => '0',
                OnFailure::On => '1',
            };
            $lines = ["    state = {$in} == NODE_FAILED ? {$failed} : node_beyond({$state}, {$over}, {$gauge->hysteresis}L);", "    if (state != {$state}) {", "        {$state} = state;", "        node_gauge_{$index}(me, state == 1, {$in} == NODE_FAILED ? 0 : node_rounded({$reading}));", '    }'];
        }
        if (CFeatures::saysValue($gauge)) {
            $lines = [...$lines, "    if ({$in} != NODE_FAILED && (!me->gauge_{$index}_has || node_since(me, me->gauge_{$index}_told) >= {$gauge->intervalMs}UL)) {", "        me->gauge_{$index}_has = 1;", "        me->gauge_{$index}_told = now_ms;", "        node_gauge_{$index}_says(me, node_rounded({$reading}));", '    }'];
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

    private static function note(string $text): string
    {
        return '/* '.CNames::comment($text).' */';
    }
}
