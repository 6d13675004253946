<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio;

use Rundfunk\Medium\LearnedCodes;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\KeyCode;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;

/** What each press is on the air. */
final readonly class KeyedCodes
{
    /** Letters of a pair's buttons, in the order of the receiver's pins. */
    private const BUTTONS = ['A', 'B', 'C', 'D'];

    /** A hop from one of our own transmitters to one of our own receivers: its code is ours to give. */
    public static function isOurs(Plan $plan, Hop $hop): bool
    {
        return ! $plan->node($plan->endpoint($hop->fromId)->nodeId)->kind->isBought()
            && ! $plan->node($plan->endpoint($hop->toId)->nodeId)->kind->isBought();
    }

    /** The 24 bits of a hop; null while they are not known, and for pairs, whose bits are the maker's business. */
    public static function of(Plan $plan, Hop $hop): ?KeyedCode
    {
        if (self::isOurs($plan, $hop)) {
            $sender = self::senderNumber($plan, $plan->endpoint($hop->fromId));

            return $sender === null || $hop->code === null ? null : KeyedCode::of($sender << 4 | ($hop->code & 0xF));
        }
        $code = LearnedCodes::of($plan, $hop);

        return $code === null ? null : self::bits($code);
    }

    public static function bits(KeyCode $code): ?KeyedCode
    {
        return $code->protocol === 'keyed' && $code->command !== null && $code->command <= 0xFF_FFFF ? KeyedCode::of($code->command) : null;
    }

    /** @return string|null "A" to "D" for a button of a pair */
    public static function button(KeyCode $code): ?string
    {
        return $code->protocol === 'keyed-button' ? self::BUTTONS[$code->command] ?? null : null;
    }

    public static function words(KeyCode $code, KeyedCoding $coding): string
    {
        $bits = self::bits($code);
        $trits = $coding === KeyedCoding::Trits ? $bits?->trits() : null;

        return $trits ?? $bits?->text() ?? (self::button($code) === null ? 'no code yet' : 'button '.self::button($code));
    }

    /** The twenty bits that one of our own transmitters signs with. */
    public static function senderNumber(Plan $plan, Endpoint $endpoint): ?int
    {
        $value = ($plan->addressesOf($endpoint)[0] ?? null)?->value;

        return $value !== null && preg_match('/^[0-9A-Fa-f]{5}$/D', $value) === 1 ? (int) hexdec($value) : null;
    }

    /** @return list<array{endpoint: Endpoint, hop: Hop, bits: KeyedCode}> every code that is sent over a link */
    public static function sentOver(Plan $plan, Link $link): array
    {
        $sent = [];
        foreach ($plan->hopsOver($link) as $hop) {
            $bits = self::of($plan, $hop);
            if ($bits !== null) {
                $sent[] = ['endpoint' => $plan->endpoint($hop->fromId), 'hop' => $hop, 'bits' => $bits];
            }
        }

        return $sent;
    }
}
