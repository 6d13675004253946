<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Calculator;

use Rundfunk\Calculator\BadInput;
use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Frame\Checksum;
use Rundfunk\OutOfRange;

final readonly class ChecksumOf implements Calculator
{
    public function name(): string
    {
        return 'crc';
    }

    public function topic(): string
    {
        return 'Serial';
    }

    public function title(): string
    {
        return 'CRC and checksum';
    }

    public function plainly(): string
    {
        return 'The check sum of some bytes, by the name of its algorithm';
    }

    public function formula(): string
    {
        return 'the remainder of the bytes, divided by a polynomial without carries';
    }

    public function source(): string
    {
        return 'Catalogue of parametrised CRC algorithms; the tests hold it to crccheck';
    }

    public function inputs(): array
    {
        return [
            Quantity::choice('algorithm', array_values(array_map(static fn (Checksum $one): string => $one->value, array_filter(Checksum::cases(), static fn (Checksum $one): bool => $one !== Checksum::None))), 'As the catalogue calls it.')->example('crc-16/modbus'),
            Quantity::text('hex', 'The bytes in hexadecimal, blanks or none between.')->example('31 32 33 34 35 36 37 38 39'),
        ];
    }

    public function outputs(): array
    {
        return [
            Quantity::text('crc', 'In hexadecimal, most significant digit first.'),
            Quantity::text('on_the_wire', 'As most programs send it: the low byte first where bits are reflected, the high byte first otherwise.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        $algorithm = Checksum::named($inputs->text('algorithm'));
        if ($algorithm === null || $algorithm === Checksum::None) {
            throw BadInput::notAChoice('algorithm', $inputs->text('algorithm'), $this->inputs()[0]->choices);
        }
        $digits = (string) preg_replace('/0x|[\s,:-]+/i', '', $inputs->text('hex'));
        if (preg_match('/^([0-9a-f]{2})*$/i', $digits) !== 1) {
            throw OutOfRange::because('hex', 'hex must be bytes of two hexadecimal digits each.');
        }
        $crc = strtoupper(sprintf('%0'.(2 * $algorithm->bytes()).'x', $algorithm->of((string) hex2bin($digits))));
        $bytes = str_split($crc, 2);

        return ['crc' => $crc, 'on_the_wire' => implode(' ', $algorithm->isReflected() ? array_reverse($bytes) : $bytes)];
    }
}
