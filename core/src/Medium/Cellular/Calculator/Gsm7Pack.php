<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Calculator;

use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Medium\Cellular\Sms\Gsm7;
use Rundfunk\OutOfRange;

final readonly class Gsm7Pack implements Calculator
{
    public function name(): string
    {
        return 'gsm7-pack';
    }

    public function topic(): string
    {
        return 'Cellular';
    }

    public function title(): string
    {
        return 'GSM-7 packing';
    }

    public function plainly(): string
    {
        return 'A text packed into septets';
    }

    public function formula(): string
    {
        return 'seven bits a character, the first in the lowest bits of the first byte';
    }

    public function source(): string
    {
        return '3GPP TS 23.038';
    }

    public function inputs(): array
    {
        return [Quantity::text('text', 'The text, in the network\'s own alphabet.')->example('hellohello')];
    }

    public function outputs(): array
    {
        return [
            Quantity::text('hex', 'The bytes.'),
            Quantity::whole('septets', null, 'How many septets.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        $septets = Gsm7::septets($inputs->verbatim('text'))
            ?? throw OutOfRange::because('text', 'text must hold letters of the network\'s own alphabet only.');

        return ['hex' => strtoupper(bin2hex(Gsm7::pack($septets))), 'septets' => count($septets)];
    }
}
