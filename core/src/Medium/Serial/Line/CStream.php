<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Line;

/** {@see FrameStream} in C, and what all ends of a line have in common. */
final readonly class CStream
{
    public const TEXT = <<<'C'
        /*
         * {name}. For each byte that comes in, {l}_byte; again and again, {l}_step, and out with what it gives; for each message of
         * node_step that goes there, {l}_tell. A message that {l}_byte gives is one for node_step, and what {l}_gone gives as well.{enable}
         */
        #define {L}_QUEUE_MOST 8
        struct {l}_message {
            uint8_t to;
            uint8_t from;
            uint8_t code;
            int16_t value;
        };

        struct {l}_stream {
            uint8_t bytes[{L}_FRAME_BYTES];
            uint8_t have;
        };

        static inline uint8_t {l}_whole(const uint8_t *bytes, struct {l}_frame *frame)
        {
            {l}_frame_decode(frame, bytes, {L}_FRAME_BYTES);
            return frame->start == 0xA5U && {whole};
        }

        /* 1 when a frame ends with it whose check agrees. */
        static uint8_t {l}_framed(struct {l}_stream *stream, uint8_t byte, struct {l}_frame *frame)
        {
            uint8_t from;
            stream->bytes[stream->have++] = byte;
            if (stream->have == {L}_FRAME_BYTES && {l}_whole(stream->bytes, frame)) {
                stream->have = 0;
                return 1;
            }
            if (stream->bytes[0] == 0xA5U && stream->have < {L}_FRAME_BYTES) {
                return 0;
            }
            for (from = 1; from < stream->have && stream->bytes[from] != 0xA5U; from++) {
            }
            for (byte = 0; from < stream->have; from++, byte++) {
                stream->bytes[byte] = stream->bytes[from];
            }
            stream->have = byte;
            return 0;
        }

        static void {l}_seal(struct {l}_frame *frame, uint8_t bytes[{L}_FRAME_BYTES])
        {
            frame->start = 0xA5;{unchecked}
            {l}_frame_encode(frame, bytes);{seal}
        }

        static inline uint8_t {l}_after(uint8_t number)
        {
            return (uint8_t)(number % 255U + 1U);
        }

        C;
}
