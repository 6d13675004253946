<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular;

use Rundfunk\Behaviour\EndNumber;
use Rundfunk\Behaviour\MessageNumbers;
use Rundfunk\Behaviour\WritesMessages;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;
use Rundfunk\Routes\RouteNames;
use Rundfunk\Text\CNames;

/** Calls and texts as messages. */
final readonly class CellularMessages implements WritesMessages
{
    private const READERS = <<<'C'
        #ifndef NODE_READS_TEXTS
        #define NODE_READS_TEXTS
        static inline uint8_t node_same(const char *a, const char *b)
        {
            while (*a && *a == *b) {
                a++;
                b++;
            }
            return *a == *b;
        }

        /* Behind a word that a text begins with, whole, in whatever letters; 0 when it begins with another. */
        static inline const char *node_behind(const char *text, const char *word)
        {
            while (*text == ' ') {
                text++;
            }
            for (; *word; word++, text++) {
                char sign = *text >= 'a' && *text <= 'z' ? (char)(*text - 'a' + 'A') : *text;
                if (sign != *word) {
                    return 0;
                }
                while (*word == ' ' && text[1] == ' ') {
                    text++;
                }
            }
            return *text == 0 || *text == ' ' ? text : 0;
        }

        /* Behind a secret, letter for letter; 0 when it is another, and while none is set. */
        static inline const char *node_behind_secret(const char *text, const char *secret)
        {
            while (*text == ' ') {
                text++;
            }
            if (!*secret) {
                return 0;
            }
            for (; *secret; secret++, text++) {
                if (*text != *secret) {
                    return 0;
                }
            }
            return *text == 0 || *text == ' ' ? text : 0;
        }

        /* The number that stands there; 0 when none does. */
        static inline uint8_t node_number(const char *text, int16_t *value)
        {
            int32_t read = 0;
            uint8_t minus;
            while (*text == ' ') {
                text++;
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
            return *text == 0 || *text == ' ';
        }
        #endif

        C;

    public function messageLines(Plan $plan, Endpoint $endpoint, int $link, string $prefix, MessageNumbers $numbers): array
    {
        $calls = $texts = [];
        foreach (Commands::to($plan, $endpoint) as ['hop' => $hop, 'control' => $control, 'route' => $route]) {
            $from = $plan->endpoint($hop->fromId);
            $number = Commands::number($plan, $from)?->e164;
            $word = Commands::word($control);
            $known = CellularEnd::of($endpoint)->obeysAnyone ? [] : ($number === null ? null : ['node_same(number, '.CNames::text($number).')']);
            if ($known === null || ($control->kind !== ControlKind::Call && $word === null)) {
                continue;
            }
            $put = ["        heard[count].link = {$link};", '        heard[count].node = '.EndNumber::of($plan, $from).';', '        heard[count].code = '.($numbers->heard($hop) ?? 0).';'];
            $note = ' /* '.CNames::comment(RouteNames::of($plan, $route).', '.RouteNames::asks($route)).' */';
            if ($control->kind === ControlKind::Call) {
                $if = [...$known, ...(Commands::callsBack($control) ? ['called_back'] : []), 'count < NODE_HEARD_MOST'];
                $calls = [...$calls, '    if ('.implode(' && ', $if).') {'.$note, ...$put, '        heard[count].value = 0;', '        count++;', '    }'];
            } else {
                $steps = ['    rest = node_behind(text, '.CNames::text($word).');'.$note];
                if (Commands::needsSecret($control)) {
                    $steps[] = "    rest = rest ? node_behind_secret(rest, {$prefix}_SECRET) : 0;";
                }
                $value = Commands::takesNumber($control, $route);
                $if = ['rest', ...$known, 'count < NODE_HEARD_MOST', ...($value ? ['node_number(rest, &value)'] : [])];
                $texts = [...$texts, ...$steps, '    if ('.implode(' && ', $if).') {', ...$put, '        heard[count].value = '.($value ? 'value' : '0').';', '        count++;', '    }'];
            }
        }

        return $calls === [] && $texts === [] ? [] : [...explode("\n", self::READERS), ...$this->function($prefix, 'call', 'const char *number, uint8_t called_back', $calls, 'number in E.164; called_back once it was called back and a key pressed'), ...$this->function($prefix, 'text', 'const char *number, const char *text', $texts, 'number in E.164; check before that the text is not too old')];
    }

    /**
     * @param  list<string>  $body
     * @return list<string>
     */
    private function function(string $prefix, string $what, string $arguments, array $body, string $note): array
    {
        $locals = $what === 'text' && $body !== [] ? ['    const char *rest;', '    int16_t value = 0;'] : [];
        $unused = array_map(static fn (string $name): string => "    (void){$name};", $what === 'text' ? ['number', 'text', ...($body === [] ? [] : ['value'])] : ['number', 'called_back']);

        return [
            '/* What a '.$what." asks for, as messages, at most NODE_HEARD_MOST; how many. {$note}. */",
            'static inline uint8_t node_from_'.strtolower($prefix)."_{$what}({$arguments}, struct node_message *heard)", '{', '    uint8_t count = 0;', ...$locals, ...$unused, '    (void)heard;', ...$body, '    return count;', '}', '',
        ];
    }
}
