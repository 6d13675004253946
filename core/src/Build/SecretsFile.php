<?php

declare(strict_types=1);

namespace Rundfunk\Build;

use Random\Randomizer;
use Rundfunk\Frame\SipHash;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Plan;
use Rundfunk\Text\CNames;

/** The keys of a plan's links, drawn by chance: the one file that is made from a plan and must never go where plans go. */
final readonly class SecretsFile
{
    /**
     * @param  string  $kept  an earlier such file: what it defines stays as it is
     * @param  Randomizer  $chance  of the system, but in tests
     */
    public static function of(Plan $plan, Knowledge $knowledge, Randomizer $chance, string $kept = ''): string
    {
        preg_match_all('/^#define (\w+_KEY) (\{.*\})$/m', $kept, $found, PREG_SET_ORDER);
        $keys = array_column($found, 2, 1);
        $lines = ['/* Keys. Whoever has them can work everything that trusts them: keep this file beside your programs, and nowhere else. */', '#ifndef RUNDFUNK_SECRETS_H', '#define RUNDFUNK_SECRETS_H', ''];
        foreach (KeyNames::of($plan, $knowledge) as $link => $name) {
            $lines[] = '/* '.CNames::comment($plan->link($link)->name).' */';
            $lines[] = "#define {$name} ".($keys[$name] ?? self::drawn($chance));
        }

        return implode("\n", [...$lines, '', '#endif', '']);
    }

    private static function drawn(Randomizer $chance): string
    {
        return '{ '.implode(', ', array_map(static fn (string $byte): string => '0x'.bin2hex($byte), str_split($chance->getBytes(SipHash::KEY_BYTES)))).' }';
    }
}
