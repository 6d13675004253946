<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Calculator;

use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Medium\Cellular\Sms\TextLength;

final readonly class SmsLength implements Calculator
{
    public function name(): string
    {
        return 'sms-length';
    }

    public function topic(): string
    {
        return 'Cellular';
    }

    public function title(): string
    {
        return 'SMS length';
    }

    public function plainly(): string
    {
        return 'How many texts a text is';
    }

    public function formula(): string
    {
        return 'seven-bit alphabet 160, in parts 153; otherwise 70, in parts 67; € [ ] { } \\ ~ ^ | take two';
    }

    public function source(): string
    {
        return '3GPP TS 23.038 and 23.040';
    }

    public function inputs(): array
    {
        return [Quantity::text('text', 'The text.')->example('FROST in the greenhouse: {value} °C')];
    }

    public function outputs(): array
    {
        return [
            Quantity::text('encoding', 'gsm7 or ucs2.'),
            Quantity::whole('units', null, 'Septets, or units of sixteen bits.'),
            Quantity::whole('parts', null, 'Texts it takes.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        $length = TextLength::of($inputs->verbatim('text'));

        return ['encoding' => $length->encoding, 'units' => $length->units, 'parts' => $length->parts];
    }
}
