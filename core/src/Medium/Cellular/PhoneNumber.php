<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular;

use libphonenumber\NumberParseException;
use libphonenumber\PhoneNumberFormat;
use libphonenumber\PhoneNumberUtil;

/** A telephone number as the network knows it. Source: ITU-T E.164; the numbering plans are libphonenumber's. */
final readonly class PhoneNumber
{
    private function __construct(public ?string $e164, public bool $valid)
    {
    }

    /** Of more numbers than this nobody asks again and again. */
    private const REMEMBERED = 1_000;

    /** @param  string|null  $country  two letters, for numbers written without their country */
    public static function parse(string $number, ?string $country): self
    {
        /** @var array<string, self> $parsed a look at a plan asks of each of its few numbers time and again */
        static $parsed = [];
        if (count($parsed) > self::REMEMBERED) {
            $parsed = [];
        }

        return $parsed["{$country} {$number}"] ??= self::parsed($number, $country);
    }

    private static function parsed(string $number, ?string $country): self
    {
        try {
            $util = PhoneNumberUtil::getInstance();
            $parsed = $util->parse($number, $country === null || $country === '' ? null : strtoupper($country));

            return new self($util->format($parsed, PhoneNumberFormat::E164), $util->isValidNumber($parsed));
        } catch (NumberParseException) {
            return new self(null, false);
        }
    }
}
