<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio;

use Rundfunk\Behaviour\EndNumber;
use Rundfunk\Behaviour\MessageNumbers;
use Rundfunk\Behaviour\WritesMessages;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;
use Rundfunk\Routes\RouteNames;
use Rundfunk\Text\CNames;

/** Codes of 24 bits as messages and back. */
final readonly class KeyedMessages implements WritesMessages
{
    public function messageLines(Plan $plan, Endpoint $endpoint, int $link, string $prefix, MessageNumbers $numbers): array
    {
        $name = strtolower($prefix);
        $read = $written = [];
        foreach ($plan->hopsTo($endpoint) as $hop) {
            $bits = KeyedCodes::of($plan, $hop)?->bits;
            if ($bits !== null && ! isset($read[$bits])) {
                $read[$bits] = [
                    sprintf('    case 0x%06XUL: /* %s */', $bits, CNames::comment(RouteNames::of($plan, $plan->route($hop->routeId)))),
                    '        heard->node = '.EndNumber::of($plan, $plan->endpoint($hop->fromId)).';', '        heard->code = '.($numbers->heard($hop) ?? 0).';', '        return 1;',
                ];
            }
        }
        foreach ($plan->hopsFrom($endpoint) as $hop) {
            $bits = KeyedCodes::of($plan, $hop)?->bits;
            if ($bits !== null) {
                $to = EndNumber::of($plan, $plan->endpoint($hop->toId));
                $code = $numbers->told($hop) ?? 0;
                $written["{$to} {$code}"] ??= [sprintf('    if (told->node == %d && told->code == %d) {', $to, $code), sprintf('        return 0x%06XUL;', $bits), '    }'];
            }
        }

        return [
            ...($read === [] ? [] : ['/* A code that came at least twice as a message; 0 when it is none of ours. Once a press: it comes again while the key is held. */', "static inline uint8_t node_from_{$name}(uint32_t bits, struct node_message *heard)", '{', "    heard->link = {$link};", '    heard->value = 1;', '    switch (bits) {', ...array_merge(...array_values($read)), '    default:', '        return 0;', '    }', '}', '']),
            ...($written === [] ? [] : ['/* The 24 bits of a message; 0 when it is none of this link. */', "static inline uint32_t node_to_{$name}(const struct node_message *told)", '{', ...array_merge(...array_values($written)), '    return 0;', '}', '']),
        ];
    }
}
