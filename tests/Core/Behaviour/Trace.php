<?php

declare(strict_types=1);

namespace Tests\Core\Behaviour;

use Rundfunk\Behaviour\Gauge;
use Rundfunk\Behaviour\Heard;
use Rundfunk\Behaviour\Inputs;
use Rundfunk\Behaviour\Machine;
use Rundfunk\Behaviour\Message;
use Rundfunk\Behaviour\NodeTables;
use Rundfunk\Behaviour\Stick;

/**
 * What happens to a node, drawn from a seed by a generator so small that a board draws the same (Marsaglia's xorshift of 32
 * bits, 13 17 5), and a sum (FNV-1a) of all that the node does about it.
 */
final class Trace
{
    private const WORD = 0xFFFF_FFFF;

    private int $drawn;

    private int $sum = 2_166_136_261;

    private function __construct(int $seed)
    {
        $this->drawn = $seed;
    }

    /** @return list<string> the sum after each of its steps, in hexadecimal */
    public static function run(NodeTables $tables, int $seed, int $steps): array
    {
        return (new self($seed))->steps($tables, $steps);
    }

    /** The same in C, for a header that calls its node's functions by their names. */
    public static function inC(NodeTables $tables, int $steps): string
    {
        $list = static fn (array $items): string => implode(', ', $items === [] ? [0] : $items);
        $known = array_map(static fn (Heard $heard): string => "{ {$heard->link}, ".($heard->from ?: 1).", {$heard->code}, 0 }", $tables->heard);
        $inputs = '';
        foreach (array_keys($tables->contacts) as $index) {
            $inputs .= "        if ((draw() & 3) == 0) in.key_{$index} = !in.key_{$index};\n";
        }
        foreach ($tables->gauges as $index => $gauge) {
            $inputs .= "        r = draw(); in.reading_{$index} = (r & 31) == 0 ? NODE_FAILED : {$gauge->threshold}L + (int32_t)((r >> 8) % 8001) - 4000;\n";
        }
        foreach ($tables->sticks as $index => $stick) {
            [$least, $way] = self::way($stick);
            $inputs .= "        r = draw(); if (r & 1) in.stick_{$index} = {$least}L + (int32_t)((r >> 8) % {$way}UL);\n";
        }
        $results = '';
        foreach ($tables->outputs as $index => $output) {
            $results .= "        add((uint16_t)out.output_{$index});\n".($output->unheardMs > 0 ? "        add(out.output_{$index}_known);\n" : '');
        }
        $counts = ['CONTACTS' => count($tables->contacts), 'KNOWN' => count($known), 'STEPS' => $steps];
        $defines = '';
        foreach ($counts as $name => $count) {
            $defines .= "#define {$name} {$count}\n";
        }
        $starts = implode('', array_map(static fn (int $index, Stick $stick): string => " in.stick_{$index} = {$stick->axis->centre};", array_keys($tables->sticks), $tables->sticks))
            .implode('', array_map(static fn (int $index): string => " in.key_{$index} = 0;", array_keys($tables->contacts)));

        return $defines.strtr(self::C, ['@known' => $list($known === [] ? ['{ 0, 0, 0, 0 }'] : $known), '@starts' => $starts, '@inputs' => $inputs, '@results' => $results]);
    }

    /** @return list<string> */
    private function steps(NodeTables $tables, int $steps): array
    {
        $machine = new Machine($tables);
        $now = $this->draw();
        $state = $machine->start($now);
        $minute = -1;
        $contacts = array_fill(0, count($tables->contacts), 0);
        $sticks = array_map(static fn (Stick $stick): int => $stick->axis->centre, $tables->sticks);
        $sums = [];
        for ($step = 0; $step < $steps; $step++) {
            $drawn = $this->draw();
            $now = ($now + (($drawn & 15) === 0 ? $drawn >> 8 & 0xFFFF : $drawn >> 8 & 63)) & self::WORD;
            $drawn = $this->draw();
            if (($drawn & 15) === 0) {
                $minute = ($drawn >> 8) % 1_441 - 1;
            } elseif (($drawn & 1) === 1 && $minute >= 0) {
                $minute = ($minute + 1) % 1_440;
            }
            foreach (array_keys($contacts) as $index) {
                $contacts[$index] = ($this->draw() & 3) === 0 ? 1 - $contacts[$index] : $contacts[$index];
            }
            $gauges = [];
            foreach ($tables->gauges as $gauge) {
                $drawn = $this->draw();
                $gauges[] = ($drawn & 31) === 0 ? Gauge::FAILED : $gauge->threshold + ($drawn >> 8) % 8_001 - 4_000;
            }
            foreach ($tables->sticks as $index => $stick) {
                $drawn = $this->draw();
                [$least, $way] = self::way($stick);
                $sticks[$index] = ($drawn & 1) === 1 ? $least + ($drawn >> 8) % $way : $sticks[$index];
            }
            $outcome = $machine->step($state, $now, $minute, new Inputs($contacts, $gauges, $sticks), $this->messages($tables));
            $state = $outcome->state;
            foreach ($outcome->outputs as $index => $value) {
                $this->add($value);
                if ($tables->outputs[$index]->unheardMs > 0) {
                    $this->add($outcome->known[$index] ? 1 : 0);
                }
            }
            foreach ($outcome->messages as $message) {
                $this->add($message->link << 8 | $message->node);
                $this->add($message->code);
                $this->add($message->value);
            }
            $sums[] = sprintf('%08x', $this->sum);
        }

        return $sums;
    }

