<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Calculator;

use Rundfunk\Calculator\BadInput;
use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Medium\Cellular\ModemLamp;

final readonly class ModemLampMeaning implements Calculator
{
    public function name(): string
    {
        return 'modem-lamp';
    }

    public function topic(): string
    {
        return 'Cellular';
    }

    public function title(): string
    {
        return 'Modem status lamp';
    }

    public function plainly(): string
    {
        return 'What a modem\'s lamp says';
    }

    public function formula(): string
    {
        return 'about 1 s: searching; about 3 s: registered; about 0.3 s: data; 1 s and 3 s in turn: wavering';
    }

    public function source(): string
    {
        return 'Data sheet of the class, from memory; wavering: common practice';
    }

    public function inputs(): array
    {
        return [Quantity::numbers('gaps_s', 's', 'Seconds from flash to flash, one after another, parted by commas or spaces; nothing for a lamp that stays dark.')->example('3, 3, 3')->optional()];
    }

    public function outputs(): array
    {
        return [
            Quantity::text('state', 'In a word.'),
            Quantity::text('meaning', 'What that means.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        $gaps = [];
        foreach (array_filter(explode(' ', strtr($inputs->text('gaps_s'), ",;\t", '   ')), static fn (string $part): bool => $part !== '') as $text) {
            $gaps[] = is_numeric($text) ? (float) $text : throw BadInput::notANumber('gaps_s', $text);
        }
        $lamp = ModemLamp::of($gaps);

        return ['state' => $lamp->value, 'meaning' => $lamp->words()];
    }
}
