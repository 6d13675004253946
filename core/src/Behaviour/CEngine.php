<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

/**
 * The parts of a behaviour header that are the same for every node: what {@see Machine} and the arbiter do, in C99. A node gets those
 * that its tables ask for, so that a board pays for no more.
 */
final readonly class CEngine
{
    public const NUMBERS = <<<'C'
        enum { NODE_TOGGLE, NODE_ON, NODE_OFF, NODE_PULSE, NODE_FOLLOW, NODE_MOMENTARY, NODE_SET, NODE_STEP };
        enum { NODE_LAST_WRITER, NODE_HOLDER_FIRST, NODE_OFF_FIRST };
        C;

    public const SINCE = <<<'C'
        /* Milliseconds run round after 49.7 days: only differences count. */
        static uint32_t node_since(const struct node_state *me, uint32_t then)
        {
            return (uint32_t)(me->now_ms - then);
        }
        C;

    public const HOLDS = <<<'C'
        static uint8_t node_holds(uint8_t action)
        {
            return action == NODE_FOLLOW || action == NODE_MOMENTARY;
        }
        C;

    public const HEAR = <<<'C'
        /* Who wins when several ask. A master that holds has a bit of its own; nothing changes where nothing is asked. */
        static void node_hear(struct node_output *at, uint8_t precedence, int16_t lowest, int16_t highest, int16_t off, int16_t on,
            uint8_t action, node_masters master, uint8_t by_hand, int16_t value, uint8_t worked)
        {
            node_masters holders = at->holders;
            int32_t wanted = on;
            if (node_holds(action)) {
                holders = (node_masters)(worked ? holders | master : holders & (node_masters)~master);
            }
            if (!worked) {
                if (!node_holds(action) && action != NODE_PULSE) {
                    return;
                }
                wanted = off;
            } else if (action == NODE_OFF || (action == NODE_TOGGLE && at->value != off)) {
                wanted = off;
            } else if (action == NODE_SET || action == NODE_STEP) {
                wanted = action == NODE_SET ? value : (int32_t)at->value + value;
                wanted = wanted < lowest ? lowest : wanted > highest ? highest : wanted;
            }
            at->holders = holders;
            if (precedence == NODE_HOLDER_FIRST && holders) {
                if (wanted != off) {
                    at->value = (int16_t)wanted;
                } else if (at->value == off) {
                    at->value = on;
                }
                return;
            }
            if (precedence == NODE_OFF_FIRST && wanted == off) {
                at->value = off;
                if (by_hand && (worked || action == NODE_FOLLOW)) {
                    at->barred = 1;
                }
                return;
            }
            if (precedence == NODE_OFF_FIRST && at->barred && !(by_hand && action != NODE_TOGGLE && action != NODE_STEP)) {
                at->value = off;
                return;
            }
            at->value = (int16_t)wanted;
            at->barred = 0;
        }
        C;

    public const PUT = <<<'C'
        static void node_put(struct node_state *me, uint8_t output, uint8_t action, node_masters master, uint8_t by_hand, int16_t value, uint8_t worked)
        {
            if (worked || node_holds(action)) {
                node_ask(me, output, action, master, by_hand, value, worked);
            }
        }
        C;

    public const PUT_OVER_PULSES = <<<'C'
        static void node_put(struct node_state *me, uint8_t output, uint8_t action, node_masters master, uint8_t by_hand, int16_t value, uint8_t worked)
        {
            if (worked || node_holds(action)) {
                node_ask(me, output, action, master, by_hand, value, worked);
                /* Whatever else is asked takes over from a pulse. */
                me->outputs[output].pulsing = 0;
            }
        }
        C;

    public const PULSE = <<<'C'
        static void node_pulse(struct node_state *me, uint8_t output, uint8_t by_hand, uint32_t ms, uint8_t worked)
        {
            struct node_output *at = &me->outputs[output];
            if (worked) {
                node_ask(me, output, NODE_PULSE, 0, by_hand, 0, 1);
                at->pulsing = at->value != node_off(output);
                if (at->pulsing) {
                    at->pulse_at = me->now_ms;
                    at->pulse_ms = ms;
                }
            }
        }
        C;

    public const TELL = <<<'C'
        static void node_tell(struct node_state *me, uint8_t link, uint8_t to, uint16_t code, int16_t value)
        {
            struct node_told *told = me->told;
            if (told->count < NODE_TOLD_MOST) {
                told->message[told->count].link = link;
                told->message[told->count].node = to;
                told->message[told->count].code = code;
                told->message[told->count].value = value;
                told->count++;
            }
        }
        C;

    public const FEEL = <<<'C'
        enum { NODE_SAME, NODE_WORKED, NODE_LET_GO, NODE_FOUND_WORKED };

        /* A contact counts once it has been steady for so long. */
        static uint8_t node_feel(struct node_state *me, uint8_t contact, uint8_t raw, uint16_t steady_ms)
        {
            struct node_contact *at = &me->contacts[contact];
            uint8_t before = at->level;
            if (raw != at->seen) {
                at->seen = raw;
                at->since = me->now_ms;
            }
            if (raw == before || node_since(me, at->since) < steady_ms) {
                return NODE_SAME;
            }
            at->level = raw;
            if (before == NODE_UNKNOWN) {
                return raw ? NODE_FOUND_WORKED : NODE_SAME;
            }
            return raw ? NODE_WORKED : NODE_LET_GO;
        }
        C;

    public const BEYOND = <<<'C'
        /* How a reading stands to its threshold, in thousandths. */
        static uint8_t node_beyond(uint8_t before, int32_t over, int32_t hysteresis)
        {
            return over > 0 || (before == 1 && over > -hysteresis);
        }
        C;

    public const SANE = <<<'C'
        /* What no sensor reads is no reading to reckon with. */
        static int32_t node_sane(int32_t thousandths)
        {
            return thousandths > 1000000000L ? 1000000000L : thousandths < -1000000000L ? -1000000000L : thousandths;
        }
        C;

    public const SCALED = <<<'C'
        /* From what is read to thousandths of the unit, on a straight line through two points. */
        static int32_t node_scaled(int32_t raw, int32_t raw_from, int32_t unit_from, int32_t raw_to, int32_t unit_to)
        {
            int64_t milli;
            if (raw == NODE_FAILED) {
                return raw;
            }
            milli = unit_from + ((int64_t)raw - raw_from) * (unit_to - unit_from) / (raw_to - raw_from);
            return milli > 1000000000L ? 1000000000L : milli < -1000000000L ? -1000000000L : (int32_t)milli;
        }
        C;

    public const ROUNDED = <<<'C'
        static int16_t node_rounded(int32_t thousandths)
        {
            int32_t value = (thousandths + (thousandths < 0 ? -500 : 500)) / 1000;
            return (int16_t)(value < -32768 ? -32768 : value > 32767 ? 32767 : value);
        }
        C;

    public const POSITION = <<<'C'
        /* -1024 to 1024 from what the converter reads: centred, with a dead band, softened about the middle. */
        static int16_t node_position(int32_t raw, int32_t lowest, int32_t centre, int32_t highest, int16_t dead_band, int16_t expo)
        {
            int32_t least = lowest < highest ? lowest : highest;
            int32_t most = lowest < highest ? highest : lowest;
            int32_t x;
            raw = raw < least ? least : raw > most ? most : raw;
            x = (raw - centre) * 1024 / ((raw > centre) == (highest > centre) ? highest - centre : centre - lowest);
            x = x < -1024 ? -1024 : x > 1024 ? 1024 : x;
            if (x < 0) {
                x = -x > dead_band ? -((-x - dead_band) * 1024 / (1024 - dead_band)) : 0;
            } else {
                x = x > dead_band ? (x - dead_band) * 1024 / (1024 - dead_band) : 0;
            }
            return (int16_t)(((1024 - expo) * x + expo * (x * x * x / 1048576)) / 1024);
        }
        C;

    public const TRAVEL = <<<'C'
        /* One target's value from that: reversed, trimmed, so much of its way. */
        static int16_t node_travel(int16_t position, int16_t lowest, int16_t highest, uint8_t reverse, int16_t trim, int16_t end_low, int16_t end_high)
        {
            int32_t y = (int32_t)(reverse ? -position : position) + trim;
            y = y < -1024 ? -1024 : y > 1024 ? 1024 : y;
            y = y * (y < 0 ? end_low : end_high) / 1024;
            if (lowest < 0 && highest > 0) {
                return (int16_t)(y * (y < 0 ? -(int32_t)lowest : highest) / 1024);
            }
            return (int16_t)(lowest + (y + 1024) * ((int32_t)highest - lowest) / 2048);
        }
        C;

    public const MIXED = <<<'C'
        /* Driving and steering to one side of a vehicle: made smaller where a side would be more than full. */
        static int16_t node_mixed(int16_t position, int16_t other)
        {
            int32_t most = (int32_t)(position < 0 ? -position : position) + (other < 0 ? -other : other);
            return (int16_t)((int32_t)(position + other) * 1024 / (most < 1024 ? 1024 : most));
        }
        C;

    public const ZONE = <<<'C'
        /* A stick pushed half way asks for one step; it must come back before the next. */
        static int8_t node_zone(int8_t before, int16_t position)
        {
            if (position >= 512 || (before == 1 && position >= 384)) {
                return 1;
            }
            return position <= -512 || (before == -1 && position <= -384) ? -1 : 0;
        }
        C;

    public const STRUCK = <<<'C'
        /* Whether a minute of the day has come since the last look. A clock that jumps by more than an hour and a half was set anew. */
        static uint8_t node_struck(int16_t before, int16_t now, int16_t at)
        {
            int16_t passed = (int16_t)((now - before + 1440) % 1440);
            int16_t until = (int16_t)((at - before + 1440) % 1440);
            return until >= 1 && until <= passed && passed <= 90;
        }
        C;
}
