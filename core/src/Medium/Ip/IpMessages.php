<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip;

use Rundfunk\Behaviour\EndNumber;
use Rundfunk\Behaviour\MessageNumbers;
use Rundfunk\Behaviour\WritesMessages;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;
use Rundfunk\Text\CNames;

/** Topics and their payloads as messages and back. */
final readonly class IpMessages implements WritesMessages
{
    private const READERS = <<<'C'
        #ifndef NODE_READS_PAYLOADS
        #define NODE_READS_PAYLOADS
        /* Behind what a payload begins with; 0 when it begins with something else. */
        static inline const char *node_payload(const char *payload, const char *begins)
        {
            for (; *begins; begins++, payload++) {
                if (*payload != *begins) {
                    return 0;
                }
            }
            return payload;
        }

        static inline uint8_t node_payload_is(const char *payload, const char *whole)
        {
            const char *rest = node_payload(payload, whole);
            return rest && !*rest;
        }

        /* A whole number and nothing behind it. */
        static inline uint8_t node_payload_number(const char *text, int16_t *value)
        {
            int32_t read = 0;
            uint8_t minus;
            if (!text) {
                return 0;
            }
            minus = *text == '-';
            text += minus || *text == '+';
            if (*text < '0' || *text > '9') {
                return 0;
            }
            for (; *text >= '0' && *text <= '9'; text++) {
                read = read * 10 + (*text - '0');
                if (read > 32767) {
                    return 0;
                }
            }
            *value = (int16_t)(minus ? -read : read);
            return !*text;
        }
        #endif

        C;

    private const WRITERS = <<<'C'
        #ifndef NODE_PAYLOAD_MOST
        #define NODE_PAYLOAD_MOST 16 /* bytes of a payload, with its end */
        static inline void node_write_payload(char *payload, const char *word, int16_t value)
        {
            char digits[5];
            uint8_t count = 0;
            uint16_t left = (uint16_t)(value < 0 ? -(int32_t)value : value);
            while (*word) {
                *payload++ = *word++;
            }
            if (value < 0) {
                *payload++ = '-';
            }
            do {
                digits[count++] = (char)('0' + left % 10);
                left /= 10;
            } while (left);
            while (count) {
                *payload++ = digits[--count];
            }
            *payload = 0;
        }
        #endif

        C;

    public function messageLines(Plan $plan, Endpoint $endpoint, int $link, string $prefix, MessageNumbers $numbers): array
    {
        $name = strtolower($prefix);
        $lines = [];
        $heard = $this->unlike($plan->hopsTo($endpoint), $numbers->heard(...));
        if ($heard !== []) {
            $lines = [...explode("\n", self::READERS), '/* What a topic of this network asks for, as messages, at most NODE_HEARD_MOST; how many. Both are texts with their end. */', "static inline uint8_t node_from_{$name}(const char *topic, const char *payload, struct node_message *heard)", '{', '    uint8_t count = 0;', '    int16_t value = 0;', '    (void)value;', ...array_merge(...array_map(fn (Hop $hop): array => self::read($plan, $hop, $link, $numbers), $heard)), '    return count;', '}', ''];
        }
        $told = $this->unlike($plan->hopsFrom($endpoint), $numbers->told(...));

        return $told === [] ? $lines : [...$lines, ...explode("\n", self::WRITERS), '/* The topic of a message, and its payload; 0 when it is none of this network. */', "static inline const char *node_to_{$name}(const struct node_message *told, char payload[NODE_PAYLOAD_MOST])", '{', ...array_merge(...array_map(static fn (Hop $hop): array => self::written($plan, $hop, $numbers), $told)), '    (void)payload;', '    return 0;', '}', ''];
    }

    /**
     * @param  list<Hop>  $hops
     * @param  callable(Hop): (int|null)  $number
     * @return list<Hop> one of those that nothing tells apart
     */
    private function unlike(array $hops, callable $number): array
    {
        $unlike = [];
        foreach ($hops as $hop) {
            $unlike[$number($hop) ?? 0] ??= $hop;
        }

        return array_values($unlike);
    }

    /** @return list<string> */
    private static function read(Plan $plan, Hop $hop, int $link, MessageNumbers $numbers): array
    {
        $route = $plan->route($hop->routeId);
        $topic = CNames::text(Topics::command($plan, $plan->link($hop->linkId), $plan->output($route->outputId)));
        $lines = [];
        foreach (self::forms($route) as [$if, $value]) {
            $lines = [...$lines, "    if (count < NODE_HEARD_MOST && node_payload_is(topic, {$topic}) && {$if}) {", "        heard[count].link = {$link};", '        heard[count].node = 0;', '        heard[count].code = '.($numbers->heard($hop) ?? 0).';', "        heard[count].value = {$value};", '        count++;', '    }'];
        }

        return $lines;
    }

    /** @return list<array{string, string}> what a payload must be, as C, and the value that it then says */
    private static function forms(Route $route): array
    {
        $is = static fn (string $text): string => 'node_payload_is(payload, '.CNames::text($text).')';

        return match ($route->action) {
            Action::Follow, Action::Momentary => [[$is('ON'), '1'], [$is('OFF'), '0']],
            Action::Set => $route->value === null ? [['node_payload_number(node_payload(payload, "SET "), &value)', 'value']] : [[$is("SET {$route->value}"), (string) $route->value]],
            default => [[$is(Topics::payload($route)), (string) ($route->value ?? 0)]],
        };
    }

    /** @return list<string> */
    private static function written(Plan $plan, Hop $hop, MessageNumbers $numbers): array
    {
        $route = $plan->route($hop->routeId);
        $write = match (true) {
            $route->action->holds() => ["        payload[0] = 'O';", "        payload[1] = told->value ? 'N' : 'F';", "        payload[2] = told->value ? 0 : 'F';", '        payload[3] = 0;'],
            $route->action === Action::Set => ['        node_write_payload(payload, "SET ", told->value);'],
            $route->action === Action::Step => ['        node_write_payload(payload, "STEP ", told->value);'],
            default => self::letters(Topics::payload($route)),
        };
        $to = EndNumber::of($plan, $plan->endpoint($hop->toId));

        return ["    if (told->node == {$to} && told->code == ".($numbers->told($hop) ?? 0).') {', ...$write, '        return '.CNames::text(Topics::command($plan, $plan->link($hop->linkId), $plan->output($route->outputId))).';', '    }'];
    }

    /** @return list<string> a fixed payload, sign by sign: capitals, digits and blanks */
    private static function letters(string $text): array
    {
        return [...array_map(static fn (int $at): string => "        payload[{$at}] = '{$text[$at]}';", array_keys(str_split($text))), '        payload['.strlen($text).'] = 0;'];
    }
}
