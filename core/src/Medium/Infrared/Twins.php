<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared;

use Rundfunk\Plan\KeyCode;

/** Codes that no receiver can tell apart. Those that are known are sorted rather than compared: a set of toys has hundreds. */
final readonly class Twins
{
    /**
     * @param  list<KeyCode>  $codes
     * @return list<array{KeyCode, KeyCode}> each code that was there before, with the first that is like it
     */
    public static function among(array $codes, Protocols $protocols): array
    {
        $pairs = [];
        $first = [];
        $bare = [];
        foreach ($codes as $index => $code) {
            $identity = self::identity($code, $protocols);
            if ($identity === null) {
                $bare[$index] = $code;
            } else {
                foreach ($first[$identity] ?? [] as $earlier) {
                    if (IrCodes::same($earlier, $code, $protocols)) {
                        $pairs[] = [$earlier, $code];

                        continue 2;
                    }
                }
                $first[$identity][] = $code;
            }
        }
        foreach ($bare as $index => $code) {
            foreach ($codes as $at => $other) {
                // Two that are both known by their timings come up twice; the earlier is the first.
                if ($at !== $index && ($at < $index || ! isset($bare[$at])) && IrCodes::same($code, $other, $protocols)) {
                    $pairs[] = $at < $index ? [$other, $code] : [$code, $other];
                }
            }
        }

        return $pairs;
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
