<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared;

use Rundfunk\Plan\KeyCode;
use Rundfunk\Signal\AlikeSignals;
use Rundfunk\Signal\Signal;
use Rundfunk\Signal\TimingDistance;

/** Codes that no receiver can tell apart. They are sorted rather than compared with each other: a set of toys has hundreds. */
final readonly class Twins
{
    /** Of more pairs than this, each further code comes with one other: hundreds that are all alike would make tens of thousands. */
    private const EACH = 1_000;

    /**
     * @param  list<KeyCode>  $codes
     * @return list<array{KeyCode, KeyCode}> a code, and one before it that it is like: the first, where both say what they are; every one,
     *                                       where timings alone are compared, for of those each two may differ in what they do
     */
    public static function among(array $codes, Protocols $protocols): array
    {
        $signals = self::timed($codes, $protocols);
        $alike = new AlikeSignals($signals);
        $known = [];
        $pairs = [];
        $first = [];
        foreach ($codes as $at => $code) {
            $identity = self::identity($code, $protocols);
            foreach ($identity === null ? [] : $first[$identity] ?? [] as $earlier) {
                if (IrCodes::same($codes[$earlier], $code, $protocols)) {
                    $pairs[] = [$codes[$earlier], $code];
                    break;
                }
            }
            if ($identity !== null) {
                $known[$at] = true;
                $first[$identity][] = $at;
            }
            foreach (isset($signals[$at]) ? $alike->earlier($at, 0.0, TimingDistance::SAME) : [] as $earlier => $distance) {
                // Two that both say what they are were compared by that.
                if (isset($known[$at], $known[$earlier])) {
                    continue;
                }
                $pairs[] = [$codes[$earlier], $code];
                if (count($pairs) > self::EACH) {
                    break;
                }
            }
        }

        return $pairs;
    }

    /**
     * @param  list<KeyCode>  $codes
     * @return array<int, Signal> of those that are to be compared by their timings: all, if there is one that is known by nothing else
     */
    private static function timed(array $codes, Protocols $protocols): array
    {
        $bare = array_filter($codes, static fn (KeyCode $code): bool => self::identity($code, $protocols) === null);
        $signals = [];
        foreach ($bare === [] ? [] : $codes as $at => $code) {
            $signal = $code->number === null ? IrCodes::signal($code, $protocols) : null;
            if ($signal !== null) {
                $signals[$at] = $signal;
            }
        }

        return $signals;
    }

    /** @return string|null what all that may be like it share; null when only its timings are known, if those */
    private static function identity(KeyCode $code, Protocols $protocols): ?string
    {
        $command = IrCodes::command($code, $protocols);
        $format = PulseFormat::tryParse($command?->format);

        return match (true) {
            $command !== null && $format !== null => implode('', $format->sent($command->command)),
            $command !== null => "{$command->protocol} {$command->address} {$command->command}",
            $code->number !== null => "{$code->protocol} {$code->number} {$code->format}",
            default => null,
        };
    }
}
