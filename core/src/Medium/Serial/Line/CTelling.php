<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Line;

/** {@see Telling} in C. */
final readonly class CTelling
{
    public const STATE = <<<'C'
        #define {L}_RING {ring}
        #define {L}_HEARS_ALL {hears}
        #define {L}_HAND_ON_MOST 4
        struct {l}_line {
            struct {l}_stream stream;
            struct {l}_message waiting[{L}_QUEUE_MOST];
            struct {l}_frame hand_on[{L}_HAND_ON_MOST];
            struct {l}_message last[{L}_OTHERS];
            uint32_t last_ms[{L}_OTHERS];
            uint32_t since_ms;
            uint8_t remembers[{L}_OTHERS];
            uint8_t seen[{L}_OTHERS];
            uint8_t gone[{L}_OTHERS];
            uint8_t waits;
            uint8_t handing;
            uint8_t answers;
            uint8_t begun;
            uint8_t sequence;
            uint8_t tries;
            uint8_t is_waiting;
            uint8_t is_back;
        };

        C;

    public const DOES = <<<'C'
        static inline void {l}_start(struct {l}_line *line)
        {
            uint8_t at;
            line->stream.have = 0;
            line->since_ms = 0;
            line->waits = line->handing = line->answers = line->begun = line->sequence = line->tries = line->is_waiting = line->is_back = 0;
            for (at = 0; at < {L}_OTHERS; at++) {
                line->remembers[at] = line->seen[at] = line->gone[at] = 0;
            }
        }

        static uint8_t {l}_place_of(uint8_t id)
        {
            uint8_t at;
            for (at = 0; at < {L}_OTHERS && {l}_other(at) != id; at++) {
            }
            return at;
        }

        /* 0 when too much waits already. */
        static inline uint8_t {l}_tell(struct {l}_line *line, const struct node_message *told, uint32_t now_ms)
        {
            uint8_t to = {l}_id_of(told->node);
            uint8_t at = {l}_place_of(to);
            uint8_t code = (uint8_t)told->code;
            struct {l}_message *one;
            if (at < {L}_OTHERS && {l}_takes_ms(at) > 0 && line->remembers[at] && line->last[at].code == code && line->last[at].value == told->value
                && (uint32_t)(now_ms - line->last_ms[at]) < {l}_takes_ms(at)) {
                return 1;
            }
            if (line->waits >= {L}_QUEUE_MOST) {
                return 0;
            }
            one = &line->waiting[line->waits++];
            one->to = to;
            one->code = code;
            one->value = told->value;
            if (at < {L}_OTHERS) {
                line->remembers[at] = 1;
                line->last[at].code = code;
                line->last[at].value = told->value;
                line->last_ms[at] = now_ms;
            }
            return 1;
        }

        static void {l}_done(struct {l}_line *line)
        {
            uint8_t at;
            line->waits--;
            for (at = 0; at < line->waits; at++) {
                line->waiting[at] = line->waiting[at + 1];
            }
        }

        static void {l}_answered(struct {l}_line *line)
        {
            if (line->begun) {
                {l}_done(line);
            }
            line->begun = 1;
            line->sequence = {l}_after(line->sequence);
            line->is_waiting = 0;
            line->tries = 0;
        }

        static void {l}_missed(struct {l}_line *line)
        {
            line->is_waiting = 0;
            if (line->tries < 255) {
                line->tries++;
            }
            if (line->tries < {L}_MISSED_MOST) {
                return;
            }
            if (line->begun) {
                uint8_t at = {l}_place_of(line->waiting[0].to);
                if (at < {L}_OTHERS) {
                    line->gone[at] = 1;
                    if (line->last[at].code == line->waiting[0].code && line->last[at].value == line->waiting[0].value) {
                        line->remembers[at] = 0;
                    }
                }
                {l}_done(line);
                line->sequence = {l}_after(line->sequence);
                line->tries = 0;
            } else {
                uint8_t at;
                line->waits = 0;
                for (at = 0; at < {L}_OTHERS; at++) {
                    line->remembers[at] = 0;
                }
            }
        }

        /* 1 when a node does not answer any more: a message that node_step understands, once each time that it is missed. */
        static inline uint8_t {l}_gone(struct {l}_line *line, struct node_message *heard)
        {
            uint8_t at;
            for (at = 0; at < {L}_OTHERS; at++) {
                if (line->gone[at]) {
                    line->gone[at] = 0;
                    heard->link = {link};
                    heard->node = {l}_node_of({l}_other(at));
                    heard->code = 65535U;
                    heard->value = 0;
                    return 1;
                }
            }
            return 0;
        }

        static uint8_t {l}_taken(struct {l}_line *line, const struct {l}_frame *frame, uint8_t at, struct node_message *heard)
        {
            if (frame->code == 255) {
                line->seen[at] = 0;
                return 0;
            }
            if (line->seen[at] == frame->sequence || frame->code == 0) {
                return 0;
            }
            line->seen[at] = frame->sequence;
            heard->link = {link};
            heard->node = {l}_node_of(frame->from);
            heard->code = frame->code;
            heard->value = frame->argument;
            return 1;
        }

        /* 1 when a message for this node came. */
        static inline uint8_t {l}_byte(struct {l}_line *line, uint8_t byte, uint32_t now_ms, struct node_message *heard)
        {
            struct {l}_frame frame;
            uint8_t at, is_for_us;
            (void)now_ms;
            if (!{l}_framed(&line->stream, byte, &frame)) {
                return 0;
            }
            if (frame.from == {L}_ID) {
                if ({L}_RING && line->is_waiting && frame.sequence == line->sequence) {
                    if (frame.count == 1) {
                        {l}_answered(line);
                    } else {
                        line->is_back = 1;
                    }
                }
                return 0;
            }
            at = {l}_place_of(frame.from);
            if (at == {L}_OTHERS) {
                return 0;
            }
            is_for_us = frame.to == {L}_ID || (frame.to == 0 && ({L}_HEARS_ALL || frame.code == 255));
            if (!{L}_RING) {
                if (!is_for_us) {
                    return 0;
                }
                if (frame.count == 1) {
                    if (line->is_waiting && frame.sequence == line->sequence) {
                        {l}_answered(line);
                    }
                    return 0;
                }
                line->answers = 1;
                line->hand_on[0].to = frame.from;
                line->hand_on[0].from = {L}_ID;
                line->hand_on[0].sequence = frame.sequence;
                line->hand_on[0].count = 1;
                line->hand_on[0].code = 0;
                line->hand_on[0].argument = 0;
                return {l}_taken(line, &frame, at, heard);
            }
            if (line->handing < {L}_HAND_ON_MOST) {
                line->hand_on[line->handing] = frame;
                if (is_for_us) {
                    line->hand_on[line->handing].count = 1;
                }
                line->handing++;
            } else if (is_for_us) {
                return 0;
            }
            if (is_for_us) {
                return {l}_taken(line, &frame, at, heard);
            }
            line->seen[at] = frame.sequence;
            return 0;
        }

        /* How many bytes are to go out now. */
        static inline uint8_t {l}_step(struct {l}_line *line, uint32_t now_ms, uint8_t bytes[{L}_FRAME_BYTES])
        {
            struct {l}_frame frame;
            uint8_t at;
            if (line->handing > 0) {
                frame = line->hand_on[0];
                line->handing--;
                for (at = 0; at < line->handing; at++) {
                    line->hand_on[at] = line->hand_on[at + 1];
                }
                {l}_seal(&frame, bytes);
                return {L}_FRAME_BYTES;
            }
            if (line->answers) {
                line->answers = 0;
                {l}_seal(&line->hand_on[0], bytes);
                return {L}_FRAME_BYTES;
            }
            if (line->is_waiting) {
                if (!line->is_back && (uint32_t)(now_ms - line->since_ms) < {L}_TIMEOUT_MS) {
                    return 0;
                }
                {l}_missed(line);
            }
            if (line->begun && line->waits == 0) {
                return 0;
            }
            line->is_waiting = 1;
            line->is_back = 0;
            line->since_ms = now_ms;
            frame.to = line->begun ? line->waiting[0].to : 0;
            frame.from = {L}_ID;
            frame.sequence = line->begun ? line->sequence : 0;
            frame.count = 0;
            frame.code = line->begun ? line->waiting[0].code : 255;
            frame.argument = line->begun ? line->waiting[0].value : 0;
            {l}_seal(&frame, bytes);
            return {L}_FRAME_BYTES;
        }

        C;
}
