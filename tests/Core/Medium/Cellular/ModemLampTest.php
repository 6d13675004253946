<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Cellular;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rundfunk\Medium\Cellular\ModemLamp;

/** Gaps as people time them by eye. What the flashes mean: common practice of modem makers (64 ms on; 300, 800 or 3,000 ms off). */
final class ModemLampTest extends TestCase
{
    /** @return iterable<string, array{list<float>, ModemLamp}> */
    public static function seen(): iterable
    {
        yield 'as it should be' => [[0.86], ModemLamp::Searching];
        yield 'counted as a second, and a little more' => [[1.2, 1.0], ModemLamp::Searching];
        yield 'three seconds, counted fast' => [[2.3], ModemLamp::Registered];
        yield 'three times a second' => [[0.3, 0.4], ModemLamp::Data];
        yield 'between the two' => [[1.7], ModemLamp::Unknown];
        yield 'now the one, now the other' => [[0.9, 3.0], ModemLamp::Wavering];
        yield 'dark' => [[], ModemLamp::Dark];
    }

    /** @param  list<float>  $gaps */
    #[DataProvider('seen')]
    public function test_a_lamp_is_read(array $gaps, ModemLamp $lamp): void
    {
        self::assertSame($lamp, ModemLamp::of($gaps));
    }
}
