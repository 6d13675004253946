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

    /** @param  string|null  $country  two letters, for numbers written without their country */
    public static function parse(string $number, ?string $country): self
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
