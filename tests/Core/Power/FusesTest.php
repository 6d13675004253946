<?php

declare(strict_types=1);

namespace Tests\Core\Power;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Power\Fuses;
use Tests\Core\CoreTestCase;

/** The ratings of fuses for supplies, IEC 60127 (preferred numbers of the series R10, ISO 3); what a cord carries in air, common practice. */
final class FusesTest extends CoreTestCase
{
    public function test_a_fuse_is_the_next_preferred_rating(): void
    {
        $ratings = [0.1, 0.125, 0.16, 0.2, 0.25, 0.315, 0.4, 0.5, 0.63, 0.8, 1.0, 1.25, 1.6, 2.0, 2.5, 3.15, 4.0, 5.0, 6.3, 8.0, 10.0, 12.5, 16.0, 20.0];
        self::assertSame(0.1, Fuses::atLeast(0.0));
        foreach ($ratings as $at => $ampere) {
            self::assertSame($ampere, Fuses::atLeast($ampere));
            self::assertSame($ratings[$at + 1] ?? null, Fuses::atLeast($ampere + 0.001));
        }
    }

    /** @return iterable<string, array{float, float}> square millimetres, amperes */
    public static function cords(): iterable
    {
        yield 'hook-up wire' => [0.14, 0.56];
        yield 'just no cord' => [0.49, 1.96];
        foreach ([[0.5, 3.0], [0.75, 6.0], [1.0, 10.0], [1.5, 16.0], [2.5, 16.0]] as [$mm2, $ampere]) {
            yield "{$mm2} mm²" => [$mm2, $ampere];
        }
        yield 'just below three quarters' => [0.749, 3.0];
        yield 'just below one' => [0.999, 6.0];
        yield 'just below one and a half' => [1.499, 10.0];
    }

    #[DataProvider('cords')]
    public function test_a_core_carries_as_a_cord_in_air(float $mm2, float $ampere): void
    {
        self::assertSame($ampere, Fuses::cordA($mm2));
        // A quarter above the load, and no more than the core carries.
        $loadA = $ampere / 1.25;
        $fuseA = Fuses::between($loadA, $mm2);
        self::assertSame(Fuses::atLeast($ampere) === $ampere ? $ampere : null, $fuseA);
        self::assertNull(Fuses::between($loadA + 0.001, $mm2));
        self::assertSame(Fuses::atLeast($ampere), Fuses::between($loadA, null));
    }
}
