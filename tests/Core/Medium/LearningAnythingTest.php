<?php

declare(strict_types=1);

namespace Tests\Core\Medium;

use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Rundfunk\Learn\LearningRefused;
use Rundfunk\Learn\LearnsCodes;
use Tests\Core\CoreTestCase;

/** People paste whatever they have. It is learned or refused in words; it never breaks anything. */
final class LearningAnythingTest extends CoreTestCase
{
    private const TEXTS = [
        "# carrier 38000\npulse 9000\nspace 4500\npulse 560\nspace 560\npulse 560\nspace 1690\npulse 560\nspace 40000\npulse 9000\nspace 2250\npulse 560\n",
        "pulse 350\nspace 1050\npulse 1050\nspace 350\npulse 350\nspace 1050\npulse 1050\nspace 350\npulse 350\nspace 10850\npulse 350\nspace 1050\n",
        "[[protocols]]\nname = \"den\"\nprotocol = \"nec\"\nvariant = \"nec\"\n[protocols.scancodes]\n0x2d10 = \"KEY_POWER\"\n0x2d11 = \"KEY_MUTE\"\n",
        "[[protocols]]\nname = \"den\"\nprotocol = \"raw\"\n[[protocols.raw]]\nkeycode = \"KEY_OK\"\nraw = [ 9000, 4500, 560, 560, 560 ]\n",
        '+9000 -4500 +560 -560 +560 -1690',
    ];

    /** @return iterable<string, array{string, string}> medium, text */
    public static function media(): iterable
    {
        foreach (array_keys(self::knowledge()->media->everyOffering(LearnsCodes::class)) as $medium) {
            foreach (self::TEXTS as $at => $text) {
                yield "{$medium}, text {$at}" => [$medium, $text];
            }
        }
    }

    #[DataProvider('media')]
    public function test_a_text_that_was_spoiled_is_learned_or_refused(string $key, string $text): void
    {
        $medium = self::knowledge()->media->offering(LearnsCodes::class, $key);
        self::assertNotNull($medium);
        $random = new Randomizer(new Mt19937(19));
        $refused = 0;
        for ($round = 0; $round < 60; $round++) {
            $spoiled = self::spoil($text, $random);
            try {
                $learned = $medium->learn($spoiled, []);
                self::assertJson(json_encode($learned, JSON_THROW_ON_ERROR));
            } catch (LearningRefused $refusal) {
                $refused++;
                self::assertJson(json_encode($refusal->getMessage(), JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE));
            }
        }
        self::assertGreaterThan(0, $refused);
    }

    private static function spoil(string $text, Randomizer $random): string
    {
        for ($times = $random->getInt(1, 5); $times > 0; $times--) {
            $at = $random->getInt(0, max(0, strlen($text) - 1));
            $text = match ($random->getInt(0, 4)) {
                0 => substr_replace($text, chr($random->getInt(32, 126)), $at, 1),
                1 => substr($text, 0, $at),
                2 => substr($text, $at),
                3 => substr_replace($text, (string) $random->getInt(0, 99_999_999), $at, 0),
                default => substr($text."\n".$text, 0, 4_000),
            };
        }

        return $text;
    }
}
