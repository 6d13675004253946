<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared;

use Rundfunk\Learn\LearnedRow;
use Rundfunk\Learn\LearningRefused;
use Rundfunk\Medium\Infrared\Capture\CaptureSession;
use Rundfunk\Medium\Infrared\Keymap\Keymap;
use Rundfunk\Medium\Infrared\Keymap\KeymapCodes;
use Rundfunk\Medium\Infrared\Keymap\KeymapFile;
use Rundfunk\Medium\Infrared\Keymap\KeymapRefused;
use Rundfunk\Plan\KeyCode;
use Rundfunk\Signal\CaptureRefused;
use Rundfunk\Signal\CaptureText;

/** Learns codes from a capture of marks and spaces, or from a keymap: whichever the text is. */
final readonly class IrLearning
{
    /**
     * @param  list<KeyCode>  $known
     * @return list<array<string, mixed>>
     *
     * @throws LearningRefused
     */
    public static function from(string $text, array $known, Protocols $protocols): array
    {
        try {
            return str_contains($text, '[[protocols]]')
                ? self::keys(KeymapFile::read($text), $known, $protocols)
                : CaptureSession::of(CaptureText::read($text), $protocols)->rows($known, $protocols);
        } catch (CaptureRefused|KeymapRefused $refused) {
            throw LearningRefused::because($refused->getMessage());
        }
    }

    /**
     * @param  list<Keymap>  $keymaps
     * @param  list<KeyCode>  $known
     * @return list<array<string, mixed>>
     */
    private static function keys(array $keymaps, array $known, Protocols $protocols): array
    {
        $rows = [];
        foreach ($keymaps as $keymap) {
            foreach ($keymap->keys as ['number' => $number, 'name' => $name]) {
                $fields = KeymapCodes::fields($keymap, $number);
                $code = new KeyCode('', '', $name, $fields['protocol'], $fields['address'], $fields['command'], $fields['number'], null, '', $fields['format']);
                $signal = IrCodes::signal($code, $protocols);
                $rows[] = LearnedRow::of(
                    count($rows) + 1,
                    self::words($name),
                    IrWords::ofCode($code, $protocols),
                    [...$fields, 'carrierHz' => null, 'timings' => ''],
                    null,
                    self::knownAs($code, $known, $protocols),
                    null,
                    1,
                    null,
                    array_map(static fn (int $ns): int => (int) round($ns / 1000), $signal->lengthsNs ?? []),
                );
            }
        }

        return $rows;
    }

    /** @param  list<KeyCode>  $known */
    private static function knownAs(KeyCode $code, array $known, Protocols $protocols): ?string
    {
        foreach ($known as $other) {
            if (IrCodes::same($code, $other, $protocols)) {
                return $other->name;
            }
        }

        return null;
    }

    /** "KEY_VOLUMEUP" as people say it. */
    private static function words(string $name): string
    {
        return mb_substr(ucfirst(strtolower(str_replace('_', ' ', (string) preg_replace('/^(KEY|BTN)_(NUMERIC_)?/', '', $name)))), 0, 80);
    }
}
