<?php

declare(strict_types=1);

namespace Tests\Core\Text;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Figures;
use Rundfunk\Text\CNames;
use Rundfunk\Text\UniqueNames;
use Tests\Core\CoreTestCase;

final class NamesTest extends CoreTestCase
{
    /** @return iterable<string, array{string, string, string}> name, in capitals, in small letters */
    public static function names(): iterable
    {
        yield 'two words' => ['Hen house', 'HEN_HOUSE', 'hen_house'];
        yield 'accents' => ['Überdach é', 'UBERDACH_E', 'uberdach_e'];
        yield 'a digit first' => ['2nd shed', 'N2ND_SHED', 'n2nd_shed'];
        yield 'a keyword' => ['while', 'WHILE', 'while_'];
        yield 'nothing that C allows' => ['***', 'X', 'x'];
        yield 'another script' => ['Ворота', 'VOROTA', 'vorota'];
        yield 'signs between' => ['a -- b', 'A_B', 'a_b'];
        yield 'below nought' => ['Speed -3', 'SPEED_MINUS_3', 'speed_minus_3'];
        yield 'a dash before a number' => ['Shed-2', 'SHED_2', 'shed_2'];
        yield 'a number with a minus sign alone' => ['−3', 'MINUS_3', 'minus_3'];
    }

    #[DataProvider('names')]
    public function test_names_become_what_c_allows(string $name, string $upper, string $lower): void
    {
        self::assertSame($upper, CNames::upper($name));
        self::assertSame($lower, CNames::lower($name));
    }

    public function test_a_name_given_twice_is_numbered(): void
    {
        $names = new UniqueNames;
        self::assertSame(['A', 'A_2', 'A_3', 'B'], array_map($names->name(...), ['A', 'A', 'A', 'B']));
    }

    /** @return iterable<string, array{int, string}> nanoseconds and how they read */
    public static function durations(): iterable
    {
        yield 'none' => [0, '0 µs'];
        yield 'a part of a microsecond' => [500, '0.5 µs'];
        yield 'microseconds' => [548_000, '548 µs'];
        yield 'three figures' => [1_104_000, '1.1 ms'];
        yield 'rounded' => [1_236_000, '1.24 ms'];
        yield 'seconds' => [1_240_000_000, '1.24 s'];
        yield 'many seconds' => [123_456_000_000, '123 s'];
    }

    #[DataProvider('durations')]
    public function test_durations_read_in_three_figures_with_a_fitting_unit(int $nanoseconds, string $text): void
    {
        self::assertSame($text, Figures::duration($nanoseconds));
    }
}
