<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared;

use Rundfunk\OutOfRange;
use Rundfunk\Plan\KeyCode;
use Rundfunk\Signal\Signal;
use Rundfunk\Signal\TimingDistance;

/** Key codes of a plan as infrared understands them. */
final readonly class IrCodes
{
    /** What a code says; null while only timings or a foreign number are known. */
    public static function command(KeyCode $code, Protocols $protocols): ?IrCommand
    {
        if ($code->protocol === 'pulse-distance') {
            return $code->command === null || PulseFormat::tryParse($code->format) === null ? null : new IrCommand('pulse-distance', 0, $code->command, null, $code->format);
        }
        if ($code->address === null || $code->command === null || $protocols->find($code->protocol) === null) {
            return null;
        }

        return new IrCommand($code->protocol, $code->address, $code->command);
    }

    /** The marks and spaces of a code; null when nothing tells them. */
    public static function signal(KeyCode $code, Protocols $protocols): ?Signal
    {
        try {
            $command = self::command($code, $protocols);
            if ($command !== null) {
                return $command->format !== null
                    ? PulseFormat::tryParse($command->format)?->encode($command->command)
                    : $protocols->named($command->protocol)->encode($command);
            }

            return $code->timings === '' ? null : Signal::parse($code->timings, $code->carrierHz);
        } catch (OutOfRange) {
            return null;
        }
    }

    /** @return int hertz: what the code says, or else what its protocol has, or else what is common */
    public static function carrierHz(KeyCode $code, Protocols $protocols): int
    {
        return $code->carrierHz ?? self::signal($code, $protocols)->carrierHz ?? 38_000;
    }

    public static function holding(KeyCode $code, Protocols $protocols): Holding
    {
        return $protocols->find($code->protocol)?->holding() ?? Holding::SameFrame;
    }

    /** @return int nanoseconds from one frame's start to the next */
    public static function periodNs(KeyCode $code, Protocols $protocols): int
    {
        $signal = self::signal($code, $protocols);
        $gapNs = PulseFormat::tryParse($code->format)->gapNs ?? 40_000_000;

        return $protocols->find($code->protocol)?->periodNs() ?? ($signal?->durationNs() ?? 0) + $gapNs;
    }

    public static function leastSends(KeyCode $code, Protocols $protocols): int
    {
        return $protocols->find($code->protocol)?->leastSends() ?? 2;
    }

    /** One signal cannot be told from the other by a receiver. */
    public static function same(KeyCode $one, KeyCode $other, Protocols $protocols): bool
    {
        $first = self::command($one, $protocols);
        $second = self::command($other, $protocols);
        if ($first !== null && $second !== null) {
            return $first->sameKeyAs($second);
        }
        if ($one->number !== null || $other->number !== null) {
            return $one->number === $other->number && $one->format === $other->format && $one->protocol === $other->protocol;
        }
        $firstSignal = self::signal($one, $protocols);
        $secondSignal = self::signal($other, $protocols);

        return $firstSignal !== null && $secondSignal !== null && TimingDistance::same($firstSignal, $secondSignal);
    }
}
