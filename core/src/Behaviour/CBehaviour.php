<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Text\CNames;
use Rundfunk\Text\UniqueNames;

/**
 * A node's behaviour as a C99 header: the tables written out as a program, so that they stand in flash and not in memory. Static
 * functions, no allocation, no floating point, nothing included but the node's own header and stdint.h.
 */
final readonly class CBehaviour
{
    private function __construct(private NodeTables $tables, private CFeatures $has, private CFieldNames $names)
    {
    }

    /**
     * @param  string  $header  the file name of the node's own header, as {@see \Rundfunk\Text\FileName} makes it
     * @param  list<string>  $preface  lines of its first comment: what it is of, what it takes
     * @param  list<string>  $messages  C that turns what comes and goes into messages and back, see {@see WritesMessages}
     */
    public static function write(NodeTables $tables, string $header, array $preface, array $messages = []): string
    {
        $has = CFeatures::of($tables);
        $names = CFieldNames::of($tables);
        $made = new self($tables, $has, $names);
        $sources = new CSources($tables, $has, $names);
        $round = new CRound($tables, $has, $names);
        $guard = 'RUNDFUNK_'.CNames::upper($tables->node).'_BEHAVIOUR_H';

        return implode("\n", [
            '/*', ...array_map(static fn (string $line): string => rtrim(' * '.CNames::comment($line)), $preface), ' */',
            "#ifndef {$guard}", "#define {$guard}", '', '#include <stdint.h>', "#include \"{$header}\"", '',
            ...$made->interface(),
            ...$messages,
            ...(new CState($tables, $has))->lines(),
            ...$made->engine(),
            ...$sources->sources(),
            ...$sources->obey(),
            ...$round->start(),
            ...$round->step(),
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
            $inputs[] = "    uint8_t {$this->names->contacts[$index]}; ".CNote::of($contact->name.', '.match ($contact->kind) {
                ContactKind::Notice => '1 for a step when it happens',
                ContactKind::Switch => '1 while it is on',
                ContactKind::Key => '1 while it is pressed',
            });
        }
        foreach ($this->tables->gauges as $index => $gauge) {
            $inputs[] = "    int32_t {$this->names->gauges[$index]}; ".CNote::of("{$gauge->name}, ".($gauge->scale === null ? 'thousandths of its unit' : 'as the converter reads it').'; NODE_FAILED when it cannot be read');
        }
        foreach ($this->tables->sticks as $index => $stick) {
            $inputs[] = "    int32_t {$this->names->sticks[$index]}; ".CNote::of("{$stick->name}, as it is read");
        }
        $outputs = [];
        foreach ($this->tables->outputs as $index => $output) {
            $outputs[] = "    int16_t {$this->names->outputs[$index]}; ".CNote::of($output->name.($output->lowest === 0 && $output->highest === 1 ? ', 1 for on' : ", {$output->lowest} to {$output->highest}"));
            if ($output->unheardMs > 0) {
                $outputs[] = "    uint8_t {$this->names->known[$index]}; ".CNote::of('1 while what it shows is known');
            }
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
            [$has->puts, $this->unfed($has->pulses ? CEngine::PUT_OVER_PULSES : CEngine::PUT, '!node_holds(action)')],
            [$has->pulses, $this->off()],
            [$has->pulses, $this->unfed(CEngine::PULSE, '1')],
            [$has->tells, CEngine::TELL],
            [$has->feels, CEngine::FEEL],
            [$has->reads, CEngine::SANE],
            [$has->scales, CEngine::SCALED],
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
            $cases["{$precedence}, {$output->lowest}, {$output->highest}, {$output->off}, {$output->on}"][] = "    case {$index}: ".CNote::of($output->name.': '.$output->precedence->words());
        }
        $lines = ['static void node_ask(struct node_state *me, uint8_t output, uint8_t action, node_masters master, uint8_t by_hand, int16_t value, uint8_t worked)', '{', '    struct node_output *at = &me->outputs[output];', '    switch (output) {'];
        foreach ($cases as $figures => $these) {
            $lines = [...$lines, ...$these, "        node_hear(at, {$figures}, action, master, by_hand, value, worked);", '        break;'];
        }
        $barred = $this->barred();
        if ($barred !== []) {
            array_splice($lines, 3, 0, ['    struct node_output before = *at;']);
            $lines = [...$lines, '    default:', '        break;', '    }', '    /* Never on together: whoever comes second is refused, as if nobody had asked. */', '    switch (output) {', ...$barred];
        }

        return implode("\n", [...$lines, '    default:', '        break;', '    }', '}']);
    }

    /** What is asked here is not what another node put on. */
    private function unfed(string $part, string $when): string
    {
        $on = array_keys(array_filter($this->tables->outputs, static fn (Driven $output): bool => $output->comesOn === true));
        $other = implode(' && ', array_map(static fn (int $output): string => "output != {$output}", $on));
        $when = match (true) {
            $on === [] => $when,
            $when === '1' => $other,
            default => "{$when} && {$other}",
        };
        $clear = $when === '1' ? "me->outputs[output].fed = 0;\n        node_ask(" : "if ({$when}) {\n            me->outputs[output].fed = 0;\n        }\n        node_ask(";

        return $this->has->feeds ? str_replace('node_ask(', $clear, $part) : $part;
    }

    /** @return list<string> */
    private function barred(): array
    {
        $lines = [];
        foreach ($this->tables->outputs as $index => $output) {
            $others = array_map(fn (int $other): string => "me->outputs[{$other}].value != {$this->tables->outputs[$other]->off}", $output->never);
            if ($others !== []) {
                $lines = [...$lines, "    case {$index}:", "        if (at->value != {$output->off} && before.value == {$output->off} && (".implode(' || ', $others).')) {', '            *at = before;', '        }', '        break;'];
            }
        }

        return $lines;
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
}
