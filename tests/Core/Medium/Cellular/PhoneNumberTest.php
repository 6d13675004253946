<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Cellular;

use libphonenumber\PhoneNumberFormat;
use libphonenumber\PhoneNumberType;
use libphonenumber\PhoneNumberUtil;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Medium\Cellular\ModemSignal;
use Rundfunk\Medium\Cellular\PhoneNumber;
use Tests\Core\CoreTestCase;

final class PhoneNumberTest extends CoreTestCase
{
    /** @return iterable<string, array{string}> */
    public static function regions(): iterable
    {
        foreach (['GB', 'DE', 'FR', 'US', 'NL', 'AT', 'CH', 'IT', 'ES', 'PL', 'SE', 'NO', 'DK', 'FI', 'IE', 'AU', 'NZ', 'JP', 'IN', 'BR'] as $region) {
            yield $region => [$region];
        }
    }

    #[DataProvider('regions')]
    public function test_the_librarys_own_examples_read_the_same_however_they_are_written(string $region): void
    {
        $util = PhoneNumberUtil::getInstance();
        $example = $util->getExampleNumberForType($region, PhoneNumberType::MOBILE);
        self::assertNotNull($example);
        $e164 = $util->format($example, PhoneNumberFormat::E164);
        foreach ([PhoneNumberFormat::NATIONAL, PhoneNumberFormat::INTERNATIONAL, PhoneNumberFormat::E164] as $format) {
            $number = PhoneNumber::parse($util->format($example, $format), $region);
            self::assertSame($e164, $number->e164);
            self::assertTrue($number->valid);
        }
    }

    public function test_what_is_no_number_is_none(): void
    {
        foreach (['', 'hello', '12', '+', '020 7946 0123'] as $text) {
            $number = PhoneNumber::parse($text, null);
            self::assertNull($number->e164, $text);
            self::assertFalse($number->valid);
        }
        self::assertSame('+4412', PhoneNumber::parse('12', 'GB')->e164);
        self::assertFalse(PhoneNumber::parse('12', 'GB')->valid);
    }

    /** @return iterable<string, array{int, int|null}> */
    public static function signals(): iterable
    {
        // 3GPP TS 27.007, +CSQ.
        yield 'the weakest' => [0, -113];
        yield 'one' => [1, -111];
        yield 'in the middle' => [18, -77];
        yield 'the strongest' => [31, -51];
        yield 'unknown' => [99, null];
    }

    #[DataProvider('signals')]
    public function test_a_signal_figure_is_so_many_dbm(int $csq, ?int $dbm): void
    {
        self::assertSame($dbm, ModemSignal::dbm($csq));
        self::assertNotSame('', ModemSignal::words($csq));
    }
}
