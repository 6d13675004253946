<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Calculator;

use Rundfunk\Calculator\BadInput;
use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Medium\Can\CanFrame;
use Rundfunk\OutOfRange;

final readonly class FrameBitsOf implements Calculator
{
    public function name(): string
    {
        return 'can-frame-bits';
    }

    public function topic(): string
    {
        return 'CAN';
    }

    public function title(): string
    {
        return 'CAN frame length';
    }

    public function plainly(): string
    {
        return 'How many bits a frame can come to on the wire';
    }

    public function formula(): string
    {
        return 'g + 8·n + 13, and one more for every four of g + 8·n − 1 at worst; g = 34 or 54';
    }

    public function source(): string
    {
        return 'ISO 11898-1; Davis, Burns, Bril and Lukkien, 2007';
    }

    public function inputs(): array
    {
        return [
            Quantity::choice('id_bits', ['11', '29'], 'How long the identifier is.', 'bits')->example('11'),
            Quantity::whole('data_bytes', null, '0 to 8.')->example('8'),
        ];
    }

    public function outputs(): array
    {
        return [
            Quantity::whole('unstuffed_bits', 'bits', 'Without a stuffed bit, with the gap of three to the next frame.'),
            Quantity::whole('worst_bits', 'bits', 'With as many stuffed as can be.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        $extended = match ($inputs->text('id_bits')) {
            '11' => false,
            '29' => true,
            default => throw BadInput::notAChoice('id_bits', $inputs->text('id_bits'), ['11', '29']),
        };
        $bytes = $inputs->whole('data_bytes');
        OutOfRange::unless('data_bytes', $bytes, 0, CanFrame::BYTES_MOST);

        return ['unstuffed_bits' => CanFrame::unstuffedBits($extended, $bytes), 'worst_bits' => CanFrame::worstBits($extended, $bytes)];
    }
}
