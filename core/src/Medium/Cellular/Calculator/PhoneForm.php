<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Calculator;

use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Medium\Cellular\PhoneNumber;

final readonly class PhoneForm implements Calculator
{
    public function name(): string
    {
        return 'phone';
    }

    public function topic(): string
    {
        return 'Cellular';
    }

    public function title(): string
    {
        return 'Phone number (E.164)';
    }

    public function plainly(): string
    {
        return 'A telephone number as the network knows it';
    }

    public function formula(): string
    {
        return '+ country, then the number without its leading nought';
    }

    public function source(): string
    {
        return 'ITU-T E.164; numbering plans of libphonenumber';
    }

    public function inputs(): array
    {
        return [
            Quantity::text('number', 'The number as it is written.')->example('020 7946 0123'),
            Quantity::text('region', 'Two letters of the country, for numbers written without one.')->optional()->example('GB'),
        ];
    }

    public function outputs(): array
    {
        return [
            Quantity::text('e164', 'With its country; none when it is no number at all.'),
            Quantity::flag('valid', 'Whether such numbers are given out.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        $number = PhoneNumber::parse($inputs->text('number'), $inputs->text('region'));

        return ['e164' => $number->e164, 'valid' => $number->valid];
    }
}
