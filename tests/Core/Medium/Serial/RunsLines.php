<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Serial;

use Tests\Core\RunsPrograms;

/** Runs the C of a line's end through what happened to its twin, on the host and on an 8-bit board's simulator. */
trait RunsLines
{
    use RunsPrograms;

    /** @param  list<array{string, int, int, int, int}>  $steps */
    private function program(array $steps, string $for, int $bytes = 0, string $frame = 'LINE_FRAME_BYTES', string $shows = ''): string
    {
        $rows = implode(",\n", array_map(static fn (array $step): string => sprintf("{'%s', %d, %d, %d, %d}", ...$step), $steps));
        $flash = $for === 'BOARD' ? 'PROGMEM' : '';

        return <<<C
            #ifdef BOARD
            #include <avr/io.h>
            #include <avr/pgmspace.h>
            #include <avr/sleep.h>
            #include <avr/interrupt.h>
            #endif
            #include <stdio.h>
            #include "behaviour.h"
            struct step { char kind; int32_t ms; int16_t a, b, c; };
            static const struct step steps[] {$flash} = {
            {$rows}
            };
            static struct line_line line;
            #ifdef BOARD
            typedef char as_large_as_it_is_said[sizeof line == {$bytes} ? 1 : -1] __attribute__((unused));
            #endif
            #ifdef BOARD
            static int put(char c, FILE *f) { (void)f; while (!(UCSR0A & (1 << UDRE0))) {} UDR0 = (uint8_t)c; return 0; }
            static FILE out = FDEV_SETUP_STREAM(put, 0, _FDEV_SETUP_WRITE);
            #endif
            int main(void)
            {
                unsigned at;
            #ifdef BOARD
                UBRR0L = 0; UCSR0B = 1 << TXEN0; stdout = &out;
            #endif
                line_start(&line);
                for (at = 0; at < sizeof steps / sizeof *steps; at++) {
                    struct node_message message;
                    uint8_t bytes[{$frame}], length, i;
                    struct step now;
            #ifdef BOARD
                    memcpy_P(&now, &steps[at], sizeof now);
            #else
                    now = steps[at];
            #endif
                    switch (now.kind) {
                    case 'b':
                        if (line_byte(&line, (uint8_t)now.a, (uint32_t)now.ms, &message)) {
                            printf("h %u %u %d\\n", message.node, message.code, message.value);
                        }
                        break;
                    case 't':
                        message.link = 0; message.node = (uint8_t)now.a; message.code = (uint16_t)now.b; message.value = now.c;
                        printf("t %u\\n", line_tell(&line, &message, (uint32_t)now.ms));
                        break;
                    case 'g':
                        if (line_gone(&line, &message)) {
                            printf("g %u\\n", message.node);
                        }
                        break;
                    {$shows}
                    default:
                        length = line_step(&line, (uint32_t)now.ms, bytes);
                        if (length > 0) {
                            printf("o ");
                            for (i = 0; i < length; i++) { printf("%02x", bytes[i]); }
                            printf("\\n");
                        }
                    }
                }
            #ifdef BOARD
                for (at = 0; at < 80; at++) { printf(" "); }
                printf("\\n");
                cli(); sleep_mode();
            #endif
                return 0;
            }
            C;
    }

    /** @return int bytes of program that a line adds on an 8-bit board, by the compiler: with it less without */
    private function programBytes(string $frame): int
    {
        $bytes = [];
        foreach ([false, true] as $with) {
            $used = $with ? "uint8_t bytes[{$frame}], i, c; if (line_byte(&line, v, t, &m[0])) { n = 1; } if (line_gone(&line, &m[1])) { n++; } c = line_step(&line, t, bytes); for (i = 0; i < c; i++) { v = bytes[i]; } for (i = 0; i < told.count; i++) { line_tell(&line, &told.message[i], t); }"
                : 'uint8_t i; for (i = 0; i < told.count; i++) { v = (uint8_t)told.message[i].code; } m[0].link = v; m[0].node = v; m[0].code = v; m[0].value = v; n = v & 1;';
            file_put_contents("{$this->folder}/size.c", '#include "behaviour.h"
                volatile uint8_t v; volatile uint32_t t; static struct node_state me; static struct node_inputs in; static struct node_outputs out; static struct node_told told;
                '.($with ? 'static struct line_line line;' : '').'
                int main(void) { struct node_message m[4]; uint8_t n = 0; node_start(&me, t); '.($with ? 'line_start(&line);' : '').' for (;;) { '.$used.' node_step(&me, t, -1, &in, m, n, &out, &told); } }');
            $this->execute('avr-gcc', '-mmcu=atmega644', '-std=c99', '-Os', '-o', 'size.elf', 'size.c');
            preg_match('/^\s*(\d+)\s+\d+\s+\d+/m', $this->execute('avr-size', 'size.elf'), $found);
            $bytes[] = (int) ($found[1] ?? 0);
        }

        return $bytes[1] - $bytes[0];
    }
}
