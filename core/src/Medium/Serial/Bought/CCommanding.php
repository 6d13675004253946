<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Bought;

/** {@see Commanding} in C. */
final readonly class CCommanding
{
    public const STATE = <<<'C'
        /*
         * {name}: devices in their own words. For each byte that comes in, {l}_byte; again and again, {l}_step, and out with what it gives; for
         * each message of node_step that goes there, {l}_tell. What they read is {l}_value, in thousandths of its unit.{enable}
         */
        #define {L}_QUEUE_MOST 8
        struct {l}_order {
            int32_t wire;
            uint8_t device;
            uint8_t item;
        };

        struct {l}_under {
            int32_t wire;
            uint32_t since_ms;
            uint8_t item;
            uint8_t is;
        };

        struct {l}_line {
            struct {l}_order waiting[{L}_QUEUE_MOST];
            struct {l}_order current;
            struct {l}_under under[{L}_DEVICES];
            int32_t values[{L}_SLOTS];
            uint32_t asked_ms[{L}_SLOTS];
            uint32_t since_ms;
            uint32_t rest_ms;
            uint32_t wait_ms;
            uint8_t was_asked[{L}_SLOTS];
            uint8_t missed[{L}_DEVICES];
            uint8_t gone[{L}_DEVICES];
            uint8_t kept[{L}_KEPT_MOST];
            uint8_t have;
            uint8_t whole;
            uint8_t escaped;
            uint8_t waits;
            uint8_t has;
            uint8_t is_waiting;
            uint8_t asked;
            uint8_t tries;
        };

        C;

    public const DOES = <<<'C'
        static inline void {l}_start(struct {l}_line *line)
        {
            uint8_t at;
            {l}_clear(line);
            line->waits = line->has = line->is_waiting = line->asked = line->tries = 0;
            line->since_ms = line->rest_ms = line->wait_ms = 0;
            for (at = 0; at < {L}_DEVICES; at++) {
                line->missed[at] = line->gone[at] = line->under[at].is = 0;
            }
            for (at = 0; at < {L}_SLOTS; at++) {
                line->was_asked[at] = 0;
                line->values[at] = {l}_slot_done(at) ? 0 : {L}_UNKNOWN;
            }
        }

        /* What a reading says, in thousandths; of a function 1000 once it is done, 0 before; NODE_FAILED while nobody knows. */
        static inline int32_t {l}_value(const struct {l}_line *line, uint8_t slot)
        {
            return line->values[slot];
        }

        /* 0 when too much waits already. */
        static inline uint8_t {l}_tell(struct {l}_line *line, const struct node_message *told, uint32_t now_ms)
        {
            struct {l}_order *one = &line->waiting[line->waits];
            struct {l}_order order;
            const struct {l}_under *under;
            (void)now_ms;
            if (!{l}_meant(told, &order)) {
                return 1;
            }
            under = &line->under[order.device];
            if (under->is && under->item == order.item && under->wire == order.wire) {
                return 1;
            }
            if (line->waits >= {L}_QUEUE_MOST) {
                return 0;
            }
            *one = order;
            line->waits++;
            return 1;
        }

        static void {l}_rest(struct {l}_line *line, uint32_t now_ms, uint32_t rest_ms)
        {
            line->is_waiting = 0;
            line->since_ms = now_ms;
            line->rest_ms = rest_ms;
        }

        static void {l}_say(struct {l}_line *line, uint8_t device, uint8_t item, int32_t value)
        {
            uint8_t slot;
            for (slot = 0; slot < {L}_SLOTS; slot++) {
                if ({l}_slot_device(slot) == device && {l}_slot_item(slot) == item) {
                    line->values[slot] = value;
                }
            }
        }

        static void {l}_finish(struct {l}_line *line, uint8_t device, int32_t value)
        {
            if (line->under[device].is) {
                line->under[device].is = 0;
                {l}_say(line, device, line->under[device].item, value);
            }
        }

        static void {l}_begin(struct {l}_line *line, const struct {l}_order *what, uint32_t now_ms)
        {
            struct {l}_under *under = &line->under[what->device];
            under->is = {l}_takes_ms(what->item) > 0;
            if (under->is) {
                under->item = what->item;
                under->wire = what->wire;
                under->since_ms = now_ms;
                {l}_say(line, what->device, what->item, 0);
            }
        }

        static void {l}_learn(struct {l}_line *line, uint8_t device, uint8_t item, int32_t wire)
        {
            int32_t value = {l}_figure(item, wire);
            {l}_say(line, device, item, value);
            if (line->under[device].is && {l}_done_by(line->under[device].item) == item && value == {l}_done_is(line->under[device].item)) {
                {l}_finish(line, device, 1000);
            }
        }

        /* 1 when a message for node_step came. */
        static inline uint8_t {l}_byte(struct {l}_line *line, uint8_t byte, uint32_t now_ms, struct node_message *heard)
        {
            uint8_t at;
            int32_t wire = 0;
            (void)heard;
            {l}_push(line, byte);
            if (line->is_waiting && {l}_read(line, line->current.item, {l}_id(line->current.device), &wire)) {
                {l}_clear(line);
                line->missed[line->current.device] = 0;
                line->has = 0;
                {l}_rest(line, now_ms, {L}_REST_MS);
                if ({l}_is_function(line->current.item)) {
                    {l}_begin(line, &line->current, now_ms);
                } else {
                    {l}_learn(line, line->current.device, line->current.item, wire);
                }
                return 0;
            }
            for (at = 0; at < {L}_DEVICES; at++) {
                if (line->under[at].is && {l}_done_how(line->under[at].item) == 2 && {l}_read(line, line->under[at].item, {l}_id(at), &wire)) {
                    {l}_clear(line);
                    line->missed[at] = 0;
                    {l}_finish(line, at, 1000);
                    return 0;
                }
            }
            for (at = 0; at < {L}_SLOTS; at++) {
                if ({l}_is_said({l}_slot_item(at)) && {l}_read(line, {l}_slot_item(at), {l}_id({l}_slot_device(at)), &wire)) {
                    {l}_learn(line, {l}_slot_device(at), {l}_slot_item(at), wire);
                }
            }
        {notices}    return 0;
        }

        /* 1 when a device does not answer any more: a message that node_step understands, once each time that it stops. */
        static inline uint8_t {l}_gone(struct {l}_line *line, struct node_message *heard)
        {
            uint8_t at;
            for (at = 0; at < {L}_DEVICES; at++) {
                if (line->gone[at]) {
                    line->gone[at] = 0;
                    heard->link = {link};
                    heard->node = {l}_node(at);
                    heard->code = 65535U;
                    heard->value = 0;
                    return 1;
                }
            }
            return 0;
        }

        static void {l}_miss(struct {l}_line *line)
        {
            uint8_t device = line->current.device, at, kept = 0;
            if (line->missed[device] < 255) {
                line->missed[device]++;
            }
            line->tries++;
            /* A reading is asked for again when it is due; a command until it is clear that nobody is there. */
            if (line->tries >= {L}_MISSED_MOST || !{l}_is_function(line->current.item)) {
                line->has = 0;
            }
            if (line->missed[device] < {L}_MISSED_MOST) {
                return;
            }
            if (line->missed[device] == {L}_MISSED_MOST) {
                line->gone[device] = 1;
            }
            line->has = 0;
            line->under[device].is = 0;
            for (at = 0; at < line->waits; at++) {
                if (line->waiting[at].device != device) {
                    line->waiting[kept++] = line->waiting[at];
                }
            }
            line->waits = kept;
            for (at = 0; at < {L}_SLOTS; at++) {
                if ({l}_slot_device(at) == device) {
                    line->values[at] = {L}_UNKNOWN;
                }
            }
        }

        /* What takes time is done after it where that is how it is known; otherwise nobody knows after twice as long. */
        static void {l}_watch(struct {l}_line *line, uint32_t now_ms)
        {
            uint8_t at;
            for (at = 0; at < {L}_DEVICES; at++) {
                const struct {l}_under *under = &line->under[at];
                uint32_t passed = now_ms - under->since_ms;
                if (under->is && passed >= {l}_takes_ms(under->item) && {l}_done_how(under->item) == 0) {
                    {l}_finish(line, at, 1000);
                } else if (under->is && passed >= 2UL * {l}_takes_ms(under->item)) {
                    {l}_finish(line, at, {L}_UNKNOWN);
                }
            }
        }

        static uint8_t {l}_next(struct {l}_line *line, uint32_t now_ms)
        {
            uint8_t step, at;
            line->tries = 0;
            if (line->waits > 0) {
                line->current = line->waiting[0];
                for (line->waits--, at = 0; at < line->waits; at++) {
                    line->waiting[at] = line->waiting[at + 1];
                }
                return 1;
            }
            for (step = 1; step <= {L}_SLOTS; step++) {
                at = (uint8_t)((line->asked + step) % {L}_SLOTS);
                if ({l}_every_ms(at) > 0 && (!line->was_asked[at] || (uint32_t)(now_ms - line->asked_ms[at]) >= {l}_every_ms(at))) {
                    line->was_asked[at] = 1;
                    line->asked_ms[at] = now_ms;
                    line->asked = at;
                    line->current.device = {l}_slot_device(at);
                    line->current.item = {l}_slot_item(at);
                    line->current.wire = 0;
                    return 1;
                }
            }
            return 0;
        }

        /* How many bytes are to go out now. */
        static inline uint8_t {l}_step(struct {l}_line *line, uint32_t now_ms, uint8_t bytes[{L}_BYTES_MOST])
        {
            uint32_t passed = now_ms - line->since_ms, line_ms;
            uint8_t count;
            {l}_watch(line, now_ms);
            if (line->is_waiting) {
                if (passed < line->wait_ms) {
                    return 0;
                }
                {l}_miss(line);
                {l}_rest(line, now_ms, {L}_REST_MS);
                passed = 0;
            }
            if (passed < line->rest_ms) {
                return 0;
            }
            if (!line->has) {
                line->has = {l}_next(line, now_ms);
            }
            if (!line->has) {
                return 0;
            }
            count = {l}_write(bytes, line->current.item, {l}_id(line->current.device), line->current.wire);
            line_ms = {l}_line_ms(count);
            {l}_clear(line);
            if ({l}_is_answered(line->current.item)) {
                line->is_waiting = 1;
                line->since_ms = now_ms;
                line->wait_ms = line_ms + {wait}UL;
            } else {
                {l}_begin(line, &line->current, now_ms);
                line->has = 0;
                {l}_rest(line, now_ms, line_ms + {L}_REST_MS);
            }
            return count;
        }

        C;

    public const NOTICES = <<<'C'
            for (at = 0; at < {count}; at++) {
                if ({l}_read(line, {l}_notice_item(at), {l}_id({l}_notice_device(at)), &wire)) {
                    int32_t figure = {l}_notice_figure(at, wire);
                    {l}_clear(line);
                    heard->link = {link};
                    heard->node = {l}_node({l}_notice_device(at));
                    heard->code = {l}_notice_code(at);
                    heard->value = (int16_t)(figure < -32768L ? -32768L : figure > 32767L ? 32767L : figure);
                    return 1;
                }
            }

        C;
}
