<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Line;

/** {@see Answering} in C. */
final readonly class CAnswering
{
    public const STATE = <<<'C'
        #define {L}_HEARS_ALL {hears}
        struct {l}_line {
            struct {l}_stream stream;
            struct {l}_message waiting[{L}_QUEUE_MOST];
            struct {l}_frame answer;
            uint8_t waits;
            uint8_t begun;
            uint8_t asked;
            uint8_t last;
            uint8_t offered;
            uint8_t count;
            uint8_t due;
            uint8_t silent;
            uint8_t gone;
            uint16_t last_for_all;
            uint32_t asked_ms;
        };

        C;

    public const DOES = <<<'C'
        static inline void {l}_start(struct {l}_line *line)
        {
            line->stream.have = 0;
            line->waits = line->begun = line->asked = line->last = line->offered = line->due = line->silent = line->gone = 0;
            line->asked_ms = 0;
            line->count = 1;
            line->last_for_all = 0x100;
        }

        /* 0 when too much waits already. */
        static inline uint8_t {l}_tell(struct {l}_line *line, const struct node_message *told, uint32_t now_ms)
        {
            (void)now_ms;
            if (line->waits >= {L}_QUEUE_MOST) {
                return 0;
            }
            line->waiting[line->waits].to = {l}_id_of(told->node);
            line->waiting[line->waits].code = (uint8_t)told->code;
            line->waiting[line->waits].value = told->value;
            line->waits++;
            return 1;
        }

        static void {l}_says(struct {l}_line *line, const struct {l}_frame *asked, uint8_t code, int16_t argument)
        {
            line->answer.to = asked->from;
            line->answer.from = {L}_ID;
            line->answer.sequence = asked->sequence;
            line->answer.count = line->count;
            line->answer.code = code;
            line->answer.argument = argument;
            line->due = 1;
        }

        static inline uint8_t {l}_heard(const struct {l}_frame *frame, struct node_message *heard)
        {
            heard->link = {link};
            heard->node = {l}_node_of(frame->from);
            heard->code = frame->code;
            heard->value = frame->argument;
            return 1;
        }

        static uint8_t {l}_asked(struct {l}_line *line, const struct {l}_frame *frame, uint32_t now_ms, struct node_message *heard)
        {
            uint8_t at;
            line->due = 1;
            line->asked_ms = now_ms;
            line->silent = line->gone = 0;
            if (frame->code == 255) {
                line->begun = 1;
                line->offered = 0;
                line->last = 0;
                line->last_for_all = 0x100;
                {l}_says(line, frame, 255, line->asked ? 0 : 1);
                return 0;
            }
            if (!line->begun) {
                {l}_says(line, frame, 255, 1);
                return 0;
            }
            if (frame->sequence == line->last) {
                return 0;
            }
            if (line->offered && frame->sequence == {l}_after(line->last)) {
                line->waits--;
                for (at = 0; at < line->waits; at++) {
                    line->waiting[at] = line->waiting[at + 1];
                }
                line->count = {l}_after(line->count);
            }
            line->asked = 1;
            line->last = frame->sequence;
            line->offered = line->waits > 0;
            {l}_says(line, frame, line->offered ? line->waiting[0].code : 0, line->offered ? line->waiting[0].value : 0);
            if (line->offered) {
                line->answer.to = line->waiting[0].to;
            }
            return frame->code == 0 ? 0 : {l}_heard(frame, heard);
        }

        /* 1 when a message for this node came. */
        static inline uint8_t {l}_byte(struct {l}_line *line, uint8_t byte, uint32_t now_ms, struct node_message *heard)
        {
            struct {l}_frame frame;
            if (!{l}_framed(&line->stream, byte, &frame) || frame.count != 0) {
                return 0;
            }
            if (frame.to == {L}_ID) {
                return {l}_asked(line, &frame, now_ms, heard);
            }
            if (!{L}_HEARS_ALL || frame.to != 0 || frame.from == {L}_ID || line->last_for_all == frame.sequence) {
                return 0;
            }
            line->last_for_all = frame.sequence;
            return {l}_heard(&frame, heard);
        }

        /* 1 for each node that is to be called gone, once nobody has asked for long: a message that node_step understands. */
        static inline uint8_t {l}_gone(struct {l}_line *line, struct node_message *heard)
        {
            if (line->gone == 0) {
                return 0;
            }
            heard->link = {link};
            heard->node = {l}_node_of({l}_other((uint8_t)({L}_OTHERS - line->gone)));
            heard->code = 65535U;
            heard->value = 0;
            line->gone--;
            return 1;
        }

        /* How many bytes are to go out now. */
        static inline uint8_t {l}_step(struct {l}_line *line, uint32_t now_ms, uint8_t bytes[{L}_FRAME_BYTES])
        {
            if (line->asked && !line->silent && (uint32_t)(now_ms - line->asked_ms) >= {silent}UL) {
                line->silent = 1;
                line->gone = {L}_OTHERS;
            }
            if (!line->due) {
                return 0;
            }
            line->due = 0;
            {l}_seal(&line->answer, bytes);
            return {L}_FRAME_BYTES;
        }

        C;
}
