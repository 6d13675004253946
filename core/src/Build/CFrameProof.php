<?php

declare(strict_types=1);

namespace Rundfunk\Build;

use Rundfunk\Frame\FrameProof;

/** What seals a frame and what believes one, as C: {@see FrameProof}. */
final readonly class CFrameProof
{
    private const HASH = <<<'C'
        #ifndef NODE_SIP_HASH
        #define NODE_SIP_HASH
        /* SipHash-2-4 (Aumasson, Bernstein 2012): the first four bytes of it, of two stretches of bytes one after the other. */
        static inline uint64_t node_sip_turned(uint64_t word, uint8_t by)
        {
            return word << by | word >> (64 - by);
        }

        static inline void node_sip_rounds(uint64_t *v, uint8_t count)
        {
            while (count--) {
                v[0] += v[1];
                v[1] = node_sip_turned(v[1], 13) ^ v[0];
                v[0] = node_sip_turned(v[0], 32);
                v[2] += v[3];
                v[3] = node_sip_turned(v[3], 16) ^ v[2];
                v[0] += v[3];
                v[3] = node_sip_turned(v[3], 21) ^ v[0];
                v[2] += v[1];
                v[1] = node_sip_turned(v[1], 17) ^ v[2];
                v[2] = node_sip_turned(v[2], 32);
            }
        }

        static inline void node_sip_word(uint64_t *v, uint64_t word)
        {
            v[3] ^= word;
            node_sip_rounds(v, 2);
            v[0] ^= word;
        }

        static inline uint32_t node_sip_tag(const uint8_t key[16], const uint8_t *first, uint8_t firsts, const uint8_t *second, uint8_t seconds)
        {
            uint64_t v[4] = { 0x736f6d6570736575ULL, 0x646f72616e646f6dULL, 0x6c7967656e657261ULL, 0x7465646279746573ULL };
            uint64_t word = 0;
            uint8_t n;
            for (n = 0; n < 16; n++) {
                uint64_t byte = (uint64_t)key[n] << (8 * (n & 7));
                v[n >> 3] ^= byte;
                v[2 + (n >> 3)] ^= byte;
            }
            for (n = 0; n < (uint8_t)(firsts + seconds); n++) {
                word |= (uint64_t)(n < firsts ? first[n] : second[n - firsts]) << (8 * (n & 7));
                if ((n & 7) == 7) {
                    node_sip_word(v, word);
                    word = 0;
                }
            }
            node_sip_word(v, word | (uint64_t)n << 56);
            v[2] ^= 0xff;
            node_sip_rounds(v, 4);
            return (uint32_t)(v[0] ^ v[1] ^ v[2] ^ v[3]);
        }
        #endif

        C;

    private const SEAL = <<<'C'
        /* The key of @link: 16 bytes of chance, the same at each of its nodes and in no plan. "bin/rundfunk secrets" writes such a file. */
        #if defined(__has_include)
        #if __has_include("secrets.h")
        #include "secrets.h"
        #endif
        #endif
        #ifndef @KEY
        #define @KEY { 0 }
        #define @PREFIX_KEYLESS 1 /* no key is there: nothing is believed */
        #else
        #define @PREFIX_KEYLESS 0
        #endif
        static const uint8_t @prefix_key[16] = @KEY;

        /*
         * Puts the tag into a frame whose counter is one more than in the last. Keep the counter where it outlives a power cut: write down a
         * figure 256 ahead, count up to it, write the next; begin with what is written down.
         */
        static inline void @prefix_frame_seal(uint8_t bytes[@PREFIX_FRAME_BYTES], const uint8_t address[@PREFIX_ADDRESS_BYTES])
        {
            uint32_t tag = node_sip_tag(@prefix_key, address, @PREFIX_ADDRESS_BYTES, bytes, @covered);
            uint8_t n;
            for (n = 0; n < 4; n++) {
                bytes[@covered + n] = (uint8_t)(tag >> (8 * n));
            }
        }

        /*
         * 1 when it was made with the key, for the address it came in on, and is new; 0 otherwise. last holds a counter of each sender by its
         * number: keep it where it outlives a power cut, or what was recorded before counts again.
         */
        static inline uint8_t @prefix_frame_open(struct @prefix_frame *frame, const uint8_t *bytes, uint8_t length, const uint8_t address[@PREFIX_ADDRESS_BYTES], uint32_t last[@PREFIX_SENDERS + 1])
        {
            if (@PREFIX_KEYLESS || !@prefix_frame_decode(frame, bytes, length) || frame->sender > @PREFIX_SENDERS) {
                return 0;
            }
            if (frame->tag != node_sip_tag(@prefix_key, address, @PREFIX_ADDRESS_BYTES, bytes, @covered) || frame->counter <= last[frame->sender]) {
                return 0;
            }
            last[frame->sender] = frame->counter;
            return 1;
        }

        C;

    /**
     * @param  string  $prefix  in capitals
     * @param  string  $key  what its key is called, see {@see KeyNames}
     * @param  string  $link  its name, as it may stand in a comment
     * @return list<string>
     */
    public static function lines(FrameProof $proof, string $prefix, string $key, string $link): array
    {
        return [...explode("\n", self::HASH), ...explode("\n", strtr(self::SEAL, ['@KEY' => $key, '@PREFIX' => $prefix, '@prefix' => strtolower($prefix), '@covered' => (string) $proof->coveredBytes(), '@link' => $link]))];
    }
}
