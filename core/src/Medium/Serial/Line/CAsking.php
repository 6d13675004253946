<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Line;

/** {@see Asking} in C. */
final readonly class CAsking
{
    public const STATE = <<<'C'
        struct {l}_box {
            struct {l}_message told;
            struct {l}_message last;
            uint32_t last_ms;
            uint8_t begun;
            uint8_t sequence;
            uint8_t missed;
            uint8_t heard;
            uint8_t owes;
            uint8_t gone;
            uint8_t remembers;
        };

        struct {l}_line {
            struct {l}_stream stream;
            struct {l}_message waiting[{L}_QUEUE_MOST];
            struct {l}_box boxes[{L}_OTHERS];
            uint32_t since_ms;
            uint32_t rest_ms;
            uint8_t waits;
            uint8_t at;
            uint8_t is_waiting;
            uint8_t for_all;
            uint8_t sent;
        };

        C;

    public const DOES = <<<'C'
        static inline void {l}_start(struct {l}_line *line)
        {
            uint8_t at;
            line->stream.have = 0;
            line->waits = line->is_waiting = line->for_all = line->sent = 0;
            line->since_ms = line->rest_ms = 0;
            line->at = {L}_OTHERS - 1;
            for (at = 0; at < {L}_OTHERS; at++) {
                struct {l}_box *box = &line->boxes[at];
                box->begun = box->sequence = box->missed = box->heard = box->owes = box->gone = box->remembers = 0;
            }
        }

        /* 1 while a node answers. */
        static inline uint8_t {l}_knows(const struct {l}_line *line, uint8_t node)
        {
            uint8_t at;
            for (at = 0; at < {L}_OTHERS; at++) {
                if ({l}_node_of({l}_other(at)) == node) {
                    return line->boxes[at].begun && line->boxes[at].missed < {L}_MISSED_MOST;
                }
            }
            return 0;
        }

        static uint8_t {l}_box_of(uint8_t id)
        {
            uint8_t at;
            for (at = 0; at < {L}_OTHERS && {l}_other(at) != id; at++) {
            }
            return at;
        }

        static uint8_t {l}_put(struct {l}_line *line, uint8_t to, uint8_t from, uint8_t code, int16_t value)
        {
            struct {l}_message *one = &line->waiting[line->waits];
            if (line->waits >= {L}_QUEUE_MOST || (to != 0 && {l}_box_of(to) == {L}_OTHERS)) {
                return 0;
            }
            one->to = to;
            one->from = from;
            one->code = code;
            one->value = value;
            line->waits++;
            return 1;
        }

        static void {l}_take(struct {l}_line *line, uint8_t place)
        {
            for (line->waits--; place < line->waits; place++) {
                line->waiting[place] = line->waiting[place + 1];
            }
        }

        /* 0 when too much waits already. */
        static inline uint8_t {l}_tell(struct {l}_line *line, const struct node_message *told, uint32_t now_ms)
        {
            uint8_t to = {l}_id_of(told->node);
            uint8_t at = {l}_box_of(to);
            uint8_t code = (uint8_t)told->code;
            if (at < {L}_OTHERS && {l}_takes_ms(at) > 0 && line->boxes[at].remembers && line->boxes[at].last.code == code && line->boxes[at].last.value == told->value
                && (uint32_t)(now_ms - line->boxes[at].last_ms) < {l}_takes_ms(at)) {
                return 1;
            }
            /* One place is kept for what a box has for another. */
            if (line->waits >= {L}_QUEUE_MOST - 1 || !{l}_put(line, to, {L}_ID, code, told->value)) {
                return 0;
            }
            if (at < {L}_OTHERS) {
                line->boxes[at].remembers = 1;
                line->boxes[at].last.code = code;
                line->boxes[at].last.value = told->value;
                line->boxes[at].last_ms = now_ms;
            }
            return 1;
        }

        static void {l}_rest(struct {l}_line *line, uint32_t now_ms, uint32_t rest_ms)
        {
            line->is_waiting = 0;
            line->since_ms = now_ms;
            line->rest_ms = rest_ms;
        }

        /* 1 when a message for this node came. */
        static inline uint8_t {l}_byte(struct {l}_line *line, uint8_t byte, uint32_t now_ms, struct node_message *heard)
        {
            struct {l}_frame frame;
            struct {l}_box *box = &line->boxes[line->at];
            if (!{l}_framed(&line->stream, byte, &frame) || !line->is_waiting || frame.count == 0 || frame.from != {l}_other(line->at)
                || frame.sequence != (box->begun ? box->sequence : 0) || (!box->begun && frame.code != 255)) {
                return 0;
            }
            {l}_rest(line, now_ms, {L}_REST_MS);
            box->missed = 0;
            if (!box->begun) {
                box->begun = 1;
                box->sequence = 1;
                if (frame.argument == 1) {
                    box->heard = 0;
                }
                return 0;
            }
            if (frame.code == 255) {
                box->begun = 0;
                return 0;
            }
            box->owes = 0;
            box->sequence = {l}_after(box->sequence);
            if (frame.code == 0 || frame.count == box->heard) {
                return 0;
            }
            box->heard = frame.count;
            if (frame.to != {L}_ID) {
                {l}_put(line, frame.to, frame.from, frame.code, frame.argument);
                return 0;
            }
            heard->link = {link};
            heard->node = {l}_node_of(frame.from);
            heard->code = frame.code;
            heard->value = frame.argument;
            return 1;
        }

        static void {l}_missed(struct {l}_line *line, uint8_t at)
        {
            struct {l}_box *box = &line->boxes[at];
            uint8_t place;
            if (box->missed < 255) {
                box->missed++;
            }
            if (box->missed >= {L}_MISSED_MOST) {
                if (box->missed == {L}_MISSED_MOST) {
                    box->gone = 1;
                }
                box->begun = 0;
                box->owes = 0;
                box->remembers = 0;
                for (place = line->waits; place-- > 0;) {
                    if (line->waiting[place].to == {l}_other(at)) {
                        {l}_take(line, place);
                    }
                }
            }
        }

        /* 1 when a node does not answer any more: a message that node_step understands, once each time that it stops. */
        static inline uint8_t {l}_gone(struct {l}_line *line, struct node_message *heard)
        {
            uint8_t at;
            for (at = 0; at < {L}_OTHERS; at++) {
                if (line->boxes[at].gone) {
                    line->boxes[at].gone = 0;
                    heard->link = {link};
                    heard->node = {l}_node_of({l}_other(at));
                    heard->code = 65535U;
                    heard->value = 0;
                    return 1;
                }
            }
            return 0;
        }

        static uint8_t {l}_next(const struct {l}_line *line, uint8_t *owing)
        {
            uint8_t at;
            for (at = 0; at < {L}_OTHERS; at++) {
                if (line->boxes[at].owes) {
                    *owing = 1;
                    return at;
                }
            }
            *owing = 0;
            at = line->waits > 0 ? {l}_box_of(line->waiting[0].to) : {L}_OTHERS;
            return at < {L}_OTHERS ? at : (uint8_t)((line->at + 1) % {L}_OTHERS);
        }

        /* How many bytes are to go out now. */
        static inline uint8_t {l}_step(struct {l}_line *line, uint32_t now_ms, uint8_t bytes[{L}_FRAME_BYTES])
        {
            struct {l}_frame frame;
            struct {l}_box *box;
            uint32_t passed = now_ms - line->since_ms;
            uint8_t place, owing, next;
            if (line->is_waiting) {
                if (passed < {L}_TIMEOUT_MS) {
                    return 0;
                }
                {l}_missed(line, line->at);
                {l}_rest(line, now_ms, {L}_REST_MS);
                passed = 0;
            }
            if (passed < line->rest_ms) {
                return 0;
            }
            next = {l}_next(line, &owing);
            frame.count = 0;
            if (!owing && line->waits > 0 && line->waiting[0].to == 0) {
                if (line->sent == 0) {
                    line->for_all = {l}_after(line->for_all);
                }
                frame.to = 0;
                frame.from = line->waiting[0].from;
                frame.sequence = line->for_all;
                frame.code = line->waiting[0].code;
                frame.argument = line->waiting[0].value;
                if (++line->sent == 3) {
                    line->sent = 0;
                    {l}_take(line, 0);
                }
                {l}_rest(line, now_ms, {L}_FRAME_MS + {L}_REST_MS);
                {l}_seal(&frame, bytes);
                return {L}_FRAME_BYTES;
            }
            line->at = next;
            line->is_waiting = 1;
            line->since_ms = now_ms;
            box = &line->boxes[next];
            /* A question that was missed is asked again as it was. */
            for (place = 0; box->begun && !box->owes && box->missed == 0 && place < line->waits; place++) {
                if (line->waiting[place].to == {l}_other(next)) {
                    box->told = line->waiting[place];
                    box->owes = 1;
                    {l}_take(line, place);
                }
            }
            frame.to = {l}_other(next);
            frame.from = box->owes ? box->told.from : {L}_ID;
            frame.sequence = box->begun ? box->sequence : 0;
            frame.code = !box->begun ? 255 : box->owes ? box->told.code : 0;
            frame.argument = box->begun && box->owes ? box->told.value : 0;
            if (!box->begun) {
                frame.from = {L}_ID;
            }
            {l}_seal(&frame, bytes);
            return {L}_FRAME_BYTES;
        }

        C;
}
