<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Calculator;

use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Medium\Can\CanFrame;
use Rundfunk\Medium\Can\HexText;
use Rundfunk\OutOfRange;

final readonly class FrameOf implements Calculator
{
    public function name(): string
    {
        return 'can-frame';
    }

    public function topic(): string
    {
        return 'CAN';
    }

    public function title(): string
    {
        return 'CAN frame, bit by bit';
    }

    public function plainly(): string
    {
        return 'The check and the exact length of one frame';
    }

    public function formula(): string
    {
        return 'CRC-15 of x¹⁵ + x¹⁴ + x¹⁰ + x⁸ + x⁷ + x⁴ + x³ + 1; after five equal bits another';
    }

    public function source(): string
    {
        return 'ISO 11898-1';
    }

    public function inputs(): array
    {
        return [
            Quantity::text('id', 'The identifier, hexadecimal.')->example('123'),
            Quantity::text('data', 'Its bytes, hexadecimal; nothing for none.')->example('01 02 03 04')->optional(),
            Quantity::flag('extended', 'Whether the identifier has 29 bits.')->example('false')->optional(),
            Quantity::flag('remote', 'Whether it asks for data instead of bearing any.')->example('false')->optional(),
        ];
    }

    public function outputs(): array
    {
        return [
            Quantity::text('crc15', 'The check, hexadecimal.'),
            Quantity::whole('stuffed_bits', 'bits', 'How many are stuffed into it.'),
            Quantity::whole('exact_bits', 'bits', 'On the wire, with the gap of three to the next frame.'),
            Quantity::whole('unstuffed_bits', 'bits', 'Without those that are stuffed.'),
            Quantity::whole('worst_bits', 'bits', 'As many as a frame of its length can come to.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        $extended = $inputs->flagOr('extended', false);
        $remote = $inputs->flagOr('remote', false);
        $data = HexText::bytes('data', $inputs->text('data'));
        if ($remote && $data !== '') {
            throw OutOfRange::because('data', 'A remote frame bears no data.');
        }
        $id = HexText::number('id', $inputs->text('id'));
        $frame = $remote ? CanFrame::remote($id, $extended) : CanFrame::data($id, $extended, $data);

        return [
            'crc15' => sprintf('%04X', $frame->crc()),
            'stuffed_bits' => $frame->stuffBits(),
            'exact_bits' => $frame->exactBits(),
            'unstuffed_bits' => CanFrame::unstuffedBits($extended, strlen($data)),
            'worst_bits' => CanFrame::worstBits($extended, strlen($data)),
        ];
    }
}