    /** @return list<Message> */
    private function messages(NodeTables $tables): array
    {
        $messages = [];
        for ($count = $this->draw() % 3; $count > 0; $count--) {
            $drawn = $this->draw();
            $value = $this->draw();
            $value = ($value & 3) === 0 ? ($value >> 8 & 0xFFFF) - 32_768 : ($value >> 8) % 3 - 1;
            $known = $tables->heard === [] || ($drawn & 7) === 0 ? null : $tables->heard[($drawn >> 8) % count($tables->heard)];
            $messages[] = $known === null ? new Message($drawn >> 8 & 1, $drawn >> 9 & 3, ($drawn >> 14 & 1) === 1 ? Message::GONE : $drawn >> 11 & 7, $value) : new Message($known->link, $known->from ?: 1, $known->code, $value);
        }

        return $messages;
    }

    /** @return array{int, int} from where a stick's raw value is drawn, a little beyond its ends, and how far */
    private static function way(Stick $stick): array
    {
        $least = min($stick->axis->lowest, $stick->axis->highest) - 20;

        return [$least, max($stick->axis->lowest, $stick->axis->highest) + 20 - $least];
    }

    private function draw(): int
    {
        $this->drawn ^= $this->drawn << 13 & self::WORD;
        $this->drawn ^= $this->drawn >> 17;
        $this->drawn ^= $this->drawn << 5 & self::WORD;

        return $this->drawn;
    }

    private function add(int $word): void
    {
        foreach ([$word & 0xFF, $word >> 8 & 0xFF] as $byte) {
            $this->sum = ($this->sum ^ $byte) * 16_777_619 & self::WORD;
        }
    }

    private const C = <<<'C'
        static uint32_t drawn, sum;
        static const struct node_message known[] = { @known };
        static uint32_t draw(void) { drawn ^= drawn << 13; drawn ^= drawn >> 17; drawn ^= drawn << 5; return drawn; }
        static void add(uint16_t word) { sum = (sum ^ (word & 0xFF)) * 16777619UL; sum = (sum ^ (word >> 8)) * 16777619UL; }
        static void trace(uint32_t seed, void (*told_sum)(uint32_t))
        {
            static struct node_state me; static struct node_inputs in; static struct node_outputs out; static struct node_told told;
            struct node_message heard[2];
            uint32_t now, r, v; int16_t minute = -1; uint16_t step, n; uint8_t count, i;
            drawn = seed; sum = 2166136261UL; now = draw();@starts
            node_start(&me, now);
            for (step = 0; step < STEPS; step++) {
                r = draw(); now += (r & 15) == 0 ? (r >> 8) & 0xFFFF : (r >> 8) & 63;
                r = draw(); if ((r & 15) == 0) minute = (int16_t)((r >> 8) % 1441) - 1; else if ((r & 1) && minute >= 0) minute = (minute + 1) % 1440;
        @inputs        count = (uint8_t)(draw() % 3);
                for (i = 0; i < count; i++) {
                    r = draw(); v = draw();
                    if (KNOWN == 0 || (r & 7) == 0) { heard[i].link = (r >> 8) & 1; heard[i].node = (r >> 9) & 3; heard[i].code = (r >> 14) & 1 ? 65535U : (r >> 11) & 7; }
                    else heard[i] = known[(r >> 8) % (KNOWN ? KNOWN : 1)];
                    heard[i].value = (int16_t)((v & 3) == 0 ? (int32_t)((v >> 8) & 0xFFFF) - 32768 : (int32_t)((v >> 8) % 3) - 1);
                }
                node_step(&me, now, minute, &in, heard, count, &out, &told);
        @results        for (n = 0; n < told.count; n++) { add((uint16_t)(told.message[n].link << 8 | told.message[n].node)); add(told.message[n].code); add((uint16_t)told.message[n].value); }
                if (told_sum) told_sum(sum);
            }
        }
        C;
}
