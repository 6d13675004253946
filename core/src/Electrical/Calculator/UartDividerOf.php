<?php

declare(strict_types=1);

namespace Rundfunk\Electrical\Calculator;

use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Electrical\UartDivider;
use Rundfunk\OutOfRange;

final readonly class UartDividerOf implements Calculator
{
    public function name(): string
    {
        return 'uart-divider';
    }

    public function topic(): string
    {
        return 'Serial';
    }

    public function title(): string
    {
        return 'UART divider error';
    }

    public function plainly(): string
    {
        return 'How far a serial port is off its rate, on boards that divide their clock by a whole number';
    }

    public function formula(): string
    {
        return 'divisor = round(clock / (16 · baud)), or 8 at double speed; error = clock / (16 · divisor) / baud − 1';
    }

    public function source(): string
    {
        return 'Data sheet of 8-bit boards, from memory; the tests hold it to setbaud.h of the cross-compiler';
    }

    public function inputs(): array
    {
        return [
            Quantity::number('clock_hz', 'Hz', 'What the chip runs at.')->example('16000000'),
            Quantity::number('baud', 'baud', 'The rate that is wanted.')->example('115200'),
        ];
    }

    public function outputs(): array
    {
        return [
            Quantity::whole('normal_divisor', null, 'By which a sixteenth of the clock is divided; the register holds one less.'),
            Quantity::number('normal_error_percent', '%', 'So far is it off, with its sign.'),
            Quantity::whole('double_divisor', null, 'By which an eighth of the clock is divided, at double speed.'),
            Quantity::number('double_error_percent', '%', 'So far is it off then.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        $clockMhz = $inputs->number('clock_hz') / 1e6;
        OutOfRange::unless('clock_hz', 1e6 * $clockMhz, 1e5, 1e10);
        $baud = $inputs->number('baud');
        OutOfRange::unless('baud', $baud, 50, 4_000_000);
        $answer = [];
        foreach (['normal' => 16, 'double' => 8] as $speed => $samples) {
            $answer["{$speed}_divisor"] = UartDivider::divisor($clockMhz, $baud, $samples);
            $answer["{$speed}_error_percent"] = round(100 * UartDivider::at($clockMhz, $baud, $samples), 6);
        }

        return $answer;
    }
}
