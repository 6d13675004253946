<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Whole;

use Rundfunk\Plan\Endpoint;
use Rundfunk\Text\CNames;

/** {@see Saying} and {@see Hearing} in C99, for one end of a link. What is around the state in a frame, its medium writes. */
final readonly class CWholeState
{
    private const HELPERS = <<<'C'
        #ifndef NODE_WHOLE_STATE
        #define NODE_WHOLE_STATE
        /* How often something was worked since the frame before: presses are counted up to 3, then from 0. */
        static inline uint8_t node_worked(uint8_t said, uint8_t now, uint8_t was, uint8_t known)
        {
            uint8_t missed = known ? (uint8_t)(now - was) & 3U : 0;
            return said && missed == 0 ? (known ? 4 : 1) : missed;
        }

        static inline void node_hears(struct node_message *heard, uint8_t *count, uint8_t times, uint8_t link, uint8_t node, uint16_t code, int16_t value)
        {
            while (times--) {
                heard[*count].link = link;
                heard[*count].node = node;
                heard[*count].code = code;
                heard[*count].value = value;
                (*count)++;
            }
        }
        #endif

        C;

    private string $lower;

    /**
     * @param  int  $link  the node's number of the link
     * @param  string  $prefix  of the end's names in the node's header, in capitals
     */
    public function __construct(private int $link, private string $prefix)
    {
        $this->lower = strtolower($prefix);
    }

    /** What the state of a sender that an end hears is called. */
    public static function nameOf(WholeState $state): string
    {
        return "state_of_{$state->number}";
    }

    /**
     * What keeps how this end stands, and takes what it tells.
     *
     * @return list<string>
     */
    public function saying(WholeState $own): array
    {
        $begin = $put = [];
        foreach ($own->slots as $slot) {
            $begin[] = "    saying->state.{$slot->saidName()} = 0;";
            $begin[] = "    saying->state.{$slot->name} = ".($slot->kind === SlotKind::Valued ? $slot->unsaid() : 0).';';
            $put[] = "    if (told->node == {$slot->to} && told->code == {$slot->code}) { /* ".CNames::comment($slot->says).' */';
            $put[] = "        saying->state.{$slot->saidName()} = 1;";
            array_push($put, ...array_map(static fn (string $line): string => "        {$line}", self::taking($slot)));
            $put[] = '    }';
        }
        $numbers = implode(', ', $own->receivers());

        return [
            "struct {$this->lower}_saying {", "    struct {$this->lower}_state state;", '    uint8_t sequence;', '};', '',
            '/* Once, before anything is told. */',
            "static inline void {$this->lower}_begin(struct {$this->lower}_saying *saying)", '{', '    saying->sequence = 0;', ...$begin, '}', '',
            "/* Takes what is told. When all of told.message is taken, ask node_to_{$this->lower} for a frame to each of {$numbers}. */",
            "static inline void node_put_{$this->lower}(struct {$this->lower}_saying *saying, const struct node_message *told)", '{', ...$put, '}', '',
        ];
    }

    /**
     * What a frame to a node says, and whether it says anything: into said and says.
     *
     * @return list<string>
     */
    public function choosing(WholeState $own): array
    {
        $lines = ["    struct {$this->lower}_state said = saying->state;", '    uint8_t says = anyway;'];
        foreach ($own->receivers() as $to) {
            $slots = array_values(array_filter($own->slots, static fn (StateSlot $slot): bool => $slot->to === $to));
            $lines[] = "    if (node == {$to}) {";
            foreach ($slots as $slot) {
                $lines[] = "        says |= said.{$slot->saidName()};";
                $lines[] = "        saying->state.{$slot->saidName()} = 0;";
            }
            $lines[] = '    } else {';
            foreach ($slots as $slot) {
                $lines[] = "        said.{$slot->saidName()} = 0;";
            }
            $lines[] = '    }';
        }

        return [...$lines, '    if (!says) {', '        return 0;', '    }'];
    }

    /**
     * What an end makes of each sender's state, one function a sender.
     *
     * @param  list<WholeState>  $senders  that it hears something of
     * @return list<string>
     */
    public function hearing(array $senders, Endpoint $receiver): array
    {
        $lines = explode("\n", self::HELPERS);
        foreach ($senders as $state) {
            $type = "{$this->lower}_".self::nameOf($state);
            $length = strtoupper($type).'_BYTES';
            $hears = [];
            foreach ($state->heardBy($receiver) as $slot) {
                $hears = [...$hears, '        /* '.CNames::comment($slot->says).' */', ...$this->heard($slot, $state->number)];
            }
            $lines = [...$lines,
                '/* Whether it can be read; past is 0 where nothing was heard since the sender began. */',
                "static inline uint8_t {$type}_hear(const uint8_t *bytes, const uint8_t *past, struct node_message *heard, uint8_t *count)", '{',
                "    struct {$type} now, was;", '    uint8_t said, known;',
                "    if (!{$type}_decode(&now, bytes, {$length})) {", '        return 0;', '    }',
                "    known = past != 0 && {$type}_decode(&was, past, {$length});", '    if (!known) {', '        was = now;', '    }',
                '    /* First what was missed, then what is said. */',
                '    for (said = 0; said < 2; said++) {', ...$hears, '    }', '    return 1;', '}', '',
            ];
        }

        return $lines;
    }

    /**
     * @param  list<WholeState>  $senders
     * @return int messages that one frame can come to at most
     */
    public static function mostMessages(array $senders, Endpoint $receiver): int
    {
        return max([1, ...array_map(static fn (WholeState $state): int => array_sum(array_map(static fn (StateSlot $slot): int => $slot->mostMessages(), $state->heardBy($receiver))), $senders)]);
    }

    /** @return list<string> */
    private static function taking(StateSlot $slot): array
    {
        $at = "saying->state.{$slot->name}";
        $value = match (true) {
            $slot->lowest === -32_767 && $slot->highest === 32_767 => 'told->value < -32767 ? -32767 : told->value',
            default => "(told->value < {$slot->lowest} ? {$slot->lowest} : told->value > {$slot->highest} ? {$slot->highest} : told->value)",
        };

        return [match ($slot->kind) {
            SlotKind::Held => "{$at} = told->value != 0;",
            SlotKind::Counted => "{$at} = ({$at} + 1) & 3;",
            SlotKind::Valued => "{$at} = ({$slot->size()->cType()})({$value});",
        }];
    }

    /** @return list<string> */
    private function heard(StateSlot $slot, int $sender): array
    {
        $said = "now.{$slot->saidName()}";
        if ($slot->kind === SlotKind::Counted) {
            $times = "node_worked(said, now.{$slot->name}, was.{$slot->name}, known)";

            return [
                "        if ({$said} == said) {",
                '            node_hears(heard, count, '.($slot->addsUp ? $times : "{$times} != 0").", {$this->link}, {$sender}, {$slot->code}, {$slot->value});",
                '        }',
            ];
        }
        $holds = $slot->kind === SlotKind::Valued ? " && now.{$slot->name} != {$slot->unsaid()}" : '';

        return [
            "        if ({$said} == said && (said || !known || now.{$slot->name} != was.{$slot->name}){$holds}) {",
            "            node_hears(heard, count, 1, {$this->link}, {$sender}, {$slot->code}, now.{$slot->name});",
            '        }',
        ];
    }
}
